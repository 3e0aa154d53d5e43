import { Button, Select } from 'antd'
import { lazy, Suspense, useState } from 'react'
import { ApiError } from '../../api/client'
import { arrangeAlone, useLesson } from '../../api/lesson'
import type { LessonStage } from '../../api/types'
import { useKeys } from '../../ui/keys'
import { useBench, useDocument, useMine } from '../bench/benchContext'
import { useRemake } from '../bench/useRemake'
import { EarTest } from './EarTest'
import { EasierGrips } from './EasierGrips'
import { added, asProposed, carried, noted, noteOf, withoutStage, type Note } from './notes'
import { StageBar } from './StageBar'
import { StageGrips } from './StageGrips'
import { StageLadder } from './StageLadder'
import { StageSay } from './StageSay'
import { StageStrip } from './StageStrip'
import { useStagePlay } from './useStagePlay'

const GiveDialog = lazy(() => import('../students/GiveDialog').then((page) => ({ default: page.GiveDialog })))

/** The lesson: stages made of the song, each a thing to play, in the order in which they are learned. */
export default function StepsStation({ onPractise }: { onPractise: () => void }) {
  const { store, stage: chosen, setStage, setTempo } = useBench()
  const document = useDocument()
  const mine = useMine()
  const remake = useRemake()
  const asked = useLesson(document, chosen)
  const stages = asked.data?.stages ?? []
  const at = stages.findIndex(({ key }) => key === chosen)
  const stage: LessonStage | undefined = stages[at]
  const open = asked.data?.open?.key === stage?.key ? asked.data?.open : null
  const play = useStagePlay(stage)
  const [asking, setAsking] = useState(false)
  const [giving, setGiving] = useState(false)

  const choose = (next: LessonStage | undefined) => {
    if (next === undefined) return
    setStage(next.key)
    setTempo(next.ladder.goal)
  }
  const step = (by: number) => {
    const running = stages.filter(({ number }) => number !== null)
    const now = running.findIndex(({ key }) => key === chosen)
    choose(running[now < 0 ? 0 : Math.max(0, Math.min(running.length - 1, now + by))])
  }
  const note = (change: Partial<Note>, of = stage) => {
    if (of === undefined || !mine) return
    store.change((d) => noted(d, stages, of, change), { together: `stage ${of.key} ${Object.keys(change).join()}` })
    if (change.ladder?.goal !== undefined) setTempo(change.ladder.goal)
  }
  const carry = (by: number) => mine && at >= 0 && store.change((d) => carried(d, stages, at, at + by))
  const drop = () => note({ dropped: stage?.number !== null })
  const add = (kind: string) => {
    setAsking(false)
    const made = added(store.getState().document, stages, at < 0 ? stages.length - 1 : at, kind)
    store.change(() => made.document)
    setStage(made.key)
  }
  const alone = document.patterns.some(({ aloneOf }) => aloneOf !== undefined)
  useKeys({
    ArrowLeft: () => step(-1),
    ArrowRight: () => step(1),
    'Shift+ArrowLeft': () => carry(-1),
    'Shift+ArrowRight': () => carry(1),
    h: () => void play.hear(null),
    d: drop,
    n: () => setAsking(true),
    g: () => mine && setGiving(true),
    p: () => stage !== undefined && onPractise(),
    Escape: () => setStage(null),
  })

  return (
    <div className="station-main steps">
      <div className="station-head">
        <h2>Steps</h2>
        <span className="muted">
          {asked.data === undefined
            ? 'Taking the song apart …'
            : `${stages.filter(({ number }) => number !== null).length} stages, ${asked.data.minutes} minutes; every bar adds one thing to the bar before it`}
        </span>
        {mine && asked.data !== undefined && (
          <div className="title-actions">
            <Select
              aria-label="Add a stage"
              open={asking}
              onOpenChange={setAsking}
              value={null}
              placeholder="Add a stage (N)"
              options={asked.data.kinds.map(({ stage: kind, words }) => ({ value: kind, label: words }))}
              onChange={(kind: string | null) => kind !== null && add(kind)}
              popupMatchSelectWidth={false}
              style={{ width: 150 }}
            />
            <Button disabled={document.lesson.length === 0} onClick={() => store.change((d) => ({ ...d, lesson: [] }))}>
              Propose again
            </Button>
            <Button onClick={() => setGiving(true)}>
              Give <kbd>G</kbd>
            </Button>
            {!alone && (
              <Button onClick={() => void remake(arrangeAlone)} title="Bass by the thumb, gaps filled: the same part without a band">
                Arrange it alone
              </Button>
            )}
          </div>
        )}
      </div>
      {asked.error instanceof ApiError && (
        <p role="alert" className="finding finding-off">
          {asked.error.message}
        </p>
      )}
      {giving && (
        <Suspense>
          <GiveDialog breakdown={{ id: store.getState().id, title: document.title }} stage={chosen} onClose={() => setGiving(false)} />
        </Suspense>
      )}
      {stages.length > 0 && (
        <StageStrip
          stages={stages}
          chosen={chosen}
          onChoose={(key) => choose(stages.find((each) => each.key === key))}
          onBack={(each) => note({ dropped: false }, each)}
        />
      )}
      {stage === undefined && asked.data !== undefined && (
        <p className="muted steps-hint">
          Choose a stage: with <kbd>←</kbd> <kbd>→</kbd> or by a press. It lies on the stand then, and Space plays it.
        </p>
      )}
      {stage !== undefined && (
        <section className="stage-open" aria-label={`Stage ${stage.number ?? ''} ${stage.name}`}>
          <div className="stage-left">
            <div className="station-head">
              <h2>
                {stage.number}{' '}
                {mine ? (
                  <Rename key={stage.key} name={noteOf(document, stage).name ?? stage.name} onName={(name) => note({ name })} />
                ) : (
                  stage.name
                )}
              </h2>
              <span className="muted">new: {stage.changes}</span>
              <div className="title-actions">
                <Button size="small" type="primary" onClick={() => void play.hear(null)}>
                  Hear it <kbd className="on-ink">H</kbd>
                </Button>
                <Button size="small" onClick={onPractise}>
                  Practise <kbd>P</kbd>
                </Button>
              </div>
            </div>
            {mine && (
              <div className="button-row stage-acts">
                <Button size="small" disabled={at <= 0} onClick={() => carry(-1)}>
                  Earlier
                </Button>
                <Button size="small" disabled={at >= stages.length - 1} onClick={() => carry(1)}>
                  Later
                </Button>
                {stage.own ? (
                  <Button size="small" onClick={() => store.change((d) => withoutStage(d, stage))}>
                    Take it out
                  </Button>
                ) : (
                  <Button size="small" onClick={drop}>
                    Drop <kbd>D</kbd>
                  </Button>
                )}
                <Button size="small" onClick={() => store.change((d) => asProposed(d, stage))}>
                  As proposed
                </Button>
              </div>
            )}
            {stage.settled_for !== null && (
              <div className="finding finding-swing">
                <p>
                  {stage.proposed
                    ? 'The song changed since this stage was settled.'
                    : 'The song has nothing any more that this stage was made for.'}
                </p>
                <p>
                  Settled for: <b>{stage.settled_for}</b>
                  {stage.proposed && (
                    <>
                      <br />
                      Proposed now: <b>{stage.proposal}</b>
                    </>
                  )}
                </p>
                {mine && (
                  <div className="button-row">
                    {stage.proposed && (
                      <Button size="small" onClick={() => store.change((d) => asProposed(d, stage))}>
                        Take the new proposal
                      </Button>
                    )}
                    <Button size="small" onClick={() => note({})}>
                      Keep it as it is
                    </Button>
                  </div>
                )}
              </div>
            )}
            {open && <StageBar stage={stage} open={open} songTempo={document.start.tempo} />}
            <StageGrips stage={stage} />
            <EasierGrips />
          </div>
          {open && asked.data !== undefined && (
            <div className="stage-middle">
              <StageSay stage={stage} open={open} waits={asked.data.waits} mine={mine} onNote={note} />
              <EarTest key={stage.key} flaws={open.flaws} play={play} />
            </div>
          )}
          <StageLadder stage={stage} ladder={noteOf(document, stage).ladder ?? {}} mine={mine} onNote={note} />
        </section>
      )}
    </div>
  )
}

function Rename({ name, onName }: { name: string; onName: (name: string) => void }) {
  return (
    <input
      aria-label="What the stage is called"
      className="stage-rename"
      defaultValue={name}
      maxLength={60}
      onBlur={(event) => {
        const typed = event.target.value.trim()
        if (typed !== '' && typed !== name) onName(typed)
      }}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  )
}
