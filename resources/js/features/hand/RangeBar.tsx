import type { Hand } from '../../api/types'

const FROM = 40
const TO = 300
const WHY = { 'same-direction': 'too many strokes in one direction', total: 'too many strokes in all' }

/** To which tempo the hand holds this pattern in this school: easy, hard, and why not beyond. */
export function RangeBar({ limit, tempo }: { limit: Hand['limit']; tempo: number }) {
  if (limit === null) return null
  const at = (bpm: number) => `${(100 * (Math.min(TO, Math.max(FROM, bpm)) - FROM)) / (TO - FROM)}%`
  return (
    <figure className="range-bar" aria-label={`Easy to ${Math.round(limit.easy_to)}, hard to ${Math.round(limit.hard_to)} beats a minute`}>
      <span className="range">
        <i className="easy" style={{ width: at(limit.easy_to) }} />
        <i className="hard" style={{ left: at(limit.easy_to), right: `calc(100% - ${at(limit.hard_to)})` }} />
        <b style={{ left: at(tempo) }} title={`now at ${tempo}`} />
      </span>
      <figcaption className="muted">
        easy to {Math.round(limit.easy_to)}, hard to {Math.round(limit.hard_to)} bpm; then {WHY[limit.why]}
      </figcaption>
    </figure>
  )
}
