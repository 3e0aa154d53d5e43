import { useRecords } from '../../api/school'
import { Dialog } from '../../ui/Dialog'
import { MoreButton } from '../../ui/MoreButton'
import { clock } from '../../ui/words'

/** Who came in, was given something or left: what the owner of a school answers for. */
export function RecordDialog({ onClose }: { onClose: () => void }) {
  const records = useRecords()
  return (
    <Dialog title="The school’s record" open onCancel={onClose} footer={null} width={640}>
      <ul className="plain-list record">
        {records.items?.map(({ id, by, words, about, created_at }) => (
          <li key={id}>
            <small className="muted">
              {created_at.slice(0, 10)} {clock(new Date(created_at))}
            </small>
            <span>
              <b>{by}</b> {words} {about}
            </span>
          </li>
        ))}
      </ul>
      <MoreButton list={records} words="Earlier" />
    </Dialog>
  )
}
