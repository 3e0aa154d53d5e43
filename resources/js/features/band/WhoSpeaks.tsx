import type { Band, Timeline } from '../../api/types'
import { beatsSince } from '../../audio/bars'
import { Blade } from '../../ui/Blade'
import { leanAt, waveKnots, wavePath } from '../../ui/waveGeometry'

const LABELS = 104
/** A row's height while the band is small, and where many are to be seen at once. */
const TALL = 40
const LOW = 31
const FEW = 4
const ARM = 46
const TOP = 24
const RIGHT = 10

type Props = { band: Band; timeline: Timeline; clash: Band['clashes'][number] | undefined; width: number }

/** Every part against the slots of some bars, the guitarist's arm above; who clashes is framed and hatched. */
export function WhoSpeaks({ band, timeline, clash, width }: Props) {
  const { window, parts } = band
  const x = (beats: number) => LABELS + (beats / Math.max(1, window.beats)) * (width - LABELS - RIGHT)
  const rowsAt = TOP + ARM
  const tall = window.rows.length > FEW ? LOW : TALL
  const base = (row: number) => rowsAt + (row + 1) * tall
  const bottom = base(window.rows.length - 1) + 8
  const framed =
    clash?.bars[0] !== undefined && clash.bars[0] >= window.from && clash.bars[0] < window.from + window.bars ? clash : undefined
  const offset = framed === undefined ? 0 : (window.bar_lines[(framed.bars[0] ?? 0) - window.from] ?? 0)
  const wayOf = (id: string) => parts.find((part) => part.id === id)
  return (
    <svg
      className="who-speaks"
      width={width}
      height={bottom + 18}
      viewBox={`0 0 ${width} ${bottom + 18}`}
      role="img"
      aria-label={wordsOf(band)}
    >
      <rect x={LABELS} y={0} width={width - LABELS - RIGHT} height={20} className="chord-band" />
      {window.chords.map((chord) => (
        <text key={chord.beats} x={x(chord.beats) + 8} y={15} className="wave-chord">
          {chord.symbol}
        </text>
      ))}
      <Arm timeline={timeline} window={window} x={x} y={TOP + ARM / 2} />
      {Array.from({ length: window.beats + 1 }, (_, beat) => (
        <line
          key={beat}
          x1={x(beat)}
          x2={x(beat)}
          y1={window.bar_lines.includes(beat) ? 0 : rowsAt}
          y2={bottom}
          className={window.bar_lines.includes(beat) ? 'bar-line' : 'beat-line'}
        />
      ))}
      {Array.from({ length: window.beats }, (_, beat) => (
        <text key={beat} x={x(beat)} y={bottom + 14} className="beat-number">
          {beat - (window.bar_lines.findLast((line) => line <= beat) ?? 0) + 1}
        </text>
      ))}
      {window.rows.map(({ part, strokes }, row) => (
        <g key={part} className={part === 'guitar' ? 'who-row guitar' : 'who-row'}>
          <text x={0} y={base(row) - 17} className="who-name">
            {wayOf(part)?.words ?? part}
          </text>
          <text x={0} y={base(row) - 4} className="who-way">
            {wayOf(part)?.ways.find(({ slug }) => slug === wayOf(part)?.way)?.words ?? ''}
          </text>
          <line x1={LABELS} x2={width - RIGHT} y1={base(row)} y2={base(row)} className="who-line" />
          {framed?.parts.includes(part) === true &&
            framed.beats.map((beat) => (
              <rect key={beat} x={x(offset + beat) - 4} y={base(row) - tall + 4} width={28} height={tall - 4} className="clash-frame" />
            ))}
          {strokes.map((stroke) => (
            <path
              key={stroke.beats}
              d={
                stroke.dead
                  ? knock(x(stroke.beats), base(row), tall, stroke.loud)
                  : sound(x(stroke.beats), Math.min(width - RIGHT, x(stroke.beats + stroke.length)), base(row), tall, stroke.loud)
              }
              className={stroke.dead ? 'stroke dead' : framed?.parts.includes(part) === true ? 'stroke in-clash' : 'stroke'}
            />
          ))}
        </g>
      ))}
    </svg>
  )
}

/** Loudness as height; it dies away to a third where it ends. */
function sound(from: number, to: number, base: number, tall: number, loud: number): string {
  const height = 4 + loud * (tall - 12)
  const end = Math.max(from + 3, to - 1)
  return `M${from.toFixed(1)} ${base}V${(base - height).toFixed(1)}L${end.toFixed(1)} ${(base - height / 3).toFixed(1)}V${base}Z`
}

/** A dead stroke has a height and no length. */
const knock = (at: number, base: number, tall: number, loud: number): string => {
  const height = 4 + loud * (tall - 14)
  return `M${at - 2} ${base}l2 ${-height}l6 4l-3 ${height - 4}Z`
}

type ArmProps = { timeline: Timeline; window: Band['window']; x: (beats: number) => number; y: number }

/** The guitarist's arm through the bars of the window. */
function Arm({ timeline, window, x, y }: ArmProps) {
  const until = window.from + window.bars
  const strokes = timeline.strokes.filter(({ bar }) => bar >= window.from && bar < until)
  const after = timeline.strokes.find(({ bar }) => bar >= until)
  const crossings = [...strokes, ...(after === undefined ? [] : [after])]
    .map((stroke) => ({ x: beatsSince(timeline, window.from, stroke.t), down: stroke.direction === 'down' }))
    .filter((crossing, place, all) => place === 0 || crossing.x > (all[place - 1]?.x ?? 0) + 1e-3)
  const knots = waveKnots(crossings)
  const reach = ARM / 2 - 4
  const perBeat = x(1) - x(0)
  return (
    <g className="hand-wave">
      <text x={0} y={y + 4} className="who-way">
        guitarist’s arm
      </text>
      <clipPath id="arm-window">
        <rect x={0} y={y - ARM} width={x(window.beats)} height={2 * ARM} />
      </clipPath>
      <path d={wavePath(knots, x, (h) => y - h * reach)} className="wave-rise" clipPath="url(#arm-window)" />
      {strokes.map((stroke) => (
        <Blade
          key={stroke.t}
          kind={stroke.kind as 'ring'}
          direction={stroke.direction as 'down'}
          accent={stroke.accent}
          x={x(beatsSince(timeline, window.from, stroke.t))}
          top={y - 12}
          bottom={y + 12}
          lean={leanAt(knots, beatsSince(timeline, window.from, stroke.t), perBeat, reach)}
        />
      ))}
    </g>
  )
}

const wordsOf = ({ window }: Band): string =>
  window.rows
    .map(
      ({ part, strokes }) => `${part}: ${strokes.length === 0 ? 'silent' : strokes.map(({ beats }) => (beats + 1).toFixed(2)).join(', ')}`,
    )
    .join('; ')
