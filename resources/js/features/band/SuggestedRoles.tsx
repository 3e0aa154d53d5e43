import { Button, Popover } from 'antd'
import type { Support } from '../../api/song'
import type { Band } from '../../api/types'

type Props = {
  band: Band
  /** what a pass is called */
  nameOf: (pass: string) => string
  mine: boolean
  /** what roles are suggested for */
  support: Support
  onSupport: (support: Support) => void
  onTake: () => void
}

/** Roles that would suit better, each with its reason, taken in one step. */
export function SuggestedRoles({ band: { parts, suggestions, supports }, nameOf, mine, support, onSupport, onTake }: Props) {
  return (
    <Popover
      trigger="click"
      placement="topLeft"
      content={
        <section className="suggestions" aria-label="Suggested roles">
          <div className="button-row">
            <span className="label">For a</span>
            {supports.map(({ slug, words }) => (
              <Button
                key={slug}
                size="small"
                aria-pressed={slug === support}
                type={slug === support ? 'primary' : 'default'}
                onClick={() => onSupport(slug)}
              >
                {words}
              </Button>
            ))}
          </div>
          {suggestions.length === 0 && <p className="muted">Everybody has a role that suits.</p>}
          <ul>
            {suggestions.map((each) => (
              <li key={`${each.part}-${each.from}`}>
                <b>
                  {parts.find(({ id }) => id === each.part)?.words ?? each.part}, {nameOf(each.pass)}: {each.words}
                </b>{' '}
                {each.why}
              </li>
            ))}
          </ul>
          {mine && suggestions.length > 0 && (
            <Button size="small" type="primary" onClick={onTake}>
              Take these roles
            </Button>
          )}
        </section>
      }
    >
      <Button size="small">Suggested roles …</Button>
    </Popover>
  )
}
