import type { LockReport } from '../../api/types'

const WIDTH = 420
const [LOW, HIGH] = [42, 80]

/** Where in the beat the off-beats fell, with the interval, against where the groove wants them. */
export function SwingGauge({
  swing,
  shares,
}: {
  swing: NonNullable<LockReport['swing']>
  shares: NonNullable<LockReport['swing_shares']>
}) {
  const toX = (percent: number) => 20 + ((Math.min(HIGH, Math.max(LOW, percent)) - LOW) / (HIGH - LOW)) * (WIDTH - 40)
  const planned = 100 * shares.planned
  const played = 100 * shares.played
  const near = Math.abs(toX(planned) - toX(played)) < 66
  return (
    <section className="swing-gauge">
      <h3>Swing gauge</h3>
      <svg
        width={WIDTH}
        height={104}
        viewBox={`0 0 ${WIDTH} 104`}
        role="img"
        aria-label={`Off-beats played at ${Math.round(played)} percent of the beat, planned at ${Math.round(planned)} percent`}
      >
        <rect
          x={toX(100 * shares.low)}
          width={Math.max(2, toX(100 * shares.high) - toX(100 * shares.low))}
          y={16}
          height={40}
          className="gauge-interval"
        />
        <line x1={toX(LOW)} x2={toX(HIGH)} y1={56} y2={56} className="gauge-axis" />
        {[50, 58, 66.7, 75].map((tick) => (
          <g key={tick}>
            <line x1={toX(tick)} x2={toX(tick)} y1={52} y2={60} className="gauge-axis" />
          </g>
        ))}
        <text x={toX(50)} y={98} className="gauge-word">
          straight
        </text>
        <text x={toX(75)} y={98} className="gauge-word">
          hard
        </text>
        <line x1={toX(planned)} x2={toX(planned)} y1={10} y2={56} className="gauge-planned" />
        <path d={`M${toX(planned)} 49l6 7l-6 7l-6 -7z`} className="gauge-planned" />
        <line x1={toX(played)} x2={toX(played)} y1={10} y2={56} className="gauge-played" />
        <text x={toX(planned) + (near && planned >= played ? 26 : near ? -26 : 0)} y={78} className="gauge-planned-text">
          {Math.round(planned)} %
        </text>
        <text x={toX(played) + (near && planned >= played ? -26 : near ? 26 : 0)} y={78} className="gauge-played-text">
          {Math.round(played)} %
        </text>
      </svg>
      <p className="muted">
        played {swing.played.toFixed(2)} : 1 (between {swing.low.toFixed(2)} and {swing.high.toFixed(2)}), planned{' '}
        {swing.planned.toFixed(2)} : 1
      </p>
    </section>
  )
}
