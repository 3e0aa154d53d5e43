import { useRef } from 'react'
import type { FeelReading, HeardChord } from '../../api/types'
import type { Listened } from './listened'
import { outlinePath } from './outline'
import { useWidth } from '../../ui/useWidth'

type Props = { listened: Listened; reading: FeelReading; chords: HeardChord[]; fromBar: number; bars: number; onBar: (bar: number) => void }

const HEIGHT = 84
/** Room that a letter of a chord symbol takes, and that between two symbols, px. */
const LETTER = 10
const BETWEEN = 6

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
        {fitting(chords, toX).map((chord) => (
          <text key={chord.from} x={toX(chord.from) + 3} y={63} className={chord.sure ? 'overview-chord' : 'overview-chord unsure'}>
            {chord.symbol}
            {!chord.sure && '?'}
          </text>
        ))}
      </svg>
    </div>
  )
}

/** Chords that are new, and have room after the one before. */
function fitting(chords: HeardChord[], toX: (t: number) => number): HeardChord[] {
  let free = -Infinity
  return chords.filter((chord, index) => {
    if (chords[index - 1]?.symbol === chord.symbol || toX(chord.from) < free) return false
    free = toX(chord.from) + LETTER * chord.symbol.length + BETWEEN
    return true
  })
}
