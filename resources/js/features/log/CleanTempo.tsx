import type { Log } from '../../api/log'
import { dayNumber, marksBetween, shortDate } from './dates'

const TOP = 34
const FLOOR = 156
const MINUTES = 34
const HEIGHT = FLOOR + MINUTES + 24
const LEFT = 40
/** A goal that is farther off than this share of what was played stands above a gap. */
const FAR = 0.7
const LEAST_DAY = 1
const DATE_WIDTH = 70
/** Names stand only where there is room for them. */
const LETTER = 7
const GOAL_WORD = 160
const WIDE = 600

type Props = { log: Log; goal: number; stageName: (key: string) => string; width: number }

/** Each take is a blade at its tempo, full where it was clean; the clean tempo of each stage is a stair; minutes hang below. */
export function CleanTempo({ log, goal, stageName, width }: Props) {
  const first = dayNumber(log.takes[0]?.at ?? '')
  const last = dayNumber(log.takes.at(-1)?.at ?? '')
  const day = (width - LEFT - 16) / (last - first + 1)
  const onDay = new Map<number, number>()
  const tempos = log.takes.map(({ tempo }) => tempo)
  const [least, fastest] = [Math.floor((Math.min(...tempos) - 6) / 10) * 10, Math.max(...tempos)]
  const isFar = goal - fastest > Math.max(10, FAR * (fastest - least))
  const [most, top] = isFar ? [fastest, TOP + 30] : [Math.max(fastest, goal), TOP]
  const toY = (tempo: number) => FLOOR - ((tempo - least) / Math.max(1, most - least)) * (FLOOR - top)
  const goalY = isFar ? TOP : toY(goal)
  const isWide = width > WIDE
  const longest = Math.max(LEAST_DAY, ...log.days.map(({ minutes }) => minutes))
  const counts = new Map<number, number>()
  for (const { at } of log.takes) counts.set(dayNumber(at), (counts.get(dayNumber(at)) ?? 0) + 1)
  // What was played on one day stands side by side within it.
  const takes = log.takes.map((take) => {
    const at = dayNumber(take.at)
    const place = onDay.get(at) ?? 0
    onDay.set(at, place + 1)
    return { ...take, x: LEFT + (at - first + (place + 0.5) / (counts.get(at) ?? 1)) * day }
  })
  const stages = log.stages.map(({ stage }, place) => {
    const own = takes.filter((take) => take.stage === stage)
    const x = place === 0 ? LEFT : (own[0]?.x ?? LEFT) - 6
    return { stage, own, x }
  })
  const step = most - least > 60 ? 20 : 10
  const marks = Array.from({ length: Math.floor((most - least) / step) + 1 }, (_, place) => least + place * step)
  const notes = log.remarks.map((remark, place) => ({ ...remark, number: place + 1, x: takes.find(({ id }) => id === remark.take)?.x }))
  return (
    <svg width={width} height={HEIGHT} role="img" aria-label={wordsOf(log, goal, stageName)} className="log-drawing">
      {stages.map(({ stage, x, own }, place) => {
        const end = stages[place + 1]?.x ?? width - 8
        // Where the next stage begins the stair ends: what is played of it later is a check.
        const climbed = own.filter((take) => take.x < end && take.clean !== null)
        const line = climbed
          .map((take, at) => `${at === 0 ? `M${take.x} ` : 'V'}${toY(take.clean ?? 0)}H${climbed[at + 1]?.x ?? take.x + 4}`)
          .join('')
        return (
          <g key={stage}>
            <rect
              x={x}
              y={TOP - 10}
              width={Math.max(0, end - x)}
              height={FLOOR - TOP + 10}
              className={place % 2 === 0 ? 'log-stage' : 'log-stage other'}
            />
            {end - x > LETTER * stageName(stage).length + (stage === stages.at(-1)?.stage && isWide ? GOAL_WORD : 12) && (
              <text x={x + 6} y={TOP - 16} className="log-stage-name">
                {stageName(stage)}
              </text>
            )}
            {line !== '' && <path d={line} className={place === stages.length - 1 ? 'log-stair now' : 'log-stair'} />}
          </g>
        )
      })}
      {marks.map((tempo) => (
        <g key={tempo}>
          <line x1={LEFT} x2={width - 8} y1={toY(tempo)} y2={toY(tempo)} className="log-mark" />
          <text x={LEFT - 8} y={toY(tempo) + 4} className="log-tempo">
            {tempo}
          </text>
        </g>
      ))}
      <line x1={LEFT} x2={width - 8} y1={goalY} y2={goalY} className="log-goal" />
      {isWide && (
        <text x={width - 10} y={TOP - 16} className="log-goal-word">
          {isFar ? `written at ${goal}, farther up` : `written at ${goal}`}
        </text>
      )}
      {takes.map((take) => (
        <path
          key={take.id}
          d={`M${take.x - 5} ${toY(take.tempo) + 9}l5 -17l4 -2l-4 17z`}
          className={take.passed ? 'log-take clean' : 'log-take'}
        />
      ))}
      {notes.map(({ id, number, x }) =>
        x === undefined ? null : (
          <g key={id} transform={`translate(${x} ${isFar ? TOP + 14 : TOP + 4})`} className="log-note">
            <path d="M0 -10L10 0L0 10L-10 0z" />
            <text y={4}>{number}</text>
          </g>
        ),
      )}
      <line x1={LEFT} x2={width - 8} y1={FLOOR + 6} y2={FLOOR + 6} className="log-floor" />
      <text x={LEFT - 8} y={FLOOR + 22} className="log-tempo">
        min
      </text>
      {log.days.map(({ day: at, minutes }) => {
        const thick = Math.max(2, Math.min(12, day - 2))
        const x = LEFT + (dayNumber(at) - first + 0.5) * day - thick / 2
        const length = 2 + (minutes / longest) * (MINUTES - 6)
        return <path key={at} d={`M${x} ${FLOOR + 7}h${thick}l-${length / 5} ${length}h-${thick}z`} className="log-minutes" />
      })}
      {marksBetween(first, last, Math.floor((width - LEFT) / DATE_WIDTH)).map((at) => (
        <text key={at} x={LEFT + (at - first) * day} y={HEIGHT - 4} className="log-date">
          {shortDate(at)}
        </text>
      ))}
    </svg>
  )
}

function wordsOf(log: Log, goal: number, stageName: Props['stageName']): string {
  const stages = log.stages.map(({ stage, now }) => `${stageName(stage)}: ${now === null ? 'not clean yet' : `clean at ${now}`}`)
  return `${log.takes.length} takes, written at ${goal}. ${stages.join('; ')}. ${log.minutes} minutes together.`
}
