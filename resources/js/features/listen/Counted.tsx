import { Button } from 'antd'
import type { FeelReading } from '../../api/types'
import type { Listened } from './listened'

/** Half or double, and how the beat divides: what ears settle faster than figures. */
export function Counted({
  reading,
  told,
  onTell,
  onTimes,
}: {
  reading: FeelReading
  told: Listened['told']
  onTell: (told: Listened['told']) => void
  onTimes: (times: number) => void
}) {
  return (
    <section className="tell" aria-label="How it is counted">
      <span className="label">Counted</span>
      <Button size="small" onClick={() => onTimes(0.5)}>
        half as fast <kbd>H</kbd>
      </Button>
      <Button size="small" onClick={() => onTimes(2)}>
        twice <kbd>G</kbd>
      </Button>
      <label>
        in{' '}
        <select
          aria-label="Slots a beat"
          value={told.grid ?? 0}
          onChange={(event) => onTell({ grid: Number(event.target.value) || undefined })}
        >
          <option value={0}>{reading.grid} a beat, as heard</option>
          {[1, 2, 3, 4, 6].map((grid) => (
            <option key={grid} value={grid}>
              {grid} a beat
            </option>
          ))}
        </select>
      </label>
    </section>
  )
}
