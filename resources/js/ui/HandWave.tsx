import { useMemo } from 'react'
import type { HandSketch, HandSlot } from '../api/types'
import { Blade } from './Blade'
import { leanAt, waveKnots, wavePath, type Crossing, type Knot } from './waveGeometry'

export const MARGIN = 26
const SHORTEST_BLADE = 28

/**
 * Crossings of the pattern with a little of the round before and after, so that the curve runs off both edges.
 *
 * @param line of two the one whose hand is meant; both as one hand where none is said
 */
export function patternCrossings(sketch: HandSketch, line: number | null = null): Crossing[] {
  const strokes = line === null ? sketch.strokes : sketch.strokes.filter(({ stream }) => stream === line)
  const own = strokes.map((stroke) => ({ x: stroke.beats, down: stroke.direction === 'down' }))
  const distinct = own.filter((crossing, index) => index === 0 || crossing.x > (own[index - 1]?.x ?? 0) + 1e-6)
  return [-1, 0, 1].flatMap((round) => distinct.map((crossing) => ({ ...crossing, x: crossing.x + round * sketch.beats })))
}

/** ornament: how the fretting hand comes to the notes of a figure */
type Hit = { at: number; strings: number[]; line?: number; ornament?: string }

type Props = {
  sketch: HandSketch
  slots?: HandSlot[]
  /** beats drawn in this row */
  fromBeat: number
  toBeat: number
  width: number
  height: number
  /** labels of the chords over this row, in beats */
  chords?: { beats: number; symbol: string }[]
  selectedAt?: number | null
  /** of two lines the one that is written in; the other is drawn faint */
  line?: number | null
  onSlot?: (slot: HandSlot) => void
  /** ticks of strokes to point out */
  marked?: number[]
  /** tails: how long strokes ring, in beats */
  /** strings each stroke meets, where the grip is known; the whole hand otherwise */
  hits?: Hit[]
  tails?: { at: number; beats: number; until: number; strings: number[]; ends: number[]; cut: boolean }[]
  strings?: number
}

/** The right arm as one curve through the strings, with every stroke on it. */
export function HandWave({
  sketch,
  slots = [],
  fromBeat,
  toBeat,
  width,
  height,
  chords = [],
  selectedAt = null,
  line = null,
  onSlot,
  marked = [],
  tails = [],
  hits = [],
  strings = 6,
}: Props) {
  const geometry = rowGeometry(width, height, fromBeat, toBeat, chords.length > 0, slots.length > 0)
  const { toX, toY, stringY, top, bottom } = geometry
  const bars = barLines(fromBeat, toBeat, sketch.beats_a_bar)
  // Two hands are drawn without their ways through air: the curve of each shows them.
  const inRow = sketch.strokes.filter(
    (stroke) => stroke.beats >= fromBeat - 0.01 && stroke.beats < toBeat - 0.001 && (stroke.kind !== 'air' || twoLines(sketch) === false),
  )
  const rowsOf = (at: number, stream: number | undefined): number[] => {
    const met = hits
      .filter((hit) => hit.at === at && (stream === undefined || (hit.line ?? 0) === stream))
      .flatMap((hit) => hit.strings.map((string) => strings - string))
    return met.length === 0 ? [0, strings - 1] : met
  }
  const hands = useMemo(() => handsOf(sketch, hits, strings), [sketch, hits, strings])
  const handOf = (stroke: HandSketch['strokes'][number]) =>
    hands.find(({ stream }) => stream === null || stream === stroke.stream) ?? hands[0]
  const heightOf = (rows: [number, number]) => {
    const [from, to] = [stringY(rows[0], strings), stringY(rows[1], strings)]
    const reach = hands.length === 1 ? geometry.reach : Math.max(MARGIN, (to - from) / 2 + 14)
    return { reach, toY: hands.length === 1 ? toY : (h: number) => (from + to) / 2 - h * reach }
  }
  const clip = `wave-${fromBeat}-${Math.round(width)}`

  return (
    <svg className="hand-wave" width={width} height={height} viewBox={`0 0 ${width} ${height}`} role="img" aria-label={describe(sketch)}>
      <clipPath id={clip}>
        <rect x={4} y={0} width={width - 8} height={height} />
      </clipPath>
      {chords.length > 0 && <rect x={MARGIN} y={0} width={width - 2 * MARGIN} height={22} className="chord-band" />}
      {Array.from({ length: strings }, (_, index) => (
        <line key={index} x1={8} x2={width - 8} y1={stringY(index, strings)} y2={stringY(index, strings)} className="wave-string" />
      ))}
      {tails.map((tail) => (
        <Tail
          key={`${tail.at}-${tail.beats}`}
          tail={tail}
          toX={toX}
          stringY={(string) => stringY(strings - string, strings)}
          start={fromBeat}
          end={toBeat}
        />
      ))}
      <g clipPath={`url(#${clip})`}>
        {hands.map(({ stream, knots, rows }) => (
          <WavePath key={stream} knots={knots} toX={toX} toY={heightOf(rows).toY} />
        ))}
      </g>
      {bars.map((beat) => (
        <line key={beat} x1={toX(beat)} x2={toX(beat)} y1={chords.length > 0 ? 0 : top - 14} y2={bottom + 12} className="bar-line" />
      ))}
      {chords.map((chord) => (
        <text key={chord.beats} x={toX(chord.beats) + 9} y={16} className="wave-chord">
          {chord.symbol}
        </text>
      ))}
      {inRow.map((stroke) => (
        <Blade
          key={`${stroke.stream ?? 'air'}-${stroke.at}-${stroke.kind}`}
          faint={line !== null && stroke.stream !== undefined && stroke.stream !== line}
          kind={stroke.kind}
          direction={stroke.direction}
          accent={stroke.accent}
          x={toX(stroke.beats)}
          by={stroke.by}
          {...bladeOver(rowsOf(stroke.at, stroke.stream).map((row) => stringY(row, strings)))}
          lean={leanAt(
            handOf(stroke)?.knots ?? [],
            stroke.beats,
            (width - 2 * MARGIN) / (toBeat - fromBeat),
            heightOf(handOf(stroke)?.rows ?? [0, strings - 1]).reach,
          )}
          selected={stroke.at === selectedAt}
        />
      ))}
      {inRow
        .filter((stroke) => stroke.chord === 'next' || stroke.chord === 'open')
        .map((stroke) => (
          <text key={`grip-${stroke.at}`} x={toX(stroke.beats) + 8} y={top + 2} className="push-mark">
            {stroke.chord === 'next' ? 'push →' : 'open'}
          </text>
        ))}
      {inRow.map((stroke) => {
        const hit = hits.find((each) => each.at === stroke.at && (each.line ?? 0) === stroke.stream && each.ornament !== undefined)
        const ornament = hit?.ornament ?? stroke.ornament
        if (typeof ornament !== 'string') return null
        const y = hit === undefined ? top + 15 : stringY(Math.min(...rowsOf(stroke.at, stroke.stream)), strings) - 8
        return (
          <text key={`ornament-${stroke.stream}-${stroke.at}`} x={toX(stroke.beats) + 8} y={y} className="ornament-mark">
            {ornament.replace('-', ' ')}
          </text>
        )
      })}
      {inRow
        .filter((stroke) => marked.includes(stroke.at))
        .map((stroke) => (
          <circle key={`mark-${stroke.at}`} cx={toX(stroke.beats)} cy={bottom + 5} r={3.5} className="differs-mark" />
        ))}
      {slots
        .filter((slot) => slot.beats >= fromBeat - 0.01 && slot.beats < toBeat - 0.001)
        .map((slot) => (
          <SlotMark
            key={slot.slot}
            slot={slot}
            geometry={geometry}
            selected={slot.at === selectedAt}
            straight={straightBeat(slot, slots)}
          />
        ))}
      {onSlot !== undefined &&
        slots
          .filter((slot) => slot.beats >= fromBeat - 0.01 && slot.beats < toBeat - 0.001)
          .map((slot) => {
            const next = slots.find((each) => each.slot === slot.slot + 1)?.beats ?? toBeat
            const previous = slots.find((each) => each.slot === slot.slot - 1)?.beats ?? slot.beats - (next - slot.beats)
            const left = toX(Math.max(fromBeat - 0.2, (slot.beats + previous) / 2))
            const right = toX(Math.min(toBeat, (slot.beats + next) / 2))
            return (
              <rect
                key={slot.slot}
                data-slot={slot.slot}
                className="slot-hit"
                x={left}
                width={Math.max(1, right - left)}
                y={top - 16}
                height={bottom - top + 46}
                onClick={() => onSlot(slot)}
              >
                <title>{`Slot ${slot.slot + 1}, counted ${slot.syllable === '' ? '–' : slot.syllable}`}</title>
              </rect>
            )
          })}
    </svg>
  )
}

/** From the first string met to the last and a little beyond; on a single string still long enough to be seen. */
function bladeOver(heights: number[]): { top: number; bottom: number } {
  const [from, to] = [Math.min(...heights), Math.max(...heights)]
  const beyond = Math.max(5, (SHORTEST_BLADE - (to - from)) / 2)
  return { top: from - beyond, bottom: to + beyond }
}

/** Whether two lines are struck, each by a hand of its own. */
export const twoLines = (sketch: HandSketch): boolean => new Set(sketch.strokes.flatMap(({ stream }) => stream ?? [])).size === 2

type HandDrawn = { stream: number | null; knots: Knot[]; rows: [number, number] }

/** One arm through all strings, or one for each of two lines, over the strings that it meets. */
function handsOf(sketch: HandSketch, hits: Hit[], strings: number): HandDrawn[] {
  if (!twoLines(sketch)) return [{ stream: null, knots: waveKnots(patternCrossings(sketch)), rows: [0, strings - 1] }]
  return [0, 1].map((stream) => {
    const met = hits.filter((hit) => (hit.line ?? 0) === stream).flatMap((hit) => hit.strings.map((string) => strings - string))
    const rows: [number, number] = met.length === 0 ? [0, strings - 1] : [Math.min(...met), Math.max(...met)]
    return { stream, knots: waveKnots(patternCrossings(sketch, stream)), rows }
  })
}

/** Where things lie in one row of the wave. */
export function rowGeometry(width: number, height: number, fromBeat: number, toBeat: number, chords: boolean, counted: boolean) {
  const top = chords ? 30 : 12
  const bottom = height - (counted ? 34 : 10)
  const reach = (bottom - top) / 2
  const middle = (top + bottom) / 2
  const toX = (beat: number) => MARGIN + ((beat - fromBeat) / (toBeat - fromBeat)) * (width - 2 * MARGIN)
  const toY = (h: number) => middle - h * reach
  const stringY = (index: number, strings: number) => middle + (index - (strings - 1) / 2) * ((reach * 0.92) / (strings - 1))
  return { top, bottom, reach, toX, toY, stringY }
}

function WavePath({ knots, toX, toY }: { knots: Knot[]; toX: (x: number) => number; toY: (h: number) => number }) {
  return (
    <>
      <path d={wavePath(knots, toX, toY)} className="wave-rise" />
      {knots.map((knot, index) => {
        const next = knots[index + 1]
        return next !== undefined && next.h < knot.h ? (
          <path key={knot.x} d={wavePath([knot, next], toX, toY)} className="wave-fall" />
        ) : null
      })}
    </>
  )
}

function SlotMark({
  slot,
  geometry,
  selected,
  straight,
}: {
  slot: HandSlot
  geometry: ReturnType<typeof rowGeometry>
  selected: boolean
  straight: number | null
}) {
  const x = geometry.toX(slot.beats)
  const y = geometry.bottom + 14
  return (
    <g className={`slot-mark${slot.on_beat ? ' on-beat' : ''}${selected ? ' selected' : ''}`}>
      <line x1={x} x2={x} y1={y - 8} y2={y - 2} />
      {straight !== null && Math.abs(straight - slot.beats) > 0.004 && (
        <path d={`M${geometry.toX(straight)} ${y - 8}v6m0 -3H${x}`} className="swing-mark" />
      )}
      <text x={x} y={y + 13}>
        {slot.syllable}
      </text>
      {selected && <path d={`M${x - 14} ${geometry.top - 6}v-8h28v8M${x - 14} ${y + 17}h28`} className="slot-frame" />}
    </g>
  )
}

function Tail({
  tail,
  toX,
  stringY,
  start,
  end,
}: {
  tail: NonNullable<Props['tails']>[number]
  toX: (beat: number) => number
  stringY: (string: number) => number
  start: number
  end: number
}) {
  const from = toX(Math.max(tail.beats, start))
  const to = toX(Math.min(tail.until, end))
  if (to - from < 3 || tail.strings.length === 0) return null
  const ys = tail.strings.map(stringY)
  const top = Math.min(...ys)
  const bottom = Math.max(...ys)
  return (
    <g className="tail">
      <rect x={from} y={top - 2} width={to - from} height={bottom - top + 4} />
      {ys.map((y, index) => (
        <line key={y} x1={from} x2={Math.max(from, Math.min(to, toX(tail.ends[index] ?? tail.until)))} y1={y} y2={y} />
      ))}
      {tail.cut && tail.until <= end && <line x1={to} x2={to} y1={top - 5} y2={bottom + 5} className="tail-end" />}
    </g>
  )
}

function barLines(fromBeat: number, toBeat: number, beatsABar: number): number[] {
  const lines: number[] = []
  for (let beat = Math.ceil(fromBeat / beatsABar) * beatsABar; beat <= toBeat; beat += beatsABar) lines.push(beat)
  return lines
}

/** Where the slot would lie unswung: evenly between the beats around it. */
function straightBeat(slot: HandSlot, slots: HandSlot[]): number | null {
  if (slot.on_beat) return null
  const before = slots.findLast((each) => each.slot < slot.slot && each.on_beat)
  const after = slots.find((each) => each.slot > slot.slot && each.on_beat)
  const count = (after?.slot ?? slots.length) - (before?.slot ?? 0)
  return before === undefined ? null : before.beats + (slot.slot - before.slot) / count
}

function describe(sketch: HandSketch): string {
  const words = sketch.strokes
    .filter((stroke) => stroke.kind !== 'air')
    .map(
      (stroke) =>
        `${stroke.kind === 'ring' ? '' : `${stroke.kind} `}${stroke.direction} at beat ${(stroke.beats + 1).toFixed(2)}${typeof stroke.ornament === 'string' ? `, ${stroke.ornament}` : ''}`,
    )
  return words.length === 0 ? 'No strokes yet' : `Hand: ${words.join(', ')}`
}
