import { Button, InputNumber, Select } from 'antd'
import type { Choices, Gate } from '../../api/types'
import { useBench, useDocument, useMine } from '../bench/benchContext'

type Figures = Gate['gate']

/** Which stage is played, and what a take must keep within to pass it. */
export function GateForm({ stage, choices, onStage }: { stage: number; choices: Choices; onStage: (stage: number) => void }) {
  const { store } = useBench()
  const document = useDocument()
  const mine = useMine()
  const slugs = choices.stages.map(({ slug }) => slug)
  const slug = slugs[stage - 1]
  const usual = choices.gates.map(({ name, ...figures }): { name: string; gate: Figures } => ({ name, gate: figures }))
  const gate = document.lesson.find((each) => each.stage === slug)?.gate ?? usual[0]?.gate
  if (gate === undefined || slug === undefined) return null
  const set = (part: Partial<Figures>) =>
    store.change(
      (d) => ({
        ...d,
        lesson: [...d.lesson.filter((each) => each.stage !== slug), { stage: slug, gate: { ...gate, ...part } }].sort(
          (a, b) => slugs.indexOf(a.stage) - slugs.indexOf(b.stage),
        ),
      }),
      { together: 'gate' },
    )
  const field = (name: keyof Figures, label: string, unit: string, times: number, max: number) => (
    <label>
      {label}
      <InputNumber
        aria-label={`${label}, ${unit}`}
        size="small"
        controls={false}
        disabled={!mine}
        min={name === 'missedShare' ? 0 : 1}
        max={max}
        value={Math.round(gate[name] * times * 10) / 10}
        onChange={(value) => value !== null && set({ [name]: value / times })}
      />
      <span className="muted">{unit}</span>
    </label>
  )
  return (
    <details className="gate-form">
      <summary>
        Stage {stage}{' '}
        <span>
          {choices.stages[stage - 1]?.words}: ±{Math.round(gate.biasMs)} ms, spread {Math.round(gate.spreadMs)}
        </span>
      </summary>
      <Select
        aria-label="Stage"
        value={stage}
        options={choices.stages.map(({ words }, index) => ({ value: index + 1, label: `${index + 1} ${words}` }))}
        onChange={onStage}
        style={{ width: '100%' }}
      />
      <div className="gate-fields">
        {field('biasMs', 'bias ±', 'ms', 1, 200)}
        {field('spreadMs', 'spread', 'ms', 1, 200)}
        {field('swingPoints', 'swing ±', 'points', 1, 30)}
        {field('missedShare', 'missed', '%', 100, 100)}
      </div>
      {mine && (
        <div className="button-row">
          {usual.map(({ name, gate: wanted }) => (
            <Button key={name} size="small" onClick={() => set(wanted)}>
              {name}
            </Button>
          ))}
        </div>
      )}
    </details>
  )
}
