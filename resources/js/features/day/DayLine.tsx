import type { DayItem } from '../../api/school'

type Props = { item: DayItem; now: boolean; done: boolean; onStart: () => void; onDone: () => void }

/** One stretch of the day: how long, what, why; the hand falls along it while it is worked at, and lifts in a break. */
export function DayLine({ item, now, done, onStart, onDone }: Props) {
  const rest = item.kind === 'break'
  return (
    <li
      className={['day-item', rest ? 'rest' : '', now ? 'now' : '', done ? 'done' : ''].filter((each) => each !== '').join(' ')}
      aria-current={now}
    >
      <span className="day-time">
        <b>{item.minutes}</b> min
      </span>
      <svg className="day-hand" viewBox="0 0 24 100" preserveAspectRatio="none" aria-hidden="true">
        <path d={rest ? 'M12 0C4 20 20 30 12 50S4 80 12 100' : 'M12 0C15 30 9 70 12 100'} />
        {now && <circle cx="12" cy="14" r="6" />}
      </svg>
      <div className="day-words">
        <b>{rest ? 'Break' : item.stage === null || item.stage_name === '' ? item.title : item.stage_name}</b>
        {!rest && item.stage_name !== '' && <span>{item.stage === null ? item.stage_name : item.title}</span>}
        <small className={item.late ? 'off' : 'muted'}>{item.reason}</small>
        {now && item.finding !== null && <small className="day-finding">{item.finding}</small>}
      </div>
      {now && (
        <button type="button" className="day-go" onClick={rest ? onDone : onStart}>
          {rest ? 'Rested' : item.begun ? 'Go on' : 'Begin'}
        </button>
      )}
      {!now && !rest && !done && (
        <button type="button" className="day-skip" onClick={onStart} aria-label={`Begin ${item.title}`}>
          ›
        </button>
      )}
      {now && !rest && (
        <button type="button" className="day-skip" onClick={onDone}>
          Done
        </button>
      )}
    </li>
  )
}
