import { useState } from 'react'
import { useSchools } from '../../api/queries'
import { withPattern } from '../../api/desk'
import type { School } from '../../api/types'
import { HandWave } from '../../ui/HandWave'
import { useKeys } from '../../ui/keys'
import { useBench, useMine } from '../bench/benchContext'

/** The pattern in every picking school, one under the other: where the hand goes another way, and what each costs. */
export function SchoolSheet({
  width,
  advised,
  reason,
  onClose,
}: {
  width: number
  advised: string | undefined
  reason: string
  onClose: () => void
}) {
  const { store, desk, tempo } = useBench()
  const { pattern } = desk
  const mine = useMine()
  const schools = useSchools(desk, tempo).data
  const [chosen, setChosen] = useState<number | null>(null)
  const now = schools?.findIndex(({ school }) => school === pattern.school) ?? 0
  const at = chosen ?? now
  const take = (school: string | undefined) =>
    school !== undefined && mine && store.change((d) => withPattern(d, pattern.id, (each) => ({ ...each, school: school as School })))
  useKeys({
    ArrowDown: () => setChosen(Math.min((schools?.length ?? 1) - 1, at + 1)),
    ArrowUp: () => setChosen(Math.max(0, at - 1)),
    Enter: () => take(schools?.[at]?.school),
    Escape: onClose,
    k: onClose,
  })
  if (schools === undefined) return <p className="loading">Trying the schools …</p>
  return (
    <section className="school-sheet" aria-label="Picking schools side by side">
      <p className="muted">
        {reason} A dot: the other way than now.{' '}
        {mine && (
          <>
            <kbd>Enter</kbd> takes the framed one.
          </>
        )}
      </p>
      <ul role="listbox" aria-label="Schools">
        {schools.map((each, index) => (
          <li
            key={each.school}
            role="option"
            aria-selected={index === at}
            className={index === at ? 'chosen' : ''}
            onClick={() => setChosen(index)}
            onDoubleClick={() => take(each.school)}
          >
            <div className="school-words">
              <b>{each.name}</b>
              <small>
                {each.school === pattern.school
                  ? 'as it is now'
                  : each.differs.length === 0
                    ? 'the same strokes'
                    : `${each.differs.length} the other way`}
                {each.school === advised && ', advised'}
              </small>
              <small className="muted">
                {each.limit === null ? '' : `easy to ${Math.round(each.limit.easy_to)}, hard to ${Math.round(each.limit.hard_to)} bpm`}
                {each.crossings.count > 0 && `; ${each.crossings.around} of ${2 * each.crossings.count} the long way`}
              </small>
              {each.faults[0] !== undefined && <small className="fault">{each.faults[0]}</small>}
            </div>
            <HandWave
              sketch={each.sketch}
              fromBeat={0}
              toBeat={each.sketch.beats}
              width={Math.max(300, width - 310)}
              height={66}
              marked={each.differs}
            />
          </li>
        ))}
      </ul>
    </section>
  )
}
