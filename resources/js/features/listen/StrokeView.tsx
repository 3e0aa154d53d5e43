import { useMemo, useRef } from 'react'
import type { FeelReading, HeardChord } from '../../api/types'
import { Blade } from '../../ui/Blade'
import { useWidth } from '../../ui/useWidth'
import { leanAt, waveKnots, wavePath, type Crossing } from '../../ui/waveGeometry'
import type { Listened, ListenedStroke } from './listened'
import { outlinePath } from './outline'

type Place = FeelReading['strokes'][number] | null
type Props = {
  listened: Listened
  reading: FeelReading
  chords: HeardChord[]
  places: Place[]
  fromBar: number
  bars: number
  chosen: number
  onChoose: (index: number) => void
  onInsert: (t: number) => void
  /** second that is heard just now */
  at: number | null
}

const HEIGHT = 232
const MIDDLE = 104
const REACH = 66
const MARGIN = 14
const FOOT = MIDDLE + REACH + 12

/** Two bars of a recording: blades where the first string is heard, and the arm drawn through them. */
export function StrokeView({ listened, reading, chords, places, fromBar, bars, chosen, onChoose, onInsert, at }: Props) {
  const box = useRef<HTMLDivElement>(null)
  const width = useWidth(box)
  const beat = (number: number) => reading.beats[Math.max(0, Math.min(reading.beats.length - 1, number))] ?? 0
  const from = beat(fromBar * reading.beats_a_bar)
  const to = Math.max(from + 0.5, beat((fromBar + bars) * reading.beats_a_bar))
  const lead = 0.03 * (to - from)
  const toX = (t: number) => MARGIN + ((t - from + lead) / (to - from + 2 * lead)) * (width - 2 * MARGIN)
  const toY = (h: number) => MIDDLE - REACH * h
  const crossings = useMemo(
    () => armThrough(listened.strokes, places, reading, fromBar - 1, fromBar + bars + 1),
    [listened.strokes, places, reading, fromBar, bars],
  )
  const knots = useMemo(() => waveKnots(crossings), [crossings])
  const pxPerS = (width - 2 * MARGIN) / (to - from + 2 * lead)
  const shown = listened.strokes
    .map((stroke, index) => ({ stroke, index, place: places[index] ?? null }))
    .filter(({ stroke }) => stroke.t > from - lead && stroke.t < to + lead)
  const struck = new Set(shown.filter(({ stroke }) => stroke.out !== true).map(({ stroke }) => stroke.t))
  const air = crossings.filter((crossing) => crossing.x > from - lead && crossing.x < to + lead && !struck.has(crossing.x))
  const beats = Array.from({ length: bars * reading.beats_a_bar + 1 }, (_, number) => fromBar * reading.beats_a_bar + number).filter(
    (number) => number < reading.beats.length,
  )

  return (
    <div ref={box} className="stroke-view">
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={`Bars ${fromBar + 1} to ${fromBar + bars}: ${shown.length} strokes`}
        onDoubleClick={(event) =>
          onInsert(
            Math.round((from - lead + (event.clientX - event.currentTarget.getBoundingClientRect().left - MARGIN) / pxPerS) * 1e4) / 1e4,
          )
        }
      >
        <clipPath id="stroke-view">
          <rect x={0} width={width} y={0} height={HEIGHT} />
        </clipPath>
        <path d={outlinePath(listened.outline, from - lead, to + lead, toX, MIDDLE, REACH * 0.9)} className="outline" />
        {beats.map((number) => (
          <g key={number}>
            <line
              x1={toX(beat(number))}
              x2={toX(beat(number))}
              y1={number % reading.beats_a_bar === 0 ? 6 : MIDDLE - REACH}
              y2={FOOT}
              className={number % reading.beats_a_bar === 0 ? 'bar-line' : 'beat-line'}
            />
            {number % reading.beats_a_bar === 0 && (
              <>
                <path d={`M${toX(beat(number))} 2l6 7l-6 7l-6 -7z`} className="one-mark" />
                {number < (fromBar + bars) * reading.beats_a_bar && (
                  <text x={toX(beat(number)) + 11} y={14} className="listen-bar">
                    bar {number / reading.beats_a_bar + 1}
                  </text>
                )}
              </>
            )}
            <text x={toX(beat(number))} y={FOOT + 20} className="listen-count beat">
              {(number % reading.beats_a_bar) + 1}
            </text>
            {reading.places.slice(1).map((place) => {
              const next = reading.beats[number + 1]
              const x = next === undefined ? Infinity : beat(number) + place * (next - beat(number))
              return x < to ? <line key={place} x1={toX(x)} x2={toX(x)} y1={MIDDLE - REACH} y2={FOOT} className="slot-line" /> : null
            })}
          </g>
        ))}
        <g clipPath="url(#stroke-view)">
          <path d={wavePath(knots, toX, toY)} className="wave-fall" />
        </g>
        {chords
          .filter((chord) => chord.from > from - lead && chord.from < to - lead)
          .map((chord) => (
            <text
              key={chord.from}
              x={toX(chord.from) + (chord.part === 0 ? 62 : 6)}
              y={20}
              className={chord.sure ? 'listen-chord' : 'listen-chord unsure'}
            >
              {chord.symbol}
              {!chord.sure && (
                <tspan className="listen-chord-other">
                  {' '}
                  {Math.round(100 * chord.chance)} %{chord.others[0] === undefined ? '' : `, or ${chord.others[0]}`}
                </tspan>
              )}
            </text>
          ))}
        {air.map((crossing) => (
          <Blade
            key={crossing.x}
            kind="air"
            direction={crossing.down ? 'down' : 'up'}
            accent={0}
            x={toX(crossing.x)}
            top={MIDDLE - 20}
            bottom={MIDDLE + 20}
            lean={leanAt(knots, crossing.x, pxPerS, REACH)}
          />
        ))}
        {shown.map(({ stroke, index, place }) => (
          <g
            key={`${stroke.t}-${index}`}
            className="listen-stroke"
            onClick={() => onChoose(index)}
            onDoubleClick={(event) => event.stopPropagation()}
          >
            <rect x={toX(stroke.t) - 14} width={28} y={MIDDLE - REACH} height={FOOT - MIDDLE + REACH + 40} className="slot-hit" />
            <Struck stroke={stroke} accent={places[index]?.accent ?? 1} x={toX(stroke.t)} lean={leanAt(knots, stroke.t, pxPerS, REACH)} />
            {place !== null && place.slot % reading.grid !== 0 && (
              <text x={toX(stroke.t)} y={FOOT + 20} className="listen-count">
                {place.name.replace(/^\d+/, '')}
              </text>
            )}
            {place !== null && (
              <text x={toX(stroke.t)} y={FOOT + 38} className={place.far ? 'listen-ms far' : 'listen-ms'}>
                {place.ms > 0 ? '+' : place.ms < -0.5 ? '−' : ''}
                {Math.abs(Math.round(place.ms))}
              </text>
            )}
            {stroke.byHand === true && <circle cx={toX(stroke.t)} cy={FOOT + 46} r={3} className="by-hand" />}
            {index === chosen && (
              <path
                d={`M${toX(stroke.t) - 13} ${MIDDLE - REACH + 12}v-10h26v10M${toX(stroke.t) - 13} ${FOOT - 8}v10h26v-10`}
                className="slot-frame"
              />
            )}
          </g>
        ))}
        {at !== null && at >= from - lead && at <= to + lead && (
          <line x1={toX(at)} x2={toX(at)} y1={4} y2={FOOT} className="listen-playhead" />
        )}
      </svg>
      <p className="stroke-key">
        <Key kind="ring" direction="down" /> down <Key kind="ring" direction="up" /> up
        <svg width={14} height={20}>
          <rect x={4} y={1} width={6} height={8} className="untold" />
          <rect x={4} y={11} width={6} height={8} className="untold" />
        </svg>
        direction not told <Key kind="chuck" direction="down" /> dead <Key kind="air" direction="up" /> not heard, the arm passes
        <svg width={10} height={10}>
          <circle cx={5} cy={5} r={3} className="by-hand" />
        </svg>
        by hand · <b>+9</b> ms after its slot · double press: a stroke there
      </p>
    </div>
  )
}

const Key = ({ kind, direction }: { kind: 'ring' | 'chuck' | 'air'; direction: 'down' | 'up' }) => (
  <svg width={14} height={20}>
    <Blade kind={kind} direction={direction} accent={1} x={7} top={1} bottom={19} lean={0} />
  </svg>
)

/** A stroke without a direction stands upright and broken; one that was struck out is crossed. */
function Struck({ stroke, accent, x, lean }: { stroke: ListenedStroke; accent: number; x: number; lean: number }) {
  const [top, bottom] = [MIDDLE - 30, MIDDLE + 30]
  if (stroke.out === true) return <path d={`M${x - 7} ${MIDDLE - 7}l14 14m0 -14l-14 14`} className="struck-out" />
  if (stroke.direction !== null)
    return (
      <Blade
        kind={stroke.muted === true ? 'chuck' : 'ring'}
        direction={stroke.direction}
        accent={accent}
        x={x}
        top={top}
        bottom={bottom}
        lean={lean}
      />
    )
  const width = [5, 8, 11][accent] ?? 8
  return (
    <g className={stroke.muted === true ? 'untold dead' : 'untold'}>
      <rect x={x - width / 2} y={top} width={width} height={26} />
      <rect x={x - width / 2} y={bottom - 26} width={width} height={26} />
    </g>
  )
}

/** The arm crosses at every slot: where something was heard, at that moment, else where the slot lies. */
function armThrough(strokes: ListenedStroke[], places: Place[], reading: FeelReading, fromBar: number, toBar: number): Crossing[] {
  const heard = new Map<string, ListenedStroke>()
  places.forEach((place, index) => {
    const stroke = strokes[index]
    if (place !== null && stroke !== undefined) heard.set(`${place.bar}:${place.slot}`, stroke)
  })
  const crossings: Crossing[] = []
  for (let bar = Math.max(0, fromBar); bar < toBar; bar++) {
    reading.arm.forEach((arm, slot) => {
      const number = bar * reading.beats_a_bar + Math.floor(slot / reading.grid)
      const beat = reading.beats[number]
      const next = reading.beats[number + 1]
      if (beat === undefined || next === undefined) return
      const stroke = heard.get(`${bar}:${slot}`)
      const x = stroke?.t ?? beat + (reading.places[slot % reading.grid] ?? 0) * (next - beat)
      if (x > (crossings.at(-1)?.x ?? -Infinity) + 0.02) crossings.push({ x, down: (stroke?.direction ?? arm) === 'down' })
    })
  }
  return crossings
}
