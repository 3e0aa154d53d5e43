import { Checkbox, Select } from 'antd'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { usePerson } from '../../api/queries'
import { useDay, type Day, type DayItem } from '../../api/school'
import { PlaceRail } from '../../ui/PlaceRail'
import { useKeys } from '../../ui/keys'
import { usePageTitle } from '../../ui/usePageTitle'
import { countOf } from '../../ui/words'
import { useShelfWork } from '../shelf/useShelfWork'
import { DayLine } from './DayLine'
import { WaitingTakes } from './WaitingTakes'
import { useKeptDay } from './useKeptDay'
import { useDayDone } from './useDayDone'

const WEEKDAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday']

/** What to practise today, in its order; where it was left it goes on. */
export default function DayPage() {
  const person = usePerson().data
  const done = useDayDone()
  const [level, setLevel] = useState<number | null>(null)
  const day = useDay(done.minutes, done.hurts, level, done.played)
  const navigate = useNavigate()
  const { signOut } = useShelfWork(() => undefined)
  usePageTitle('Today')
  const items = day.data?.items ?? []
  const kept = useKeptDay(items, done.hurts, day.dataUpdatedAt)
  const next = items.findIndex((_, place) => !done.has(place))
  const start = (item: DayItem, place: number) => {
    if (item.breakdown === null) {
      done.finish(place, 0)
      return
    }
    // At the bench, too, the stage that is asked for lies on the stand.
    sessionStorage.setItem(`stage:${item.breakdown}`, JSON.stringify(item.stage))
    if (item.tempo !== null) sessionStorage.setItem(`tempo:${item.breakdown}`, JSON.stringify(item.tempo))
    done.begin(place, item.minutes)
    void navigate(`/practise/${item.breakdown}${item.stage === null ? '' : `?stage=${encodeURIComponent(item.stage)}`}`)
  }
  useKeys({ Enter: () => items[next] !== undefined && start(items[next], next) })
  return (
    <div className="shelf day">
      <PlaceRail
        at="day"
        person={person}
        count={day.data === undefined ? '…' : countOf(day.data.minutes, 'minute')}
        onSignOut={() => void signOut()}
      />
      <main className="day-page">
        <header className="day-head">
          <div>
            <h1>{WEEKDAYS[new Date().getDay()]}</h1>
            <p className="muted">
              <b className="day-minutes">{day.data?.asked ?? '…'}</b> minutes today, hardest first while fresh
            </p>
          </div>
          <div className="day-choices" role="group" aria-label="Minutes today">
            {day.data?.choices.map((minutes) => (
              <button key={minutes} type="button" aria-pressed={minutes === day.data.asked} onClick={() => done.setMinutes(minutes)}>
                {minutes}
              </button>
            ))}
          </div>
        </header>
        <WaitingTakes player={person?.id} kept={kept} />
        {day.error !== null && (
          <p role="alert" className="finding finding-off">
            {day.error.message}
          </p>
        )}
        {day.data !== undefined && items.length === 0 && (
          <div className="empty">
            <h2>Nothing is due today</h2>
            <p>Your teacher has given you nothing, and nothing comes back today. What is on the shelf may be played all the same.</p>
          </div>
        )}
        <ol className="day-items">
          {items.map((item, place) => (
            <DayLine
              key={place}
              item={item}
              now={place === next}
              done={done.has(place)}
              onStart={() => start(item, place)}
              onDone={() => done.finish(place, item.minutes)}
            />
          ))}
        </ol>
        {items.length > 0 && next === -1 && <p className="finding finding-holds">That was today. It comes back when it is due.</p>}
        {day.data !== undefined && <Ears hearing={day.data.hearing} onLevel={setLevel} />}
        <div className="day-hurts">
          <Checkbox checked={done.hurts} onChange={(event) => done.setHurts(event.target.checked)}>
            <b>My hand hurts today</b>
          </Checkbox>
          <p className="muted">
            Nothing climbs then, and everything is short. Stop at pain, numbness or tingling, and see a licensed clinician.
          </p>
        </div>
      </main>
    </div>
  )
}

const BLOCKS = 20

/** What of the day's dose is used: a guess that any meter beats. */
function Ears({ hearing: { share, left, level, presets }, onLevel }: { hearing: Day['hearing']; onLevel: (level: number) => void }) {
  const used = Math.min(BLOCKS, Math.round(share * BLOCKS))
  return (
    <section className="day-ears" aria-label="Ears">
      <p>
        <b>Ears</b> {Math.round(100 * share)} % of today’s dose is used at{' '}
        <Select
          size="small"
          aria-label="How loud it is"
          value={level}
          onChange={onLevel}
          options={presets.map((each) => ({ value: each.level, label: `${each.name}, ${each.level} dB` }))}
          popupMatchSelectWidth={false}
        />
      </p>
      <div className="dose" aria-hidden="true">
        {Array.from({ length: BLOCKS }, (_, block) => (
          <i key={block} className={block < used ? 'used' : ''} />
        ))}
      </div>
      <p className="muted">
        {left >= 120 ? countOf(Math.floor(left / 60), 'hour') : countOf(left, 'minute')} left at this loudness. A meter beats this guess;
        local rules and hearing specialists come first.
      </p>
    </section>
  )
}
