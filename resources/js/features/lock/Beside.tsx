import { Button } from 'antd'
import type { Take } from '../../api/types'
import { lateness } from '../../ui/words'
import { barsOfTake } from './takeWords'
import { LockStrip } from './LockStrip'

const FIGURES: [string, (take: Take) => string][] = [
  ['bias', ({ report }) => (report.bias_ms === null ? '–' : lateness(report.bias_ms))],
  ['spread', ({ report }) => (report.spread_ms === null ? '–' : `${Math.round(report.spread_ms)} ms`)],
  ['swing', ({ report }) => (report.swing === null || report.swing === undefined ? '–' : `${report.swing.played.toFixed(2)} : 1`)],
  ['drift', ({ report }) => (report.drift_ms == null ? 'none' : `${lateness(report.drift_ms)} by the end`)],
  ['missed', ({ report }) => `${report.missed} of ${report.planned}`],
  ['gate', ({ report }) => (report.gate.passed ? 'open' : 'shut')],
]

/** Two takes one under the other, with their figures side by side. */
export function Beside({ one, other, onClose }: { one: Take; other: Take; onClose: () => void }) {
  return (
    <div className="beside">
      {[one, other].map((take) => (
        <section key={take.id}>
          <h3>
            Take {take.number}{' '}
            <span className="muted">
              {take.player} · {take.tempo} bpm · {barsOfTake(take)}
            </span>
          </h3>
          <LockStrip report={take.report} bars={take.bars} tempo={take.tempo} sketch={null} />
        </section>
      ))}
      <table className="beside-figures">
        <thead>
          <tr>
            <th />
            <th>Take {one.number}</th>
            <th>Take {other.number}</th>
          </tr>
        </thead>
        <tbody>
          {FIGURES.map(([name, of]) => (
            <tr key={name}>
              <th>{name}</th>
              <td>{of(one)}</td>
              <td>{of(other)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Button onClick={onClose}>One alone</Button>
    </div>
  )
}
