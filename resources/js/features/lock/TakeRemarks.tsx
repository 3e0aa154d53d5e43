import { useRemarks, useWriteRemark } from '../../api/school'
import type { Take } from '../../api/types'
import { ago } from '../../ui/words'
import { WriteLine } from '../../ui/WriteLine'

/** What teacher and student say of a take to one another. */
export function TakeRemarks({ breakdown, take }: { breakdown: string; take: Take }) {
  const remarks = useRemarks(breakdown, take.id)
  const write = useWriteRemark(breakdown, take.id)
  return (
    <section className="take-remarks" aria-label="Said of this take">
      <h3>Said of this take</h3>
      <ul className="plain-list">
        {remarks.data?.map((each) => (
          <li key={each.id}>
            <span>
              <b>{each.by}</b> {each.text}
            </span>
            <small className="muted">{ago(each.created_at)}</small>
          </li>
        ))}
      </ul>
      <WriteLine label="A sentence on this take" action="Say it" write={write} />
    </section>
  )
}
