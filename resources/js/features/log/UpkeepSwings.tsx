import type { Log } from '../../api/log'
import { dayNumber, shortDate } from './dates'

const LEFT = 150
const ROW = 50
const LINE = 20
/** A day is no wider than this, so that a check after two days is not drawn across the page. */
const WIDEST_DAY = 26

type Props = { log: Log; stageName: (key: string) => string; width: number }

/** What was passed comes back: the swings grow while it holds, and the next is half as long where it did not. */
export function UpkeepSwings({ log, stageName, width }: Props) {
  const ends = log.upkeep.map((each) => dayNumber(each.due_on) + each.ahead)
  const first = Math.min(...log.upkeep.map(({ begun }) => dayNumber(begun)))
  const scale = Math.min(WIDEST_DAY, (width - LEFT - 30) / Math.max(1, Math.max(...ends) - first))
  const toX = (day: number) => LEFT + (day - first) * scale
  return (
    <svg
      width={width}
      height={log.upkeep.length * ROW}
      role="img"
      aria-label={log.upkeep.map(wordsOf(stageName)).join(' ')}
      className="log-drawing"
    >
      {log.upkeep.map((each, row) => {
        const days = [each.begun, ...each.checks.map(({ on }) => on), each.due_on].map(dayNumber)
        const end = (days.at(-1) ?? 0) + each.ahead
        return (
          <g key={each.stage} transform={`translate(0 ${row * ROW})`}>
            <text x={0} y={LINE - 2} className="log-stage-name">
              {stageName(each.stage)}
            </text>
            <text x={0} y={LINE + 14} className="log-date left">
              passed {shortDate(each.begun)}
            </text>
            <line x1={toX(days[0] ?? 0)} x2={toX(end)} y1={LINE} y2={LINE} className="log-mark" />
            {days.slice(1).map((day, place) => {
              const [x1, x2] = [toX(days[place] ?? day), toX(day)]
              const check = each.checks[place]
              return (
                <g key={place}>
                  <path d={swing(x1, x2)} className={check === undefined ? 'log-swing ahead' : 'log-swing'} />
                  {x2 - x1 > 42 && (
                    <text x={(x1 + x2) / 2} y={LINE - 8} className="log-date">
                      {`${day - (days[place] ?? day)} days`}
                    </text>
                  )}
                  {check === undefined ? (
                    <>
                      <circle cx={x2} cy={LINE} r={7} className="log-due" />
                      <text x={x2} y={LINE + 24} className="log-date strong">
                        {shortDate(each.due_on)}
                      </text>
                    </>
                  ) : (
                    <g className={check.passed ? 'log-check' : 'log-check failed'}>
                      <circle cx={x2} cy={LINE} r={6.5} />
                      {check.passed ? (
                        <circle cx={x2} cy={LINE} r={1.6} className="log-check-dot" />
                      ) : (
                        <path d={`M${x2 - 3} ${LINE - 3}l6 6m0 -6l-6 6`} />
                      )}
                    </g>
                  )}
                </g>
              )
            })}
            <path d={swing(toX(days.at(-1) ?? 0), toX(end))} className="log-swing ahead" />
            <circle cx={toX(days[0] ?? 0)} cy={LINE} r={4.5} className="log-begun" />
            <circle cx={toX(end)} cy={LINE} r={6} className="log-later" />
          </g>
        )
      })}
    </svg>
  )
}

/** One swing down and back to the line, deeper the longer it is. */
function swing(from: number, to: number): string {
  const [quarter, low] = [(to - from) / 4, LINE + Math.min(20, 5 + (to - from) / 5)]
  return `M${from} ${LINE}C${from + quarter} ${low} ${to - quarter} ${low} ${to} ${LINE}`
}

const wordsOf =
  (stageName: Props['stageName']) =>
  (each: Log['upkeep'][number]): string => {
    const checks = each.checks.map(({ on, passed }) => `${shortDate(on)} ${passed ? 'held' : 'did not hold'}`)
    return `${stageName(each.stage)}, passed ${shortDate(each.begun)}: ${[...checks, `next check ${shortDate(each.due_on)}`].join(', ')}.`
  }
