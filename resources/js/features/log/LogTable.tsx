import type { Log } from '../../api/log'
import { shortDate } from './dates'

/** The same log in figures. */
export function LogTable({ log, stageName }: { log: Log; stageName: (key: string) => string }) {
  return (
    <div className="log-tables">
      <table className="figures-table">
        <caption>Slots of the latest takes, gate {Math.round(log.gate_ms)} ms</caption>
        <thead>
          <tr>
            <th>Slot</th>
            <th>From the first to the last</th>
            <th>Spread</th>
          </tr>
        </thead>
        <tbody>
          {log.slots.map((slot) => (
            <tr key={slot.name}>
              <th scope="row">{slot.name}</th>
              <td>{slot.words}</td>
              <td>{slot.spread_words}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <table className="figures-table">
        <caption>Checks of what was passed</caption>
        <thead>
          <tr>
            <th>Stage</th>
            <th>Passed</th>
            <th>Checks</th>
            <th>Next</th>
          </tr>
        </thead>
        <tbody>
          {log.upkeep.map((each) => (
            <tr key={each.stage}>
              <th scope="row">{stageName(each.stage)}</th>
              <td>{shortDate(each.begun)}</td>
              <td>
                {each.checks.map(({ on, passed }) => `${shortDate(on)} ${passed ? 'held' : 'did not hold'}`).join(', ') || 'none yet'}
              </td>
              <td>{shortDate(each.due_on)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <table className="figures-table">
        <caption>Takes, the newest first</caption>
        <thead>
          <tr>
            <th>Take</th>
            <th>Day</th>
            <th>Stage</th>
            <th>Tempo</th>
            <th>Gate</th>
            <th>Clean tempo then</th>
          </tr>
        </thead>
        <tbody>
          {[...log.takes].reverse().map((take) => (
            <tr key={take.id}>
              <th scope="row">{take.number}</th>
              <td>{shortDate(take.at)}</td>
              <td>{stageName(take.stage)}</td>
              <td>{take.tempo}</td>
              <td>{take.passed ? 'passed' : 'not passed'}</td>
              <td>{take.clean ?? 'none yet'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
