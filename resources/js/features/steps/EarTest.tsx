import { App, Button } from 'antd'
import { useState } from 'react'
import { noteEar, useEars } from '../../api/lesson'
import type { OpenStage } from '../../api/types'
import { useBench } from '../bench/benchContext'
import type { useStagePlay } from './useStagePlay'

type Pair = OpenStage['flaws'][number]

type Props = { flaws: Pair[]; play: ReturnType<typeof useStagePlay> }

/** The part as it is meant and with one thing wrong, side by side: unnamed until the ear has decided. */
export function EarTest({ flaws, play }: Props) {
  const { store } = useBench()
  const { id } = store.getState()
  const { message } = App.useApp()
  const ears = useEars(id)
  const [pair, setPair] = useState<{ flaw: Pair['flaw']; goodFirst: boolean; answer: boolean | null } | null>(null)
  if (flaws.length === 0) return null
  const now = flaws.find(({ flaw }) => flaw === pair?.flaw)
  const begin = (flaw: Pair['flaw']) => {
    setPair({ flaw, goodFirst: Math.random() < 0.5, answer: null })
    play.stop()
  }
  const hear = (first: boolean) => {
    if (pair !== null) void play.hear(pair.goodFirst === first ? null : pair.flaw)
  }
  const decide = async (first: boolean) => {
    if (pair === null) return
    const right = pair.goodFirst === first
    setPair({ ...pair, answer: right })
    try {
      await noteEar(id, pair.flaw, right)
      await ears.refetch()
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'This answer could not be kept.')
    }
  }
  const score = ears.data?.items.find(({ flaw }) => flaw === pair?.flaw)
  return (
    <section className="ear-test" aria-label="Hear the two side by side">
      <h3>Hear the two side by side</h3>
      <div className="button-row">
        {flaws.map(({ flaw, good, bad }) => (
          <Button key={flaw} size="small" type={pair?.flaw === flaw ? 'primary' : 'default'} onClick={() => begin(flaw)}>
            {good} / {bad}
          </Button>
        ))}
      </div>
      {now !== undefined && pair !== null && (
        <div className="ear-pair">
          {[true, false].map((first) => (
            <div key={String(first)}>
              <button
                type="button"
                className="hear-plate"
                aria-label={`Hear ${first ? 'the first' : 'the second'}`}
                onClick={() => hear(first)}
              >
                ▶ {first ? 'first' : 'second'}
              </button>
              {pair.answer === null ? (
                <Button size="small" onClick={() => void decide(first)}>
                  This is “{now.good}”
                </Button>
              ) : (
                <b className={pair.goodFirst === first ? 'held' : 'cut'}>{pair.goodFirst === first ? now.good : now.bad}</b>
              )}
            </div>
          ))}
          {pair.answer !== null && (
            <p role="status">
              {pair.answer ? 'Right.' : 'The other one.'}
              {score !== undefined && ` ${score.right} of ${score.heard} told apart so far.`}{' '}
              <Button size="small" onClick={() => begin(pair.flaw)}>
                Again
              </Button>
            </p>
          )}
        </div>
      )}
    </section>
  )
}
