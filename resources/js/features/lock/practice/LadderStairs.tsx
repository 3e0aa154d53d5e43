import { useRef } from 'react'
import type { Ladder } from '../../../api/types'
import { useWidth } from '../../../ui/useWidth'
import type { Cycle } from './session'

const HEIGHT = 190
const FOOT = 34

/** The tempos as stairs; the cycles played stand on the tread they were played at, clean ones upright. */
export function LadderStairs({ ladder, cycles }: { ladder: Ladder; cycles: Cycle[] }) {
  const box = useRef<HTMLDivElement>(null)
  const width = useWidth(box)
  const { steps } = ladder
  const tempos = steps.map((step) => step.bpm)
  const [low, high] = [Math.min(...tempos), Math.max(...tempos)]
  const tread = (width - 20) / steps.length
  const toY = (bpm: number) => HEIGHT - FOOT - 24 - ((bpm - low) / Math.max(1, high - low)) * (HEIGHT - FOOT - 70)
  const every = Math.max(1, Math.ceil(44 / tread))
  const stairs = steps
    .map(
      (step, index) =>
        `${index === 0 ? 'M' : 'L'}${(10 + index * tread).toFixed(1)} ${toY(step.bpm).toFixed(1)}H${(10 + (index + 1) * tread).toFixed(1)}`,
    )
    .join('')
  const at = steps[ladder.at]
  return (
    <div ref={box}>
      <svg
        width={width}
        height={HEIGHT}
        className="stairs"
        role="img"
        aria-label={`Ladder from ${low} to ${high}, next ${at?.bpm ?? low} beats a minute, ${cycles.filter((cycle) => cycle.clean).length} of ${cycles.length} cycles clean`}
      >
        {at !== undefined && <rect x={10 + ladder.at * tread} width={tread} y={0} height={HEIGHT - FOOT + 8} className="stairs-now" />}
        <path d={stairs} className="stairs-line" />
        {steps.map((step, index) => {
          const here = cycles.filter((cycle) => cycle.bpm === step.bpm)
          return (
            <g key={index}>
              {here.slice(-Math.max(1, Math.floor(tread / 9))).map((cycle, number) => (
                <rect
                  key={cycle.take}
                  x={10 + index * tread + 4 + number * 9}
                  y={toY(step.bpm) - (cycle.clean ? 16 : 7)}
                  width={6}
                  height={cycle.clean ? 14 : 5}
                  className={cycle.clean ? 'cycle-clean' : 'cycle-not'}
                >
                  <title>{cycle.clean ? 'clean' : 'not clean'}</title>
                </rect>
              ))}
              {(index % every === 0 || index === ladder.at) && (
                <text
                  x={10 + (index + 0.5) * tread}
                  y={HEIGHT - FOOT + 24}
                  className={index === ladder.at ? 'stairs-bpm now' : 'stairs-bpm'}
                >
                  {step.bpm}
                </text>
              )}
            </g>
          )
        })}
      </svg>
    </div>
  )
}
