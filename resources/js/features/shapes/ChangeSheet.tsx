import { ApiError } from '../../api/client'
import { useChanges } from '../../api/queries'
import type { Fix, GripChange } from '../../api/types'
import { useBench, useDesk } from '../bench/benchContext'
import { FixButtons } from '../bench/FixButtons'

const SCALE_MS = 600

/** Every change of grip: the time the hand has against the time it needs, and what its fingers do meanwhile. */
export function ChangeSheet() {
  const { tempo } = useBench()
  const changes = useChanges(useDesk(), tempo)
  if (changes.error instanceof ApiError)
    return (
      <p role="alert" className="finding finding-off">
        {changes.error.message}
      </p>
    )
  if (changes.data === undefined) return <p className="loading">Playing the line through …</p>
  const tight = changes.data.filter((change) => !change.fits).length
  return (
    <section tabIndex={0} className="tool-sheet" aria-label="Changes">
      <h2>
        {changes.data.length === 0
          ? 'One grip throughout: nothing to change'
          : tight === 0
            ? `Every change fits at ${tempo} bpm`
            : `${tight} of ${changes.data.length} changes are too tight at ${tempo} bpm`}
      </h2>
      <p className="muted">
        Ink is the time the hand needs, the bar behind it the time it has. Both are rules of thumb: a practised hand is quicker.
      </p>
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
  const { stay, slide, common } = change
  const still = change.need_ms === 0
  const parts = [
    still && slide.length === 0 ? 'no finger moves' : null,
    still && slide.length > 0 ? 'the whole grip slides' : null,
    !still && stay.length > 0 ? `${named('finger', stay)} ${stay.length > 1 ? 'stay' : 'stays'}` : null,
    !still && slide.length > 0 ? `${named('finger', slide)} ${slide.length > 1 ? 'slide on their strings' : 'slides on its string'}` : null,
    !still && stay.length + slide.length === 0 ? 'every finger lifts' : null,
    common.length > 0 ? `${named('string', common)} ${common.length > 1 ? 'ring' : 'rings'} on` : null,
  ]
  return parts.filter((part) => part !== null).join(' · ')
}

const named = (what: string, list: number[]): string =>
  `${what}${list.length > 1 ? 's' : ''} ${list.map((each) => (what === 'finger' && each === 5 ? 'thumb' : String(each))).join(', ')}`
