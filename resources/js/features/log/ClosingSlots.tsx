import type { Log } from '../../api/log'

const PX_PER_MS = 0.72
const ROW = 15
const GAP = 8
const MOST_WIDTH = 112

type Props = { log: Log; width: number }

/** Takes run down, the newest at the bottom: a slot that closes in is a funnel, one that stands still a column. */
export function ClosingSlots({ log, width }: Props) {
  const { slots, gate_ms: gate, finding } = log
  const rows = Math.max(...slots.map(({ takes }) => takes.length), 0)
  const wide = Math.min(MOST_WIDTH, width / slots.length - GAP)
  const scale = Math.min(PX_PER_MS, wide / 2 / (4 * gate))
  const height = rows * ROW + 10
  return (
    <svg
      width={width}
      height={height + 46}
      role="img"
      aria-label={slots.map(({ name, words }) => `${name}: ${words}`).join('; ')}
      className="log-drawing"
    >
      {slots.map((slot, place) => {
        const middle = wide / 2
        const clip = (ms: number) => middle + Math.max(-middle, Math.min(middle, ms * scale))
        const sticks = slot.name === finding?.slot
        const out = ['stays', 'widens'].includes(slot.course)
        const line = slot.takes.flatMap((take, row) => (take === null ? [] : [`${clip(take.bias_ms)} ${row * ROW + 12}`]))
        return (
          <g key={slot.name} transform={`translate(${place * (wide + GAP) + 2} 0)`} className={out ? 'lens off' : 'lens'}>
            <rect width={wide} height={height} y={2} className="lens-paper" />
            <rect x={middle - gate * scale} width={2 * gate * scale} height={height} y={2} className="lens-gate" />
            {slot.takes.map((take, row) =>
              take === null ? null : (
                <rect
                  key={row}
                  x={clip(take.bias_ms - take.spread_ms)}
                  width={Math.max(2, clip(take.bias_ms + take.spread_ms) - clip(take.bias_ms - take.spread_ms))}
                  y={row * ROW + 7}
                  height={ROW - 4}
                  className={Math.abs(take.bias_ms) <= gate ? 'run-band within' : 'run-band'}
                  style={{ opacity: 0.35 + (0.65 * (row + 1)) / rows }}
                />
              ),
            )}
            <line x1={middle} x2={middle} y1={2} y2={height + 2} className="lens-plan" />
            <polyline points={line.join(' ')} className="run-line" />
            {sticks && <path d={brackets(wide, height)} className="run-sticks" />}
            <text x={middle} y={height + 20} className="lens-name">
              {slot.name}
            </text>
            {wide > 84 && (
              <text x={middle} y={height + 38} className="lens-bias">
                {slot.words.replace(', too few takes to say more', '')}
              </text>
            )}
          </g>
        )
      })}
    </svg>
  )
}

/** The corners that say: here it sticks. */
const brackets = (wide: number, height: number): string =>
  `M8 2H0V10M${wide - 8} 2H${wide}V10M0 ${height - 6}V${height + 2}H8M${wide} ${height - 6}V${height + 2}H${wide - 8}`
