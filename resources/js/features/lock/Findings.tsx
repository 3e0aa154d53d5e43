import { Button } from 'antd'
import type { Take } from '../../api/types'

/** What a take shows, the worst first, each with what to practise; and what holds. */
export function Findings({
  take,
  onPractise,
  onStage,
}: {
  take: Take
  onPractise: (tempo: number) => void
  onStage: (stage: number) => void
}) {
  const off = take.report.findings.filter((finding) => finding.kind !== 'holds')
  const holds = take.report.findings.find((finding) => finding.kind === 'holds')
  return (
    <section>
      <h2>What to work on</h2>
      {off.length === 0 && <p className="finding finding-holds">Nothing stands out. Take it a little faster.</p>}
      {off.map((finding, index) => (
        <div key={finding.kind + finding.slots.join()} className="finding finding-off">
          <p>
            <b>{index + 1}.</b> {finding.text}
          </p>
          {finding.practise && <Practise {...finding.practise} played={take.tempo} onPractise={onPractise} onStage={onStage} />}
        </div>
      ))}
      {holds !== undefined && <p className="finding finding-holds">{holds.text}</p>}
    </section>
  )
}

const Practise = ({
  tempo,
  stage,
  played,
  onPractise,
  onStage,
}: {
  tempo: number
  stage: number
  /** the take's tempo */
  played: number
  onPractise: (tempo: number) => void
  onStage: (stage: number) => void
}) => (
  <Button
    size="small"
    onClick={() => {
      onPractise(tempo)
      onStage(stage)
    }}
  >
    {tempo === played ? `Stay at ${tempo} bpm, stage ${stage}` : `Set ${tempo} bpm, stage ${stage}`}
  </Button>
)
