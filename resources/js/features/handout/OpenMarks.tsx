import { useMarks } from '../../api/handout'
import { useDocument } from '../bench/benchContext'

/** What is unsure yet, and what may be either way. */
export function OpenMarks() {
  const document = useDocument()
  const marks = useMarks(document).data ?? []
  if (marks.length === 0) return null
  return (
    <section className="open-marks" aria-label="Open marks">
      <h2>Open marks</h2>
      <ul>
        {marks.map((mark, place) => (
          <li key={place} className={mark.place === null ? 'cut' : undefined}>
            {mark.place === null ? (
              'What this stood on is gone.'
            ) : (
              <>
                <b>{mark.words}</b>: {mark.place}, {mark.value}
                {mark.other === '' ? '' : ` or ${mark.other}`}
                {mark.note === '' ? '' : ` (${mark.note})`}
              </>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
