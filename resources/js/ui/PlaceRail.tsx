import { lazy, Suspense, useState } from 'react'
import { Link } from 'react-router'
import type { Person } from '../api/types'
import { Mark } from './Mark'

const AccountDialog = lazy(() => import('../features/people/AccountDialog').then((page) => ({ default: page.AccountDialog })))

export type RailPlace = 'shelf' | 'students' | 'day'
const PLACES: { place: RailPlace; to: string; name: string; words: string; who: Person['role'][] }[] = [
  { place: 'day', to: '/day', name: 'Today', words: 'what to practise', who: ['student'] },
  { place: 'shelf', to: '/', name: 'Shelf', words: 'breakdowns', who: ['teacher', 'student'] },
  { place: 'students', to: '/students', name: 'Students', words: 'who is where', who: ['teacher'] },
]

type Props = { at: RailPlace; person: Person | undefined; count: string; onHelp?: () => void; onSignOut: () => void }

/** The rail outside a breakdown: where one can go, and who is here. */
export function PlaceRail({ at, person, count, onHelp, onSignOut }: Props) {
  const [account, setAccount] = useState(false)
  return (
    <header className="rail">
      <span className="brand">
        <Mark /> Gravik
      </span>
      <nav aria-label="Place">
        {PLACES.filter(({ who, place }) => place === at || (person !== undefined && who.includes(person.role))).map(
          ({ place, to, name, words }) =>
            place === at ? (
              <span key={place} className="station-tab active" aria-current="page">
                <span>
                  <b>{name}</b>
                  <small>{count}</small>
                </span>
              </span>
            ) : (
              <Link key={place} className="station-tab" to={to}>
                <span>
                  <b>{name}</b>
                  <small>{words}</small>
                </span>
              </Link>
            ),
        )}
      </nav>
      <div className="rail-end">
        {person !== undefined && (
          <button type="button" className="quiet" onClick={() => setAccount(true)}>
            {person.name}
          </button>
        )}
        {onHelp !== undefined && (
          <button type="button" className="quiet" onClick={onHelp}>
            Keys <kbd>?</kbd>
          </button>
        )}
        <button type="button" className="quiet" onClick={onSignOut}>
          Sign out
        </button>
      </div>
      {account && person !== undefined && (
        <Suspense>
          <AccountDialog person={person} onClose={() => setAccount(false)} />
        </Suspense>
      )}
    </header>
  )
}
