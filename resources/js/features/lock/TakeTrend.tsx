import type { TakeRow } from '../../api/types'
import { lateness } from '../../ui/words'

const HEIGHT = 96
const MOST = 10
/** One take that lies far out does not squash the others: the picture reaches to twice what most of them need. */
const MOST_OF_THEM = 0.8

const reachOf = (take: TakeRow): number => Math.abs(take.bias_ms ?? 0) + (take.spread_ms ?? 0)

/**
 * Spread and bias from take to take: bars shrink towards the line as it locks; what lies farther out than the picture
 * reaches ends in an arrow.
 *
 * @param takes newest first
 */
export function TakeTrend({ takes, width, shown = null }: { takes: TakeRow[]; width: number; shown?: string | null }) {
  const latest = takes.slice(0, MOST).reverse()
  const gate = latest.at(-1)?.gate_ms ?? 0
  const reaches = latest.map(reachOf).sort((a, b) => a - b)
  const usual = reaches[Math.floor(MOST_OF_THEM * (reaches.length - 1))] ?? 0
  const reach = Math.max(40, 1.2 * gate, Math.min(2 * usual, reaches.at(-1) ?? 0))
  const step = (width - 30) / Math.max(1, latest.length)
  const toY = (ms: number) => HEIGHT / 2 - 8 - (Math.max(-reach, Math.min(reach, ms)) / reach) * (HEIGHT / 2 - 12)
  const words = latest.map(
    (take) =>
      `take ${take.number} ${take.bias_ms === null ? 'without a bias' : lateness(take.bias_ms)}, spread ${Math.round(take.spread_ms ?? 0)} ms`,
  )
  return (
    <svg
      width={width}
      height={HEIGHT}
      role="img"
      aria-label={`Bias and spread of the latest takes: ${words.join('; ')}. The gate lets ${Math.round(gate)} ms through either way.`}
    >
      <rect x={26} y={toY(gate)} width={width - 30} height={toY(-gate) - toY(gate)} className="lens-gate" />
      <line x1={26} x2={width} y1={toY(0)} y2={toY(0)} className="lens-plan" />
      <text x={0} y={toY(0) - 8} className="trend-word">
        late
      </text>
      <text x={0} y={toY(0) + 16} className="trend-word">
        early
      </text>
      {latest.map((take, index) => {
        const x = 30 + index * step + step / 2
        const bias = take.bias_ms ?? 0
        const spread = take.spread_ms ?? 0
        const beyond = reachOf(take) > reach
        const outer = bias >= 0 ? toY(bias + spread) : toY(bias - spread)
        return (
          <g key={take.id} className={take.id === shown ? 'trend shown' : 'trend'}>
            <rect x={x - 6} width={12} y={toY(bias + spread)} height={Math.max(2, toY(bias - spread) - toY(bias + spread))} />
            <line x1={x - 9} x2={x + 9} y1={toY(bias)} y2={toY(bias)} />
            {beyond && (
              <path
                d={
                  bias >= 0
                    ? `M${x - 6} ${outer + 7}L${x} ${outer}L${x + 6} ${outer + 7}`
                    : `M${x - 6} ${outer - 7}L${x} ${outer}L${x + 6} ${outer - 7}`
                }
                className="trend-beyond"
              />
            )}
            <text x={x} y={HEIGHT - 2} className="trend-number">
              {take.number}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
