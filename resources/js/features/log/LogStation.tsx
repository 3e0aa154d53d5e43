import { Button, Segmented, Select } from 'antd'
import { useRef, useState } from 'react'
import { useSearchParams } from 'react-router'
import { useLesson } from '../../api/lesson'
import { useLog, type Log } from '../../api/log'
import { useKeys } from '../../ui/keys'
import { useTabState } from '../../ui/useTabState'
import { useWidth } from '../../ui/useWidth'
import { countOf } from '../../ui/words'
import { useBench, useDocument } from '../bench/benchContext'
import { CleanTempo } from './CleanTempo'
import { ClosingSlots } from './ClosingSlots'
import { LogNotes } from './LogNotes'
import { LogTable } from './LogTable'
import { UpkeepSwings } from './UpkeepSwings'

const WAYS = [
  { value: 'drawn', label: 'drawn' },
  { value: 'table', label: 'in figures' },
]

/** What one student reached, minute by minute, and which slot does not close in. */
export default function LogStation({ onPractise }: { onPractise: () => void }) {
  const { store, setTempo, setStage } = useBench()
  const document = useDocument()
  const { id } = store.getState()
  const [query] = useSearchParams()
  // A teacher comes from the class to the student who is meant.
  const [player, setPlayer] = useState<number | null>(Number(query.get('student') ?? 0) || null)
  const [stage, setLooked] = useState<string | null>(null)
  const [way, setWay] = useTabState<string>('log-way', 'drawn')
  const log = useLog(id, player, stage).data
  const lesson = useLesson(document, null).data
  const box = useRef<HTMLDivElement>(null)
  const width = useWidth(box)
  const stageName = (key: string) =>
    key === '' ? 'the whole song' : (lesson?.stages.find((each) => each.key === key)?.name ?? 'an earlier stage')
  const practise = () => {
    const now = log?.stages.find((each) => each.stage === log.stage)?.now
    if (now != null) setTempo(now)
    setStage(log?.stage === '' || log === undefined ? null : log.stage)
    onPractise()
  }
  useKeys({ v: () => setWay(way === 'drawn' ? 'table' : 'drawn'), l: () => window.print(), p: practise })

  return (
    <div className="with-side log-station">
      <div className="station-main">
        <div ref={box} />
        <div className="station-head">
          <h2>Log</h2>
          {log !== undefined && log.players.length > 1 && (
            <Select
              size="small"
              aria-label="Student"
              style={{ minWidth: 150 }}
              value={log.player?.id ?? null}
              options={log.players.map((each) => ({ value: each.id, label: each.name }))}
              onChange={(value) => {
                setPlayer(value)
                setLooked(null)
              }}
            />
          )}
          {log !== undefined && log.stages.length > 1 && (
            <Select
              size="small"
              aria-label="Stage whose slots are shown"
              style={{ minWidth: 200 }}
              value={log.stage}
              options={log.stages.map((each) => ({ value: each.stage, label: stageName(each.stage) }))}
              onChange={setLooked}
            />
          )}
          <Segmented size="small" aria-label="How it is shown" options={WAYS} value={way} onChange={setWay} />
        </div>
        {log === undefined ? (
          <p className="loading">Opening the log …</p>
        ) : log.takes.length === 0 ? (
          <div className="empty">
            <h2>Nothing was played yet</h2>
            <p>Every take in Lock is written down here by itself: its tempo, its slots, its minutes.</p>
            <Button type="primary" onClick={onPractise}>
              To Lock
            </Button>
          </div>
        ) : way === 'table' ? (
          <LogTable log={log} stageName={stageName} />
        ) : (
          <Drawings log={log} goal={document.start.tempo} stageName={stageName} width={width} />
        )}
      </div>
      {log?.player != null && log.takes.length > 0 && (
        <aside className="side" aria-label="What it comes to">
          <Figures log={log} />
          {log.finding !== null && (
            <p className="finding finding-off">
              <b>{log.finding.text}</b>
              {log.finding.reason}
            </p>
          )}
          <div className="button-row">
            <Button type="primary" onClick={practise}>
              Practise it <kbd className="on-ink">P</kbd>
            </Button>
            <Button onClick={() => window.print()}>
              Print the page <kbd>L</kbd>
            </Button>
          </div>
          <LogNotes breakdown={id} log={log} />
          <p>
            <a href={`/api/breakdowns/${id}/takes.csv`} download>
              Takes as a table (CSV)
            </a>
          </p>
        </aside>
      )}
    </div>
  )
}

function Drawings({ log, goal, stageName, width }: { log: Log; goal: number; stageName: (key: string) => string; width: number }) {
  return (
    <>
      <section aria-label="Clean tempo" className="log-part">
        <h3>
          Clean tempo <small>each blade is a take at its tempo: full was clean, hollow was not</small>
        </h3>
        <CleanTempo log={log} goal={goal} stageName={stageName} width={width} />
      </section>
      {log.upkeep.length > 0 && (
        <section aria-label="Upkeep" className="log-part">
          <h3>
            Upkeep <small>the swings grow while it holds: 2, 4, 8, 16, 30 days; a failed check halves the next</small>
          </h3>
          <UpkeepSwings log={log} stageName={stageName} width={width} />
        </section>
      )}
      {log.slots.length > 0 && (
        <section aria-label="Slots closing in" className="log-part">
          <h3>
            Slots closing in <small>{`${stageName(log.stage)}, the first take on top; band = bias ± spread, green = the gate`}</small>
          </h3>
          <ClosingSlots log={log} width={width} />
        </section>
      )}
    </>
  )
}

function Figures({ log }: { log: Log }) {
  const stage = log.stages.find((each) => each.stage === log.stage)
  return (
    <>
      <h2>{log.player?.name}</h2>
      <dl className="log-figures">
        <div>
          <dt>{stage?.now == null ? 'not clean yet' : 'clean today'}</dt>
          <dd className="brass">{stage?.now ?? '–'}</dd>
          <dd>{stage?.now == null ? '' : stage.before == null ? 'two weeks ago not yet' : `${stage.before} two weeks ago`}</dd>
        </div>
        <div>
          <dt>{log.minutes === 1 ? 'minute' : 'minutes'}</dt>
          <dd>{log.minutes}</dd>
          <dd>{`${log.minutes_week} this week, ${countOf(log.takes.length, 'take')}`}</dd>
        </div>
      </dl>
    </>
  )
}
