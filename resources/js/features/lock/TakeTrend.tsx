import type { Take } from '../../api/types'

const HEIGHT = 96

/** Spread and bias from take to take: bars shrink towards the line as it locks. */
export function TakeTrend({ takes, width, shown = null }: { takes: Take[]; width: number; shown?: string | null }) {
  const latest = takes.slice(-10)
  const reach = Math.max(40, ...latest.map((take) => Math.abs(take.report.bias_ms ?? 0) + (take.report.spread_ms ?? 0)))
  const step = (width - 30) / Math.max(1, latest.length)
  const toY = (ms: number) => HEIGHT / 2 - 8 - (ms / reach) * (HEIGHT / 2 - 12)
  return (
    <svg width={width} height={HEIGHT} role="img" aria-label="Bias and spread of the latest takes">
      <rect x={26} y={toY(15)} width={width - 30} height={toY(-15) - toY(15)} className="lens-gate" />
      <line x1={26} x2={width} y1={toY(0)} y2={toY(0)} className="lens-plan" />
      <text x={0} y={toY(0) - 8} className="trend-word">
        late
      </text>
      <text x={0} y={toY(0) + 16} className="trend-word">
        early
      </text>
      {latest.map((take, index) => {
        const x = 30 + index * step + step / 2
        const bias = take.report.bias_ms ?? 0
        const spread = take.report.spread_ms ?? 0
        return (
          <g key={take.id} className={take.id === shown ? 'trend shown' : 'trend'}>
            <rect x={x - 6} width={12} y={toY(bias + spread)} height={Math.max(2, toY(bias - spread) - toY(bias + spread))} />
            <line x1={x - 9} x2={x + 9} y1={toY(bias)} y2={toY(bias)} />
            <text x={x} y={HEIGHT - 2} className="trend-number">
              {take.number}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
