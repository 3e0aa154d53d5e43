import { Select } from 'antd'
import type { Support } from '../../api/song'
import type { Band, PassDocument } from '../../api/types'
import { passName } from '../../ui/words'
import { SuggestedRoles } from './SuggestedRoles'

type Visit = Band['visits'][number]
type Role = Visit['roles'][number]

type Props = {
  band: Band
  passes: PassDocument[]
  mine: boolean
  /** first bar of the window above */
  from: number
  onWindow: (from: number) => void
  onRole: (part: string, visit: Visit, role: Role) => void
  /** what roles are suggested for */
  support: Support
  onSupport: (support: Support) => void
  /** takes the roles that are suggested */
  onTake: () => void
}

/** Who does what in which section of which pass; framed where two lead at once. */
export function RolesBoard({ band, passes, mine, from, onWindow, onRole, support, onSupport, onTake }: Props) {
  const { visits, parts, role_choices } = band
  const nameOf = (id: string) => passName(passes, id)
  return (
    <section className="roles" aria-label="Roles">
      <div className="roles-head">
        <h2>
          Roles <small className="muted">framed: two lead at once; press a head to see its bars</small>
        </h2>
        <SuggestedRoles band={band} nameOf={nameOf} mine={mine} support={support} onSupport={onSupport} onTake={onTake} />
      </div>
      <div className="roles-scroll" tabIndex={0} role="region" aria-label="Roles by section">
        <table>
          <thead>
            <tr>
              <th scope="col">
                <span className="unseen">Part</span>
              </th>
              {visits.map((visit) => (
                <th key={visit.from} scope="col" className={from >= visit.from && from < visit.from + visit.bars ? 'shown' : ''}>
                  <button type="button" onClick={() => onWindow(visit.from)}>
                    <b>
                      {visit.name}
                      {passes.length > 1 && `, ${nameOf(visit.pass)}`}
                    </b>
                    <small>{visit.lead === '' ? `bar ${visit.from + 1}` : visit.lead}</small>
                  </button>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {parts.map((part, place) => (
              <tr key={part.id}>
                <th scope="row">{part.words}</th>
                {visits.map((visit) => {
                  const role = visit.roles[place] ?? 'active'
                  const framed = visit.too_many_lead.includes(part.id)
                  return (
                    <td key={visit.from} className={framed ? `role ${role} framed` : `role ${role}`}>
                      <Select
                        size="small"
                        variant="borderless"
                        aria-label={`${part.words} in ${visit.name}, ${nameOf(visit.pass)}`}
                        value={role}
                        disabled={!mine}
                        options={role_choices.map(({ slug, words }) => ({ value: slug, label: words }))}
                        onChange={(to: Role) => onRole(part.id, visit, to)}
                        popupMatchSelectWidth={false}
                      />
                    </td>
                  )
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  )
}
