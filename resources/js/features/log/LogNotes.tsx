import { useQueryClient } from '@tanstack/react-query'
import type { Log } from '../../api/log'
import { useWriteRemark } from '../../api/school'
import { WriteLine } from '../../ui/WriteLine'
import { shortDate } from './dates'

/** What teacher and student said, numbered as in the drawing; a new sentence goes to the last take. */
export function LogNotes({ breakdown, log }: { breakdown: string; log: Log }) {
  const last = log.takes.at(-1)
  const client = useQueryClient()
  const write = useWriteRemark(breakdown, last?.id ?? '')
  return (
    <section aria-label="Notes">
      <h3>Notes</h3>
      <ol className="log-notes">
        {log.remarks.map((remark, place) => (
          <li key={remark.id}>
            <span className="log-number">{place + 1}</span>
            <span>
              <b>{shortDate(remark.created_at)}</b> {remark.by}
              <br />
              {remark.text}
            </span>
          </li>
        ))}
      </ol>
      <WriteLine
        key={last?.id}
        label={`A note on take ${last?.number ?? ''}`}
        action="Write it"
        write={write}
        onWritten={() => void client.invalidateQueries({ queryKey: ['log', breakdown] })}
      />
    </section>
  )
}
