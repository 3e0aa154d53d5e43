import { useEffect, useRef } from 'react'
import type { LessonStage } from '../../api/types'
import { StageWave } from './StageWave'

const WIDTH = 124
const PX_PER_BPM = 0.5

type Props = { stages: LessonStage[]; chosen: string | null; onChoose: (key: string) => void; onBack: (stage: LessonStage) => void }

/** All stages side by side, one bar each, and under them the stair of their tempos. */
export function StageStrip({ stages, chosen, onChoose, onBack }: Props) {
  const here = useRef<HTMLButtonElement>(null)
  useEffect(() => {
    here.current?.scrollIntoView({ inline: 'center', block: 'nearest' })
  }, [chosen])
  const lowest = Math.min(...stages.map(({ ladder }) => ladder.start))
  const foot = (bpm: number) => 14 + PX_PER_BPM * (bpm - lowest)
  return (
    <div className="stage-strip" role="group" aria-label="Stages">
      {stages.map((stage) =>
        stage.number === null ? (
          <div key={stage.key} className="stage-column dropped">
            <span className="stage-name">{stage.name}</span>
            <i className="dropped-line" />
            <span className="muted">dropped</span>
            <button type="button" className="quiet" onClick={() => onBack(stage)}>
              Bring back
            </button>
          </div>
        ) : (
          <button
            key={stage.key}
            ref={stage.key === chosen ? here : null}
            type="button"
            className={stage.key === chosen ? 'stage-column chosen' : 'stage-column'}
            aria-pressed={stage.key === chosen}
            data-stage={stage.key}
            onClick={() => onChoose(stage.key)}
          >
            <span className="stage-name">
              <span className="unseen">Stage </span>
              <b>{stage.number}</b>
              <span className="unseen">:</span> {stage.name}
            </span>
            <StageWave stage={stage} width={WIDTH} height={74} />
            <span className="stage-heard">{heardWords(stage)}</span>{' '}
            <span className="stage-new">{stage.settled_for === null ? stage.changes : 'The song changed: look at it again'}</span>{' '}
            <span className="stage-stair">
              <i className="stair-block" style={{ height: foot(stage.ladder.goal) }}>
                <i className="stair-first" style={{ height: foot(stage.ladder.start) }} />
              </i>
            </span>
            <span className="stage-tempos">
              {stage.ladder.start === stage.ladder.goal ? stage.ladder.goal : `${stage.ladder.start} to ${stage.ladder.goal}`}
              <span className="unseen"> beats a minute</span>
            </span>
          </button>
        ),
      )}
    </div>
  )
}

const heardWords = ({ backing }: LessonStage): string => (backing.id === 'nothing' ? 'no click' : backing.name)
