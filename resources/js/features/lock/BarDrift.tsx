import type { LockReport } from '../../api/types'
import { lateness } from '../../ui/words'

const WIDTH = 420
const HEIGHT = 74
const LEAST_MS = 20

/** Where each bar lay as a whole: a level line holds the tempo, a slope drifts. */
export function BarDrift({ bars }: { bars: NonNullable<LockReport['bars']> }) {
  const most = Math.max(LEAST_MS, ...bars.map((bar) => Math.abs(bar.ms)))
  const last = Math.max(1, ...bars.map((bar) => bar.bar))
  const toX = (bar: number) => 40 + (bar / last) * (WIDTH - 60)
  const toY = (ms: number) => HEIGHT / 2 + (ms / most) * (HEIGHT / 2 - 16)
  return (
    <svg
      className="bar-drift"
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`Bar by bar: ${bars.map((bar) => lateness(bar.ms)).join(', ')}`}
    >
      <text x={0} y={14} className="figure-word">
        early
      </text>
      <text x={0} y={HEIGHT - 4} className="figure-word">
        late
      </text>
      <line x1={40} x2={WIDTH - 20} y1={HEIGHT / 2} y2={HEIGHT / 2} className="slot-line solid" />
      <path
        d={bars.map((bar, index) => `${index === 0 ? 'M' : 'L'}${toX(bar.bar).toFixed(1)} ${toY(bar.ms).toFixed(1)}`).join('')}
        className="bar-drift-line"
      />
      {bars.map((bar) => (
        <circle key={bar.bar} cx={toX(bar.bar)} cy={toY(bar.ms)} r={2.4} className="figure-dot" />
      ))}
      {[bars[0], ...(bars.length > 1 ? [bars.at(-1)] : [])].map(
        (bar) =>
          bar !== undefined && (
            <text
              key={bar.bar}
              x={toX(bar.bar)}
              y={toY(bar.ms) + (bar.ms > 0 ? -8 : 17)}
              className="figure-word"
              textAnchor={bar.bar === bars[0]?.bar ? 'start' : 'end'}
            >
              bar {bar.bar + 1}: {lateness(bar.ms)}
            </text>
          ),
      )}
    </svg>
  )
}
