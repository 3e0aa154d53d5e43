import { ApiError } from '../../api/client'
import { samePlace } from '../../api/pins'
import { useRemarks } from '../../api/queries'
import type { PinDocument, VoicedChord } from '../../api/types'
import { useDocument } from '../bench/benchContext'
import { FixButtons } from '../bench/FixButtons'

/** What may be a slip. It asks; a click takes a proposal over. */
export function ProofSheet({ chords }: { chords: VoicedChord[] }) {
  const remarks = useRemarks(useDocument())
  if (remarks.error instanceof ApiError)
    return (
      <p role="alert" className="finding finding-off">
        {remarks.error.message}
      </p>
    )
  if (remarks.data === undefined) return <p className="loading">Reading along …</p>
  const where = (place: PinDocument['at'] | null) => {
    const chord = place === null ? undefined : chords.find((each) => samePlace(each.place, place))
    return chord === undefined ? 'The tune' : `Bar ${chord.form_bar + 1}, ${chord.symbol}`
  }
  return (
    <section tabIndex={0} className="tool-sheet" aria-label="Proofreading">
      <h2>
        {remarks.data.length === 0
          ? 'Nothing to ask about'
          : remarks.data.length === 1
            ? 'One question'
            : `${remarks.data.length} questions`}
      </h2>
      {remarks.data.length === 0 && (
        <p className="muted">Pinned grips sound the chords they stand under, a hand can hold them, and every root lies in the key.</p>
      )}
      <ul className="remarks">
        {remarks.data.map((remark, index) => (
          <li key={index}>
            <b>{where(remark.place)}</b>
            <p>{remark.text}</p>
            <FixButtons fixes={remark.fixes} />
          </li>
        ))}
      </ul>
    </section>
  )
}
