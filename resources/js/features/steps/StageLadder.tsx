import { InputNumber, Segmented, Select } from 'antd'
import type { LessonStage } from '../../api/types'
import { GateBounds } from '../../ui/GateBounds'
import type { Note } from './notes'

type Ladder = NonNullable<Note['ladder']>

const MODES = [
  { value: 'gated', label: 'steps' },
  { value: 'ramp', label: 'ramp' },
  { value: 'bursts', label: 'bursts' },
]
const MOST_SHOWN = 14

type Props = { stage: LessonStage; ladder: Ladder; mine: boolean; onNote: (change: Partial<Note>) => void }

/** The stage's own ladder and gate. */
export function StageLadder({ stage, ladder, mine, onNote }: Props) {
  const set = (part: Ladder) => onNote({ ladder: { ...ladder, ...part } })
  const { climb, ladder: now, gate } = stage
  const number = (name: 'start' | 'goal' | 'minutes' | 'bars' | 'percent', label: string, min: number, max: number) => (
    <label>
      {label}
      <InputNumber
        aria-label={label}
        size="small"
        controls={false}
        disabled={!mine}
        min={min}
        max={max}
        precision={name === 'percent' ? 1 : 0}
        value={now[name]}
        onChange={(value) => value !== null && set({ [name]: value })}
      />
    </label>
  )
  return (
    <section className="stage-ladder" aria-label="Ladder and gate">
      <h3>Ladder</h3>
      <Stair climb={climb} />
      <p className="muted">{climbWords(stage)}</p>
      <div className="stage-fields">
        {number('start', 'from', 20, 400)}
        {number('goal', 'to', 20, 400)}
        {number('minutes', 'minutes', 1, 120)}
        {number('percent', 'step %', 3, 8)}
        {number('bars', 'bars', 1, 160)}
      </div>
      <div className="button-row">
        <Segmented
          size="small"
          aria-label="Kind of ladder"
          disabled={!mine}
          options={MODES}
          value={now.mode}
          onChange={(mode) => set({ mode: mode as 'gated' | 'ramp' | 'bursts' })}
        />
        <Select
          size="small"
          aria-label="Level"
          disabled={!mine}
          value={stage.level}
          options={[1, 2, 3].map((level) => ({ value: level, label: level === 3 ? 'all strokes' : `level ${level}` }))}
          onChange={(level) => onNote({ level })}
        />
      </div>
      <h3>Gate</h3>
      <div className="stage-fields">
        <GateBounds gate={gate} mine={mine} onGate={(bounds) => onNote({ gate: bounds })} />
      </div>
    </section>
  )
}

/** The tempos as leaning blocks, higher the faster. */
function Stair({ climb }: { climb: LessonStage['climb'] }) {
  if (climb === null) return <p className="cut">Not even one cycle fits into these minutes: give it more, or fewer bars.</p>
  const steps =
    climb.steps.length > MOST_SHOWN
      ? climb.steps.filter((_, index) => index % Math.ceil(climb.steps.length / MOST_SHOWN) === 0)
      : climb.steps
  const tempos = steps.map(({ bpm }) => bpm)
  const [low, high] = [Math.min(...tempos), Math.max(...tempos)]
  return (
    <div className="stage-climb" role="img" aria-label={`Tempos ${tempos.join(', ')}`}>
      {steps.map(({ bpm }, index) => (
        <span key={index}>
          <i style={{ height: 8 + (26 * (bpm - low)) / Math.max(1, high - low) }} />
          <small>{bpm}</small>
        </span>
      ))}
    </div>
  )
}

function climbWords({ climb, ladder }: LessonStage): string {
  if (climb === null) return ''
  const minutes = `${climb.minutes.toFixed(1)} of ${ladder.minutes} minutes`
  if (!climb.fits) return `${ladder.minutes} minutes carry to ${climb.goal}, not to ${ladder.goal}.`
  const more = climb.added === 0 ? '' : `, ${climb.added} cycles put in so that they are used`
  return `${climb.steps.length} ${climb.steps.length === 1 ? 'tempo' : 'tempos'}, ${minutes}${more}.`
}
