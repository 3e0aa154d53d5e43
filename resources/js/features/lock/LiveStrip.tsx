import { barAt, barEnd } from '../../audio/bars'
import type { Timeline } from '../../api/types'

const WIDTH = 880
const HEIGHT = 150
/** Who plays so many seconds before the bar line means the bar after it. */
const EARLY = 0.125

type Props = { timeline: Timeline; strokes: LiveStroke[]; from?: number }

export type LiveStroke = { t: number; key?: 'down' | 'up' | null }

/** A mark pointing the way the hand went, or a plain one where that is not known. */
const mark = (x: number, key: LiveStroke['key']): string =>
  key === 'down' ? `M${x} 128l-7 -34h14z` : key === 'up' ? `M${x} 94l-7 34h14z` : `M${x - 3} 94h6v34h-6z`

/**
 * The bar of the last stroke: planned strokes of the core's plan, and yours where they fell.
 *
 * @param from bar of the song, from 0, with which the take begins
 */
export function LiveStrip({ timeline, strokes: played, from: first = 0 }: Props) {
  if (timeline.bars.length === 0) return null
  const begins = timeline.bars[first]?.t ?? 0
  const strokes = played.map((stroke) => ({ ...stroke, t: stroke.t + begins }))
  const last = strokes.at(-1)
  const round = last === undefined ? 0 : Math.max(0, Math.floor((last.t + EARLY) / timeline.seconds))
  const reached =
    last === undefined ? first : round * timeline.bars.length + barAt(timeline, Math.max(0, last.t + EARLY - round * timeline.seconds))
  const bar = Math.max(0, reached)
  const inSong = bar % timeline.bars.length
  const { t: from, beats } = timeline.bars[inSong] ?? { t: 0, beats: [] }
  const barSeconds = barEnd(timeline, inSong) - from
  const start = from + Math.floor(bar / timeline.bars.length) * timeline.seconds
  const toX = (t: number) => 84 + ((t - start) / barSeconds) * (WIDTH - 114)
  const planned = timeline.strokes.filter((stroke) => stroke.bar === inSong)
  return (
    <svg className="live-strip" viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label="Your strokes against the plan">
      {[...beats, from + barSeconds].map((beat) => (
        <line key={beat} x1={toX(start + beat - from)} x2={toX(start + beat - from)} y1={10} y2={HEIGHT - 10} className="fret" />
      ))}
      {planned.map((stroke) => (
        <rect key={stroke.t} x={toX(stroke.t - from + start) - 3} y={26} width={6} height={44} className={`plan-mark ${stroke.kind}`} />
      ))}
      {strokes
        .filter((stroke) => stroke.t >= start - 0.1 && stroke.t < start + barSeconds)
        .map((stroke, index) => (
          <path key={index} d={mark(toX(stroke.t), stroke.key)} className="tap-mark" />
        ))}
      <text x={34} y={52} className="fret-number">
        bar {bar + 1}
      </text>
      <text x={34} y={115} className="fret-number">
        you
      </text>
    </svg>
  )
}
