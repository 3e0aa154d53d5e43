import { Button, Checkbox, Select } from 'antd'
import { useRef, useState } from 'react'
import { useLesson } from '../../api/lesson'
import { useChoices } from '../../api/queries'
import { playbackLevel, setPlaybackLevel } from '../../audio/band'
import { FilePicker } from '../../ui/FilePicker'
import { useKeys } from '../../ui/keys'
import { useSheet } from '../../ui/useSheet'
import { ago } from '../../ui/words'
import { useBench, useDocument, useMine } from '../bench/benchContext'
import { AnswerSheet } from './AnswerSheet'
import { DelayCheck } from './DelayCheck'
import { ErrorSheet } from './ErrorSheet'
import { Findings } from './Findings'
import { FreePlay } from './FreePlay'
import { GateForm } from './GateForm'
import { KeepSound } from './KeepSound'
import { LOUDNESSES } from './loudnesses'
import { PracticeRoom } from './practice/PracticeRoom'
import { TakeActions } from './TakeActions'
import { TakeList } from './TakeList'
import { TakeShown } from './TakeShown'
import { Unjudged } from './Unjudged'
import { useBenchJudge, type useJudge } from './useJudge'
import { tapsOf, useReplay } from './useReplay'
import { useShownTakes } from './useShownTakes'
import { useTaking } from './useTaking'

type Sheet = 'report' | 'practice' | 'errors' | 'free' | 'answer'

/** Play along, be measured, and see where it locks. */
export default function LockStation() {
  const { store, setTempo, timeline, stage, setStage } = useBench()
  const document = useDocument()
  const choices = useChoices().data
  const lesson = useLesson(document, null).data
  const mine = useMine()
  const judge = useBenchJudge(stage)
  const takes = useShownTakes(store.getState().id)
  const taking = useTaking(judge, takes.show)
  const replay = useReplay()
  const [sheet, setSheet] = useSheet<Sheet>('report', ['practice', 'errors', 'free', 'answer'])
  const [checking, setChecking] = useState(false)
  const [hidden, setHidden] = useState(false)
  const upload = useRef<HTMLInputElement>(null)
  const { busy } = taking
  const { shown } = takes
  const hear = () => shown !== null && (replay.playing === null ? void replay.start(tapsOf(shown, store.getState().id)) : replay.stop())
  const canRecord = timeline !== undefined && timeline.strokes.length > 0
  const canKeep = mine && shown !== null && shown.strokes.length > 0
  const atReport = sheet === 'report'
  const toReport = () => setSheet('report')
  /** A finding names a kind of stage by its number; the lesson's own first one of that kind lies on the stand then. */
  const toStage = (number: number) => {
    const kind = choices?.stages[number - 1]?.slug
    const found = lesson?.stages.find((each) => each.stage === kind && each.number !== null)
    if (found !== undefined) setStage(found.key)
  }
  useKeys(
    busy
      ? { Escape: taking.stop }
      : {
          r: () => canRecord && taking.record(),
          m: () => canRecord && taking.listen(),
          u: () => upload.current?.click(),
          p: () => setSheet('practice'),
          e: () => canRecord && setSheet('errors'),
          f: () => setSheet('free'),
          h: hear,
          k: () => canKeep && setSheet('answer'),
        },
    (busy || !checking) && atReport,
  )

  return (
    <div className="with-side">
      <div className={hidden && busy ? 'station-main beats-hidden' : 'station-main'}>
        <div className="station-head">
          <h2>
            {{ report: 'Lock', practice: 'Practice ladder', errors: 'Hear an error', free: 'Lock', answer: 'What was played' }[sheet]}
          </h2>
          <Button size="small" className="delay-button" onClick={() => setChecking(true)} disabled={busy}>
            {delayWords(judge)}
          </Button>
          {atReport && (
            <TakeActions
              taking={taking}
              judge={judge}
              canRecord={canRecord}
              onUpload={() => upload.current?.click()}
              onPractise={() => setSheet('practice')}
            />
          )}
          <FilePicker field={upload} label="A recording" accept=".wav,.mid,.midi,audio/wav,audio/midi" onFile={taking.upload} />
        </div>
        {!canRecord && timeline !== undefined && (
          <p className="finding finding-swing">
            There is nothing to play along to yet. Type a chord line in Chart and set strokes in Hand.
          </p>
        )}
        {sheet === 'practice' && choices !== undefined ? (
          <PracticeRoom
            key={stage ?? ''}
            usual={choices.practice}
            stage={lesson?.stages.find(({ key }) => key === stage) ?? null}
            judge={judge}
            onClose={toReport}
            onShow={(take) => {
              takes.showId(take)
              toReport()
            }}
          />
        ) : sheet === 'answer' && shown !== null ? (
          <AnswerSheet key={shown.id} take={shown} onClose={toReport} />
        ) : sheet === 'errors' ? (
          <ErrorSheet onClose={toReport} />
        ) : sheet === 'free' ? (
          <FreePlay onClose={toReport} />
        ) : (
          <TakeShown taking={taking} judge={judge} takes={takes} hidden={hidden} onMeasure={() => setChecking(true)} />
        )}
      </div>
      <aside className="side" aria-label="What to work on">
        {!busy && <Unjudged judge={judge} onJudged={takes.show} />}
        {shown !== null && !busy && atReport && <Findings take={shown} onPractise={setTempo} onStage={toStage} />}
        {!busy && atReport && (
          <>
            <Wishes hidden={hidden} onHide={setHidden} />
            <KeepSound judge={judge} />
            <div className="button-row lock-more">
              {shown !== null && (
                <Button size="small" onClick={hear}>
                  {replay.playing === null ? 'Hear the take' : 'Stop'} <kbd>H</kbd>
                </Button>
              )}
              {canKeep && (
                <Button size="small" onClick={() => setSheet('answer')}>
                  Keep its rhythm <kbd>K</kbd>
                </Button>
              )}
              <Button size="small" onClick={() => setSheet('errors')} disabled={!canRecord}>
                Hear an error <kbd>E</kbd>
              </Button>
              <Button size="small" onClick={() => setSheet('free')}>
                Free play <kbd>F</kbd>
              </Button>
            </div>
          </>
        )}
        {choices !== undefined && lesson !== undefined && <GateForm lesson={lesson} choices={choices} />}
        <TakeList breakdown={store.getState().id} takes={takes} />
      </aside>
      {checking && <DelayCheck onClose={() => setChecking(false)} />}
    </div>
  )
}

/** What a player wants while they play. */
function Wishes({ hidden, onHide }: { hidden: boolean; onHide: (hidden: boolean) => void }) {
  return (
    <div className="lock-wishes">
      <Checkbox checked={hidden} onChange={(event) => onHide(event.target.checked)}>
        hide the beats while I play
      </Checkbox>
      <Select
        aria-label="Loudness"
        size="small"
        defaultValue={playbackLevel()}
        options={LOUDNESSES}
        onChange={setPlaybackLevel}
        style={{ width: 130 }}
      />
    </div>
  )
}

function delayWords({ byKey, byMicrophone }: ReturnType<typeof useJudge>): string {
  const words = (name: string, delay: typeof byKey) =>
    delay === null ? `${name} not measured` : `${name} ${Math.round(delay.latency_ms)} ms, ${ago(delay.measured_at)}`
  return byKey === null && byMicrophone === null
    ? 'Measure the delay'
    : `Delay: ${words('keys', byKey)}; ${words('microphone', byMicrophone)}`
}
