import type { HandSketch, LockSlot } from '../../api/types'
import { patternCrossings } from '../../ui/HandWave'
import { Blade } from '../../ui/Blade'
import { leanAt, waveKnots, wavePath } from '../../ui/waveGeometry'

export const WAVE_HEIGHT = 100
const REACH = 34
const MIDDLE = 38

type Props = {
  sketch: HandSketch
  slots: LockSlot[]
  beatMs: number
  width: number
  /** from the place of a stroke on the wave down to its lens */
  leads: { beats: number; to: number }[]
}

/** The arm as planned in ink and as it was played, dashed in oxide. */
export function LockWave({ sketch, slots, beatMs, width, leads }: Props) {
  const played = {
    ...sketch,
    strokes: sketch.strokes.map((stroke) => ({
      ...stroke,
      beats: stroke.beats + (slots.find((slot) => slot.slot === stroke.slot)?.bias_ms ?? 0) / beatMs,
    })),
  }
  const knots = waveKnots(patternCrossings(sketch))
  const toX = (beat: number) => 14 + (beat / sketch.beats) * (width - 22)
  const toY = (h: number) => MIDDLE - h * REACH
  const pxPerBeat = (width - 22) / sketch.beats

  return (
    <g className="lock-wave">
      <clipPath id="lock-wave">
        <rect x={0} y={0} width={width - 8} height={WAVE_HEIGHT} />
      </clipPath>
      {[0, 1, 2, 3, 4, 5].map((string) => (
        <line
          key={string}
          x1={0}
          x2={width - 8}
          y1={MIDDLE + (string - 2.5) * 6.4}
          y2={MIDDLE + (string - 2.5) * 6.4}
          className="wave-string"
        />
      ))}
      <g clipPath="url(#lock-wave)">
        <path d={wavePath(knots, toX, toY)} className="wave-rise" />
        <path d={wavePath(waveKnots(patternCrossings(played)), toX, toY)} className="played" />
      </g>
      {sketch.strokes.map((stroke) => (
        <Blade
          key={stroke.at}
          kind={stroke.kind}
          direction={stroke.direction}
          accent={stroke.accent}
          x={toX(stroke.beats)}
          top={MIDDLE - 20}
          bottom={MIDDLE + 20}
          lean={leanAt(knots, stroke.beats, pxPerBeat, REACH)}
        />
      ))}
      {leads.map((lead) => (
        <path
          key={`${lead.beats}-${lead.to}`}
          d={`M${toX(lead.beats)} ${MIDDLE + REACH + 4}v6L${lead.to} ${WAVE_HEIGHT - 10}v10`}
          className="lead"
        />
      ))}
    </g>
  )
}
