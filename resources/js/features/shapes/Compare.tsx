import type { Voicing } from '../../api/types'
import { hearGrip } from '../../audio/hearGrip'
import { gripText } from '../../ui/gripText'
import { MiniNeck } from '../../ui/MiniNeck'

const ROWS: [string, (voicing: Voicing) => string][] = [
  ['degrees', (voicing) => voicing.degrees.filter((degree) => degree !== null).join(' ')],
  ['top', (voicing) => `${voicing.top.note} = ${voicing.top.degree}`],
  ['fret', (voicing) => String(voicing.position)],
  ['span', (voicing) => `${Math.round(voicing.span_mm)} mm`],
  ['difficulty', (voicing) => voicing.difficulty.toFixed(1)],
]

/** Two grips side by side; each is heard when it is pressed. */
export function Compare({ one, other, onEnd }: { one: Voicing; other: Voicing; onEnd: () => void }) {
  return (
    <section className="compare">
      <h3>
        Side by side{' '}
        <button type="button" className="quiet" onClick={onEnd}>
          end it <kbd>X</kbd>
        </button>
      </h3>
      <table>
        <tbody>
          <tr>
            <th />
            {[one, other].map((voicing, index) => (
              <td key={index}>
                <button
                  type="button"
                  className="quiet"
                  aria-label={`Hear ${gripText(voicing.frets)}`}
                  onClick={() => void hearGrip(voicing)}
                >
                  <MiniNeck voicing={voicing} width={100} />
                </button>
              </td>
            ))}
          </tr>
          {ROWS.map(([name, of]) => (
            <tr key={name} className={of(one) === of(other) ? 'muted' : ''}>
              <th>{name}</th>
              <td>{of(one)}</td>
              <td>{of(other)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
