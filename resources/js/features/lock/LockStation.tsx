import { App, Button, Select } from 'antd'
import { useRef, useState } from 'react'
import { useChoices, useTakes } from '../../api/queries'
import type { Take } from '../../api/types'
import { useMicrophone } from '../../audio/useMicrophone'
import { useRecorder } from '../../audio/useRecorder'
import { FilePicker } from '../../ui/FilePicker'
import { useKeys } from '../../ui/keys'
import { ago } from '../../ui/words'
import { useBench } from '../bench/benchContext'
import { Beside } from './Beside'
import { DelayCheck } from './DelayCheck'
import { ErrorSheet } from './ErrorSheet'
import { FreePlay } from './FreePlay'
import { GateForm } from './GateForm'
import { MicRoom } from './MicRoom'
import { PracticeRoom } from './practice/PracticeRoom'
import { Report } from './Report'
import { TakeTrend } from './TakeTrend'
import { TapPads } from './TapPads'
import { useJudge } from './useJudge'
import { tapsOf, useReplay } from './useReplay'

const LENGTHS = [4, 8, 12, 16, 32, 64]
type Sheet = 'report' | 'practice' | 'errors' | 'free'

/** Play along, be measured, and see where it locks. */
export default function LockStation() {
  const { store, tempo, setTempo, timeline } = useBench()
  const id = store.getState().id
  const { message } = App.useApp()
  const takes = useTakes(id)
  const choices = useChoices().data
  const [chosenStage, setStage] = useState<number | null>(null)
  const stage = chosenStage ?? choices?.usual_stage
  const judge = useJudge(stage)
  const replay = useReplay()
  const [sheet, setSheet] = useState<Sheet>('report')
  const [shownId, setShownId] = useState<string | null>(null)
  const [besideId, setBesideId] = useState<string | null>(null)
  const [bars, setBars] = useState(8)
  const [checking, setChecking] = useState(false)
  const shown = takes.data?.find((take) => take.id === shownId) ?? takes.data?.at(-1) ?? null
  const beside = takes.data?.find((take) => take.id === besideId && take.id !== shown?.id) ?? null
  const show = (take: Take | null) => take !== null && setShownId(take.id)

  const microphone = useMicrophone(
    (wav, firstBeat) => void judge.sound({ wav, firstBeat, bars, tempo }).then(show),
    (problem) => void message.error(problem, 10),
  )
  const recorder = useRecorder((take) => void judge.taps(take).then(show))
  const record = () => void recorder.start({ bars, tempo })
  const listen = () => void microphone.start({ bars })
  const busy = recorder.status !== 'idle' || microphone.status !== 'idle'
  const stop = () => {
    recorder.stop()
    microphone.stop()
  }
  const hear = () => shown !== null && (replay.playing === null ? void replay.start(tapsOf(shown)) : replay.stop())
  const upload = useRef<HTMLInputElement>(null)
  const canRecord = timeline !== undefined && timeline.strokes.length > 0
  const at = sheet === 'report'
  useKeys(
    busy ? { Escape: stop } : { r: () => canRecord && record(), m: () => canRecord && listen(), u: () => upload.current?.click(), p: () => setSheet('practice'), e: () => canRecord && setSheet('errors'), f: () => setSheet('free'), h: hear },
    (busy || !checking) && at,
  )

  return (
    <div className="with-side">
      <div className="station-main">
        <div className="station-head">
          <h2>{{ report: 'Lock', practice: 'Practice ladder', errors: 'Hear an error', free: 'Lock' }[sheet]}</h2>
          <button type="button" className="quiet delay-button" onClick={() => setChecking(true)} disabled={busy}>
            {delayWords(judge)}
          </button>
          {at && (
            <div className="title-actions">
              {busy ? (
                <Button danger onClick={stop}>
                  Stop <kbd>Esc</kbd>
                </Button>
              ) : (
                <>
                  <Select aria-label="Bars to record" value={bars} options={LENGTHS.map((value) => ({ value, label: `${value} bars` }))} onChange={setBars} style={{ width: 92 }} />
                  <Button onClick={() => upload.current?.click()} disabled={!canRecord || judge.hearing} loading={judge.hearing} title="A WAV or MIDI file of you alone, at the tempo below">
                    Upload <kbd>U</kbd>
                  </Button>
                  <Button onClick={listen} disabled={!canRecord || judge.hearing}>
                    Microphone <kbd>M</kbd>
                  </Button>
                  <Button onClick={() => setSheet('practice')} disabled={!canRecord}>
                    Ladder <kbd>P</kbd>
                  </Button>
                  <Button type="primary" onClick={record} disabled={!canRecord}>
                    Record a take <kbd className="on-ink">R</kbd>
                  </Button>
                </>
              )}
            </div>
          )}
          <FilePicker field={upload} label="A recording" accept=".wav,.mid,.midi,audio/wav,audio/midi" onFile={(file) => void judge.sound({ wav: new Blob([file], { type: /\.midi?$/i.test(file.name) ? 'audio/midi' : 'audio/wav' }), firstBeat: null, bars, tempo }).then(show)} />
        </div>
        {!canRecord && timeline !== undefined && <p className="finding finding-swing">There is nothing to play along to yet. Type a chord line in Chart and set strokes in Hand.</p>}
        {sheet === 'practice' ? (
          <PracticeRoom
            judge={judge}
            onClose={() => setSheet('report')}
            onShow={(take) => {
              setShownId(take)
              setSheet('report')
            }}
          />
        ) : sheet === 'errors' ? (
          <ErrorSheet onClose={() => setSheet('report')} />
        ) : sheet === 'free' ? (
          <FreePlay onClose={() => setSheet('report')} />
        ) : recorder.status !== 'idle' ? (
          <TapPads recorder={recorder} bars={bars} />
        ) : microphone.status !== 'idle' ? (
          <MicRoom microphone={microphone} bars={bars} lateMs={judge.byMicrophone?.latency_ms} />
        ) : shown === null ? (
          <div className="empty">
            <h2>No takes yet</h2>
            <p>
              Press <kbd>R</kbd>. After the count-in tap the strokes with the band: <kbd>F</kbd> for down, <kbd>J</kbd> for up, or tap the two pads. Chucks are tapped too. <kbd>M</kbd> listens to your guitar instead, and <kbd>E</kbd> lets a simulated student play, to see what a report says.
            </p>
          </div>
        ) : beside !== null ? (
          <Beside one={shown} other={beside} onClose={() => setBesideId(null)} />
        ) : (
          <Report take={shown} />
        )}
      </div>
      <aside className="side" aria-label="What to work on">
        {judge.unsent !== null && !busy && (
          <p className="finding finding-off" role="alert">
            Your last take is not judged yet. It is kept here.{' '}
            <Button size="small" onClick={() => judge.unsent !== null && void judge.taps(judge.unsent.take, judge.unsent.id).then(show)}>
              Judge it now
            </Button>
          </p>
        )}
        {judge.unheard !== null && !busy && (
          <p className="finding finding-off">
            Your last recording could not be heard. It is kept here until the page is left.{' '}
            <Button size="small" onClick={() => judge.unheard !== null && void judge.sound(judge.unheard).then(show)}>
              Hear it again
            </Button>
          </p>
        )}
        {shown !== null && !busy && at && <Findings take={shown} onPractise={setTempo} onStage={setStage} />}
        {!busy && (
          <div className="button-row lock-more">
            {shown !== null && (
              <Button size="small" onClick={hear}>
                {replay.playing === null ? 'Hear the take' : 'Stop'} <kbd>H</kbd>
              </Button>
            )}
            <Button size="small" onClick={() => setSheet('errors')} disabled={!canRecord}>
              Hear an error <kbd>E</kbd>
            </Button>
            <Button size="small" onClick={() => setSheet('free')}>
              Free play <kbd>F</kbd>
            </Button>
          </div>
        )}
        {choices !== undefined && stage !== undefined && <GateForm stage={stage} choices={choices} onStage={setStage} />}
        <h3>Takes</h3>
        {takes.data === undefined || takes.data.length === 0 ? (
          <p className="muted">They are listed here with their reports.</p>
        ) : (
          <>
            <TakeTrend takes={takes.data} width={244} shown={shown?.id ?? null} />
            <div className="take-list" role="listbox" aria-label="Takes">
              {[...takes.data].reverse().map((take) => (
                <button key={take.id} type="button" role="option" aria-selected={take.id === shown?.id} className={take.id === shown?.id ? 'chosen' : ''} onClick={(event) => (event.shiftKey ? setBesideId(take.id) : setShownId(take.id))}>
                  <b>Take {take.number}</b>
                  <span>
                    {take.player} · {take.tempo} bpm · {take.bars} bars · {ago(take.created_at)}
                  </span>
                  <em className={take.report.gate.passed ? 'held' : 'cut'}>{take.report.gate.passed ? 'locks' : 'not yet'}</em>
                </button>
              ))}
            </div>
            {takes.data.length > 1 && <p className="muted">Shift and a press set a take beside the one shown.</p>}
          </>
        )}
      </aside>
      {checking && <DelayCheck onClose={() => setChecking(false)} />}
    </div>
  )
}

function delayWords({ byKey, byMicrophone }: ReturnType<typeof useJudge>): string {
  const words = (name: string, delay: typeof byKey) => (delay === null ? `${name} not measured` : `${name} ${Math.round(delay.latency_ms)} ms, ${ago(delay.measured_at)}`)
  return byKey === null && byMicrophone === null ? 'Measure the delay' : `Delay: ${words('keys', byKey)}; ${words('microphone', byMicrophone)}`
}

function Findings({ take, onPractise, onStage }: { take: Take; onPractise: (tempo: number) => void; onStage: (stage: number) => void }) {
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
          {finding.practise && <Practise {...finding.practise} onPractise={onPractise} onStage={onStage} />}
        </div>
      ))}
      {holds !== undefined && <p className="finding finding-holds">{holds.text}</p>}
    </section>
  )
}

const Practise = ({ tempo, stage, onPractise, onStage }: { tempo: number; stage: number; onPractise: (tempo: number) => void; onStage: (stage: number) => void }) => (
  <Button
    size="small"
    onClick={() => {
      onPractise(tempo)
      onStage(stage)
    }}
  >
    Set {tempo} bpm, stage {stage}
  </Button>
)
