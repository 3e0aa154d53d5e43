import { ApiError } from '../../api/client'
import { useChanges } from '../../api/queries'
import type { Fix, GripChange } from '../../api/types'
import { useBench, useDocument } from '../bench/benchContext'
import { FixButtons } from './FixButtons'

const SCALE_MS = 600

/** Every change of grip: the time the hand has against the time it needs, and what its fingers do meanwhile. */
export function ChangeSheet() {
  const { tempo } = useBench()
  const changes = useChanges(useDocument(), tempo)
  if (changes.error instanceof ApiError) return <p role="alert" className="finding finding-off">{changes.error.message}</p>
  if (changes.data === undefined) return <p className="loading">Playing the line through …</p>
  const tight = changes.data.filter((change) => !change.fits).length
  return (
    <section className="tool-sheet" aria-label="Changes">
      <h2>
        {changes.data.length === 0 ? 'One grip throughout: nothing to change' : tight === 0 ? `Every change fits at ${tempo} bpm` : `${tight} of ${changes.data.length} changes are too tight at ${tempo} bpm`}
      </h2>
      <p className="muted">Ink is the time the hand needs, the pale bar the time it has. Both are rules of thumb: a practised hand is quicker.</p>
      <ol className="change-list">
        {changes.data.map((change, index) => (
          <li key={index} className={change.fits ? '' : 'tight'}>
            <span className="change-name">
              <b>
                {change.from} → {change.to}
              </b>
              <small>
                bar {change.bar + 1} · {change.from_frets} → {change.to_frets}
              </small>
            </span>
            <Bars change={change} />
            <span className="change-words">
              {words(change)}
              {change.repairs.length > 0 && <FixButtons fixes={change.repairs as Fix[]} />}
            </span>
          </li>
        ))}
      </ol>
    </section>
  )
}

function Bars({ change }: { change: GripChange }) {
  const width = (ms: number) => `${Math.min(100, (100 * ms) / SCALE_MS)}%`
  return (
    <span className="change-bars" title={`needs ${Math.round(change.need_ms)} ms, has ${Math.round(change.have_ms)} ms`}>
      <i className="have" style={{ width: width(change.have_ms) }} />
      <i className="need" style={{ width: width(change.need_ms) }} />
      <small>
        {Math.round(change.need_ms)} of {Math.round(change.have_ms)} ms
      </small>
    </span>
  )
}

function words(change: GripChange): string {
  const fingers = (list: number[]) => list.map((finger) => (finger === 5 ? 'thumb' : String(finger))).join(', ')
  const still = change.need_ms === 0
  const parts = [
    still ? (change.slide.length > 0 ? 'the whole grip slides' : 'no finger moves') : change.stay.length > 0 ? `finger ${fingers(change.stay)} stays` : change.slide.length === 0 ? 'every finger lifts' : null,
    !still && change.slide.length > 0 ? `finger ${fingers(change.slide)} slides on its string` : null,
    change.common.length > 0 ? `strings ${change.common.join(', ')} ring on` : null,
  ]
  return parts.filter((part) => part !== null).join(' · ')
}
