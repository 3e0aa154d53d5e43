import { Button, InputNumber, Select } from 'antd'
import type { BreakdownDocument } from '../../api/types'
import { useBench, useDocument, useMine } from '../bench/benchContext'

export const STAGES = [
  'shapes alone, long notes',
  'rhythm on damped strings',
  'both, slow and even',
  'with releases',
  'with accents',
  'ornaments and pushes',
  'with bass and drums',
  'with the full band',
  'variations by pass',
  'at tempo, the click thins out',
]
export const USUAL_STAGE = 8

type Gate = NonNullable<BreakdownDocument['gates']>[number]

const BEGINNER = { biasMs: 15, spreadMs: 20, swingPoints: 4, missedShare: 0.03 }
const ADVANCED = { ...BEGINNER, spreadMs: 12 }

/** Which stage is played, and what a take must keep within to pass it. */
export function GateForm({ stage, onStage }: { stage: number; onStage: (stage: number) => void }) {
  const { store } = useBench()
  const document = useDocument()
  const mine = useMine()
  const gates = document.gates ?? []
  const gate: Gate = gates.find((each) => each.stage === stage) ?? { stage, ...BEGINNER }
  const set = (part: Partial<Gate>) => store.change((d) => ({ ...d, gates: [...(d.gates ?? []).filter((each) => each.stage !== stage), { ...gate, ...part }].sort((a, b) => a.stage - b.stage) }), { together: 'gate' })
  const field = (name: keyof typeof BEGINNER, label: string, unit: string, times: number, max: number) => (
    <label>
      {label}
      <InputNumber aria-label={`${label}, ${unit}`} size="small" controls={false} disabled={!mine} min={name === 'missedShare' ? 0 : 1} max={max} value={Math.round(gate[name] * times * 10) / 10} onChange={(value) => value !== null && set({ [name]: value / times })} />
      <span className="muted">{unit}</span>
    </label>
  )
  return (
    <details className="gate-form">
      <summary>
        Stage {stage} <span>{STAGES[stage - 1]}: ±{Math.round(gate.biasMs)} ms, spread {Math.round(gate.spreadMs)}</span>
      </summary>
      <Select aria-label="Stage" value={stage} options={STAGES.map((name, index) => ({ value: index + 1, label: `${index + 1} ${name}` }))} onChange={onStage} style={{ width: '100%' }} />
      <div className="gate-fields">
        {field('biasMs', 'bias ±', 'ms', 1, 200)}
        {field('spreadMs', 'spread', 'ms', 1, 200)}
        {field('swingPoints', 'swing ±', 'points', 1, 30)}
        {field('missedShare', 'missed', '%', 100, 100)}
      </div>
      {mine && (
        <div className="button-row">
          <Button size="small" onClick={() => set(BEGINNER)}>
            beginner
          </Button>
          <Button size="small" onClick={() => set(ADVANCED)}>
            advanced
          </Button>
        </div>
      )}
    </details>
  )
}
