import { useMemo } from 'react'
import type { LessonStage } from '../../api/types'
import { Blade } from '../../ui/Blade'
import { patternCrossings } from '../../ui/HandWave'
import { leanAt, waveKnots, wavePath } from '../../ui/waveGeometry'

const STRINGS = 6
const PAD = 8

/** One bar of a stage, small: the arm, its strokes, and how long they ring. */
export function StageWave({ stage, width, height }: { stage: LessonStage; width: number; height: number }) {
  const { sketch, tails } = stage
  const knots = useMemo(() => waveKnots(patternCrossings(sketch)), [sketch])
  const beats = sketch.beats_a_bar
  const reach = height / 2 - 4
  const toX = (beat: number) => PAD + (beat / beats) * (width - 2 * PAD)
  const toY = (h: number) => height / 2 - h * reach
  const stringY = (index: number) => height / 2 + (index - (STRINGS - 1) / 2) * ((reach * 0.9) / (STRINGS - 1))
  const [top, bottom] = [stringY(0) - 5, stringY(STRINGS - 1) + 5]
  return (
    <svg className="stage-wave" width={width} height={height} aria-hidden="true">
      <clipPath id={`stage-${stage.key.replaceAll(/[^a-z0-9]/gi, '-')}`}>
        <rect x={1} y={0} width={width - 2} height={height} />
      </clipPath>
      {tails
        .filter((tail) => tail.beats < beats)
        .map((tail) => (
          <g key={`${tail.at}-${tail.strings.join('')}`} className="stage-rails">
            {tail.strings.map((string, index) => {
              const y = stringY(STRINGS - string)
              const end = toX(Math.min(beats, tail.ends[index] ?? tail.until))
              return <line key={string} x1={toX(tail.beats)} x2={end} y1={y} y2={y} />
            })}
            {tail.cut && tail.until < beats && (
              <line className="stage-end" x1={toX(tail.until)} x2={toX(tail.until)} y1={top + 6} y2={bottom - 6} />
            )}
          </g>
        ))}
      <path d={wavePath(knots, toX, toY)} className="stage-arm" clipPath={`url(#stage-${stage.key.replaceAll(/[^a-z0-9]/gi, '-')})`} />
      {sketch.strokes
        .filter((stroke) => stroke.beats < beats - 0.001 && stroke.kind !== 'air')
        .map((stroke) => (
          <Blade
            key={`${stroke.at}-${stroke.stream ?? 0}`}
            kind={stroke.kind}
            direction={stroke.direction}
            accent={stroke.accent}
            by={stroke.by}
            x={toX(stroke.beats)}
            top={top}
            bottom={bottom}
            lean={leanAt(knots, stroke.beats, (width - 2 * PAD) / beats, reach)}
          />
        ))}
      <line x1={1} x2={1} y1={0} y2={height} className="bar-line" />
    </svg>
  )
}
