import { useRef } from 'react'
import type { FeelReading, HeardChord } from '../../api/types'
import type { Listened } from './listened'
import { outlinePath } from './outline'
import { useWidth } from '../../ui/useWidth'

type Props = { listened: Listened; reading: FeelReading; chords: HeardChord[]; fromBar: number; bars: number; onBar: (bar: number) => void }

const HEIGHT = 84
/** A letter of a chord symbol is so wide against its height; symbols are written between these heights, px. */
const LETTER = 0.64
const LARGEST = 15
const SMALLEST = 9

/** The whole recording with its bars and the chords heard in them; a press shows the bars around that place. */
export function Overview({ listened, reading, chords, fromBar, bars, onBar }: Props) {
  const ref = useRef<HTMLDivElement>(null)
  const width = useWidth(ref)
  const toX = (t: number) => (t / listened.seconds) * width
  const barAt = (bar: number) => reading.beats[Math.min(reading.beats.length - 1, bar * reading.beats_a_bar)] ?? 0
  const count = Math.ceil((reading.beats.length - 1) / reading.beats_a_bar)
  const every = [1, 2, 4, 8, 16, 32].find((step) => (count / step) * 46 <= width) ?? 64
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={HEIGHT}
        className="overview"
        role="slider"
        tabIndex={0}
        aria-label="Bars shown"
        aria-valuemin={1}
        aria-valuemax={count}
        aria-valuenow={fromBar + 1}
        onClick={(event) => {
          const t = ((event.clientX - event.currentTarget.getBoundingClientRect().left) / width) * listened.seconds
          onBar(Math.max(0, Math.floor((reading.beats.findLastIndex((beat) => beat <= t) ?? 0) / reading.beats_a_bar)))
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowRight' || event.key === 'ArrowLeft') {
            event.preventDefault()
            event.stopPropagation()
            onBar(Math.max(0, Math.min(count - 1, fromBar + (event.key === 'ArrowRight' ? bars : -bars))))
          }
        }}
      >
        <rect
          x={toX(barAt(fromBar))}
          y={1}
          width={Math.max(4, toX(barAt(fromBar + bars)) - toX(barAt(fromBar)))}
          height={44}
          className="overview-window"
        />
        {listened.outline.length > 0 ? (
          <path d={outlinePath(listened.outline, 0, listened.seconds, toX, 23, 21)} className="outline" />
        ) : (
          listened.strokes.map((stroke, index) => (
            <line key={index} x1={toX(stroke.t)} x2={toX(stroke.t)} y1={12} y2={34} className="outline-tick" />
          ))
        )}
        {Array.from({ length: count }, (_, bar) => (
          <g key={bar}>
            <line x1={toX(barAt(bar))} x2={toX(barAt(bar))} y1={bar % every === 0 ? 1 : 40} y2={46} className="overview-bar" />
            {bar % every === 0 && (
              <text x={toX(barAt(bar)) + 3} y={81} className="overview-word">
                {bar === 0 ? 'bar 1' : bar + 1}
              </text>
            )}
          </g>
        ))}
        {changes(chords, listened.seconds).map(({ chord, until }) => {
          const words = chord.sure ? chord.symbol : `${chord.symbol}?`
          const size = Math.min(LARGEST, (toX(until) - toX(chord.from) - 5) / (LETTER * words.length))
          return (
            <text
              key={chord.from}
              x={toX(chord.from) + 3}
              y={63}
              fontSize={Math.max(SMALLEST, size)}
              className={chord.sure ? 'overview-chord' : 'overview-chord unsure'}
            >
              {size < SMALLEST ? '·' : words}
            </text>
          )
        })}
      </svg>
    </div>
  )
}

/** Chords where they change, and until when each holds; one that has no room is drawn as a point, so that none is taken to go on. */
const changes = (chords: HeardChord[], end: number): { chord: HeardChord; until: number }[] =>
  chords
    .filter((chord, index) => chords[index - 1]?.symbol !== chord.symbol)
    .map((chord, index, all) => ({ chord, until: all[index + 1]?.from ?? end }))
