import { Button, Select } from 'antd'
import type { Choices, Gate, Lesson, LessonStage } from '../../api/types'
import { GateBounds } from '../../ui/GateBounds'
import { useBench, useMine } from '../bench/benchContext'
import { noted } from '../steps/notes'

const WHOLE = ''

/** Which stage is played, and what a take must keep within to pass it; of the whole song the gate of the full band. */
export function GateForm({ lesson, choices }: { lesson: Lesson; choices: Choices }) {
  const { store, stage: chosen, setStage } = useBench()
  const mine = useMine()
  const stages = lesson.stages.filter(({ number }) => number !== null)
  const stage = stages.find(({ key }) => key === chosen)
  const usual = choices.gates.map(({ name, ...figures }): { name: string; gate: Gate } => ({ name, gate: figures }))
  return (
    <details className="gate-form" open={stage !== undefined}>
      <summary>
        {stage === undefined ? 'The whole song' : `Stage ${stage.number}`}{' '}
        <span>
          {stage === undefined
            ? 'with everybody'
            : `${stage.name}: ±${Math.round(stage.gate.biasMs)} ms, spread ${Math.round(stage.gate.spreadMs)}`}
        </span>
      </summary>
      <Select
        aria-label="Stage"
        value={stage?.key ?? WHOLE}
        options={[
          { value: WHOLE, label: 'the whole song' },
          ...stages.map(({ key, number, name }) => ({ value: key, label: `${number} ${name}` })),
        ]}
        onChange={(key: string) => setStage(key === WHOLE ? null : key)}
        style={{ width: '100%' }}
      />
      {stage !== undefined && (
        <GateFields
          stage={stage}
          mine={mine}
          usual={usual}
          onGate={(gate) => store.change((d) => noted(d, lesson.stages, stage, { gate }), { together: 'gate' })}
        />
      )}
    </details>
  )
}

function GateFields({
  stage,
  mine,
  usual,
  onGate,
}: {
  stage: LessonStage
  mine: boolean
  usual: { name: string; gate: Gate }[]
  onGate: (gate: Gate) => void
}) {
  return (
    <>
      <div className="gate-fields">
        <GateBounds gate={stage.gate} mine={mine} units onGate={onGate} />
      </div>
      {mine && (
        <div className="button-row">
          {usual.map(({ name, gate: wanted }) => (
            <Button key={name} size="small" onClick={() => onGate(wanted)}>
              {name}
            </Button>
          ))}
        </div>
      )}
    </>
  )
}
