import { Button } from 'antd'
import { useState } from 'react'
import { Link } from 'react-router'
import { usePerson } from '../../api/queries'
import { useClass, type ClassRow } from '../../api/school'
import { useKeys } from '../../ui/keys'
import { PlaceRail } from '../../ui/PlaceRail'
import { usePageTitle } from '../../ui/usePageTitle'
import { ago, countOf } from '../../ui/words'
import { Shortcuts } from '../bench/Shortcuts'
import { useShelfWork } from '../shelf/useShelfWork'
import { BandDialog } from './BandDialog'
import { GiveDialog } from './GiveDialog'
import { InviteDialog } from './InviteDialog'
import { RecordDialog } from './RecordDialog'
import { Sittings } from './Sittings'
import { WorkDialog } from './WorkDialog'

type Sheet =
  | { is: 'record' }
  | { is: 'give'; to: ClassRow[] }
  | { is: 'invite' }
  | { is: 'band' }
  | { is: 'reset'; student: ClassRow }
  | { is: 'work'; student: ClassRow }

/** One row a student: what they are on, where it sticks, how it went, what comes back. */
export default function StudentsPage() {
  const person = usePerson().data
  const board = useClass()
  const rows = board.data ?? []
  const [sheet, setSheet] = useState<Sheet | null>(null)
  const [help, setHelp] = useState(false)
  const { signOut } = useShelfWork(() => undefined)
  usePageTitle('Students')
  useKeys({
    '?': () => setHelp(true),
    i: () => setSheet({ is: 'invite' }),
    b: () => setSheet({ is: 'band' }),
    g: () => rows.length > 0 && setSheet({ is: 'give', to: [] }),
  })
  const close = () => setSheet(null)
  return (
    <div className="shelf">
      <PlaceRail
        at="students"
        person={person}
        count={board.data === undefined ? '…' : countOf(rows.length, 'student')}
        onHelp={() => setHelp(true)}
        onSignOut={() => void signOut()}
      />
      <section className="title-row" aria-label="Students">
        <h1>Students</h1>
        <p className="summary">{summaryOf(rows)}</p>
        <div className="title-actions">
          {person?.owner === true && <Button onClick={() => setSheet({ is: 'record' })}>Record</Button>}
          <Button onClick={() => setSheet({ is: 'band' })}>
            Bands <kbd>B</kbd>
          </Button>
          <Button onClick={() => setSheet({ is: 'invite' })}>
            Invite <kbd>I</kbd>
          </Button>
          <Button type="primary" disabled={rows.length === 0} onClick={() => setSheet({ is: 'give', to: [] })}>
            Give work <kbd className="on-ink">G</kbd>
          </Button>
        </div>
      </section>
      <main className="students">
        {board.error !== null && (
          <p role="alert" className="finding finding-off">
            {board.error.message}
          </p>
        )}
        {board.data?.length === 0 && (
          <div className="empty">
            <h2>Nobody is here yet</h2>
            <p>Invite a student by a link, or open a class by a code that you write on the board.</p>
            <Button type="primary" onClick={() => setSheet({ is: 'invite' })}>
              Invite somebody
            </Button>
          </div>
        )}
        {rows.length > 0 && (
          <table className="class-board">
            <thead>
              <tr>
                <th>Student</th>
                <th>Is on</th>
                <th>Where it sticks</th>
                <th>Last takes</th>
                <th>Fourteen days</th>
                <th>
                  <span className="unseen">What can be done</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <Row key={row.id} row={row} onSheet={setSheet} />
              ))}
            </tbody>
          </table>
        )}
      </main>
      {sheet?.is === 'give' && <GiveDialog to={sheet.to.map(({ id }) => id)} onClose={close} />}
      {sheet?.is === 'band' && <BandDialog onClose={close} />}
      {sheet?.is === 'record' && <RecordDialog onClose={close} />}
      {sheet?.is === 'work' && (
        <WorkDialog student={sheet.student} onGive={() => setSheet({ is: 'give', to: [sheet.student] })} onClose={close} />
      )}
      {sheet?.is === 'invite' && person !== undefined && <InviteDialog person={person} onClose={close} />}
      {sheet?.is === 'reset' && person !== undefined && <InviteDialog person={person} reset={sheet.student} onClose={close} />}
      <Shortcuts open={help} onClose={() => setHelp(false)} />
    </div>
  )
}

function Row({ row, onSheet }: { row: ClassRow; onSheet: (sheet: Sheet) => void }) {
  const { on, stuck } = row
  return (
    <tr className={row.last === null || on === null ? 'idle' : undefined}>
      <th scope="row">
        <span className="disc" aria-hidden="true">
          {row.name.trim().at(-1)?.toUpperCase() ?? ''}
        </span>
        {row.name}
      </th>
      <td>
        {on === null ? (
          <span className="off">nothing given</span>
        ) : (
          <>
            <b>{on.title}</b>
            <br />
            {on.passed ? <span className="held">passed</span> : on.stage_name}
            {on.stages.length > 1 && <small className="muted">{` ${on.reached + 1} of ${on.stages.length}`}</small>}
            {on.due_on !== null && !on.passed && <small className="muted">{`, due ${on.due_on}`}</small>}
          </>
        )}
      </td>
      <td>
        {stuck === null ? (
          <span className={row.sittings.length === 0 ? 'muted' : 'held'}>{row.sittings.length === 0 ? '–' : 'nothing sticks'}</span>
        ) : (
          <>
            <span className="stuck">{stuck.finding}</span>
            <br />
            <small className="muted">since {ago(stuck.since)} · </small>
            <Link to={`/breakdown/${stuck.breakdown}/lock?take=${stuck.take}`}>hear it</Link>
          </>
        )}
      </td>
      <td>
        <Sittings sittings={row.sittings} />
        {row.sittings.length > 0 && on !== null && (
          <>
            <br />
            <Link to={`/breakdown/${on.breakdown}/log?student=${row.id}`}>log</Link>
          </>
        )}
      </td>
      <td>
        {countOf(row.minutes, 'minute')}
        <br />
        <small className={row.new > 0 ? 'held' : 'muted'}>
          {row.new > 0 ? `${countOf(row.new, 'take')} since yesterday` : row.last === null ? 'has not played' : `played ${ago(row.last)}`}
        </small>
        {row.late > 0 && <small className="off">{`, ${countOf(row.late, 'check')} late`}</small>}
      </td>
      <td>
        <div className="button-row">
          <Button size="small" onClick={() => onSheet({ is: 'give', to: [row] })}>
            Give
          </Button>
          <Button size="small" onClick={() => onSheet({ is: 'work', student: row })}>
            Work
          </Button>
          <Button size="small" onClick={() => onSheet({ is: 'reset', student: row })}>
            Password
          </Button>
        </div>
      </td>
    </tr>
  )
}

function summaryOf(rows: ClassRow[]): string {
  const fresh = rows.reduce((all, row) => all + row.new, 0)
  const idle = rows.filter(({ on }) => on === null).length
  const stuck = rows.filter((row) => row.stuck !== null).length
  return [
    fresh > 0 ? `${countOf(fresh, 'take')} since yesterday` : 'nothing new since yesterday',
    stuck > 0 ? `${stuck} stuck` : '',
    idle > 0 ? `${idle} without work` : '',
  ]
    .filter((each) => each !== '')
    .join(', ')
}
