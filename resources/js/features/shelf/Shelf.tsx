import { Button, Input } from 'antd'
import { lazy, Suspense, useDeferredValue, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import { usePerson, useShelf } from '../../api/queries'
import type { BreakdownCard } from '../../api/types'
import { useKeys } from '../../ui/keys'
import { MoreButton } from '../../ui/MoreButton'
import { PlaceRail } from '../../ui/PlaceRail'
import { beginFirstPath } from '../bench/firstPath'
import { usePageTitle } from '../../ui/usePageTitle'
import { countOf } from '../../ui/words'
import { Shortcuts } from '../bench/Shortcuts'
import { BreakdownPanel } from './BreakdownPanel'
import { Board, bookId } from './Board'
import { boards } from './boards'
import { ImportButton } from './ImportButton'
import { MovesDialog } from './MovesDialog'
import { NewBreakdown } from './NewBreakdown'
import { RenameDialog } from './RenameDialog'
import { useShelfWork } from './useShelfWork'

// It brings the sound along, which the shelf alone does not need.
const GiveDialog = lazy(() => import('../students/GiveDialog').then((page) => ({ default: page.GiveDialog })))
const QuickFinder = lazy(() => import('../finder/QuickFinder'))

/** Where no tune is on the bench, grips are named in C on a standard neck. */
const ANY_TUNE = { key: 'C major', tuning: 'standard', capo: 0, company: 'alone' as const }

/** All breakdowns as bars of one continuous hand, sorted from straight to hard. */
export default function Shelf() {
  const person = usePerson().data
  const navigate = useNavigate()
  const [search, setSearch] = useState('')
  const shelf = useShelf(useDeferredValue(search))
  const [chosenId, setChosenId] = useState<string | null>(null)
  const [making, setMaking] = useState(false)
  const [renaming, setRenaming] = useState(false)
  const [help, setHelp] = useState(false)
  const [finding, setFinding] = useState(false)
  const [giving, setGiving] = useState(false)
  const [moving, setMoving] = useState(false)
  const searchField = useRef<{ focus(): void } | null>(null)
  const teacher = person?.role === 'teacher'
  usePageTitle('Shelf')
  const rows = boards(shelf.items ?? [])
  const cards = rows.flatMap((row) => row.cards)
  const chosen = cards.find((card) => card.id === chosenId) ?? cards[0] ?? null

  const { refresh, duplicate, remove, rename, signOut } = useShelfWork(setChosenId)
  const makeFirst = () => {
    beginFirstPath()
    setMaking(true)
  }
  const open = (card: BreakdownCard) => void navigate(`/breakdown/${card.id}`)
  /** The focus goes along, so that who cannot see the frame knows where it is. */
  const step = (by: number) => {
    const next = cards[Math.min(cards.length - 1, Math.max(0, cards.findIndex((card) => card.id === chosen?.id) + by))]
    if (next === undefined) return
    setChosenId(next.id)
    window.document.getElementById(bookId(next.id))?.focus()
  }
  useKeys({
    ArrowRight: () => step(1),
    ArrowLeft: () => step(-1),
    ArrowDown: () => step(3),
    ArrowUp: () => step(-3),
    Enter: () => chosen !== null && open(chosen),
    n: () => teacher && setMaking(true),
    g: () => teacher && chosen?.mine === true && setGiving(true),
    '/': () => searchField.current?.focus(),
    '?': () => setHelp(true),
    q: () => setFinding(true),
  })

  return (
    <div className="shelf">
      <PlaceRail
        at="shelf"
        person={person}
        count={shelf.total === null ? '…' : countOf(shelf.total, search.trim() === '' ? 'breakdown' : 'match')}
        onHelp={() => setHelp(true)}
        onSignOut={() => void signOut()}
      />
      <section className="title-row" aria-label="Shelf">
        <h1>Shelf</h1>
        <p className="summary">each bar of the line is a breakdown; straight at the left, hard at the right</p>
        <div className="title-actions">
          <Input
            ref={(field) => {
              searchField.current = field
            }}
            aria-label="Search the shelf"
            placeholder="Search title, genre, key  /"
            allowClear
            style={{ width: 240 }}
            value={search}
            onChange={(event) => setSearch(event.target.value)}
            onKeyDown={(event) => event.key === 'Escape' && event.currentTarget.blur()}
          />
          {teacher && <Button onClick={() => setMoving(true)}>Moves</Button>}
          {teacher && (
            <ImportButton
              onImported={(id) => {
                setChosenId(id)
                void refresh()
              }}
            />
          )}
          {teacher && (
            <Button type="primary" onClick={() => setMaking(true)}>
              New breakdown
            </Button>
          )}
        </div>
      </section>
      <main className="shelf-body">
        <div className="shelf-boards">
          {shelf.items === undefined && shelf.error === null && <p className="loading">Taking the breakdowns off the shelf …</p>}
          {shelf.error !== null && (
            <p role="alert" className="finding finding-off">
              {shelf.error.message}
            </p>
          )}
          {shelf.items?.length === 0 && search.trim() === '' && <EmptyShelf teacher={teacher} onNew={() => makeFirst()} />}
          {shelf.items?.length === 0 && search.trim() !== '' && (
            <p className="empty">
              Nothing on the shelf matches “{search}”.{' '}
              <Button size="small" onClick={() => setSearch('')}>
                Show all
              </Button>
            </p>
          )}
          {rows.map((row) => (
            <Board key={row.name} name={row.name} cards={row.cards} chosen={chosen?.id ?? null} onChoose={setChosenId} onOpen={open} />
          ))}
          <MoreButton list={shelf} words="Show more of the shelf" />
        </div>
        {chosen !== null && (
          <BreakdownPanel
            key={chosen.id}
            card={chosen}
            onOpen={() => open(chosen)}
            onDuplicate={() => void duplicate(chosen)}
            onRename={() => setRenaming(true)}
            onDelete={() => void remove(chosen)}
            onGive={() => setGiving(true)}
            teacher={teacher}
          />
        )}
      </main>
      {giving && chosen !== null && (
        <Suspense>
          <GiveDialog breakdown={chosen} onClose={() => setGiving(false)} />
        </Suspense>
      )}
      {making && <NewBreakdown onClose={() => setMaking(false)} />}
      {renaming && chosen !== null && (
        <RenameDialog title={chosen.title} onRename={(title) => void rename(chosen, title)} onClose={() => setRenaming(false)} />
      )}
      {moving && <MovesDialog onClose={() => setMoving(false)} />}
      {finding && (
        <Suspense>
          <QuickFinder neck={ANY_TUNE} onClose={() => setFinding(false)} />
        </Suspense>
      )}
      <Shortcuts open={help} onClose={() => setHelp(false)} />
    </div>
  )
}

function EmptyShelf({ teacher, onNew }: { teacher: boolean; onNew: () => void }) {
  return (
    <div className="empty">
      <h2>{teacher ? 'The shelf is empty' : 'Nothing is assigned to you yet'}</h2>
      <p>
        {teacher
          ? 'A breakdown starts with a chord line and a strum. From there it is five minutes through all the stations, and you may leave the way at any time.'
          : 'Your teacher puts breakdowns here for you. Ask for the first one.'}
      </p>
      {teacher && (
        <Button type="primary" size="large" onClick={onNew}>
          Make the first breakdown
        </Button>
      )}
    </div>
  )
}
