import { InputNumber } from 'antd'
import type { Gate } from '../api/types'

type Bound = { name: keyof Gate; label: string; unit: string; times: number; max: number }

const BOUNDS: Bound[] = [
  { name: 'biasMs', label: 'bias ±', unit: 'ms', times: 1, max: 200 },
  { name: 'spreadMs', label: 'spread', unit: 'ms', times: 1, max: 200 },
  { name: 'swingPoints', label: 'swing ±', unit: 'points', times: 1, max: 30 },
  { name: 'missedShare', label: 'missed', unit: '%', times: 100, max: 100 },
]

/** What a take must keep within to pass. */
export function GateBounds({
  gate,
  mine,
  units = false,
  onGate,
}: {
  gate: Gate
  mine: boolean
  units?: boolean
  onGate: (gate: Gate) => void
}) {
  return (
    <>
      {BOUNDS.map(({ name, label, unit, times, max }) => (
        <label key={name}>
          {label}
          <InputNumber
            aria-label={`${label}, ${unit}`}
            size="small"
            controls={false}
            disabled={!mine}
            min={name === 'missedShare' ? 0 : 1}
            max={max}
            value={Math.round(gate[name] * times * 10) / 10}
            onChange={(value) => value !== null && onGate({ ...gate, [name]: value / times })}
          />
          {units && <span className="muted">{unit}</span>}
        </label>
      ))}
    </>
  )
}
