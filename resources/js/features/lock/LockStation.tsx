import { App, Button, Checkbox, Select } from 'antd'
import { useRef, useState } from 'react'
import { useChoices, useTake, useTakes } from '../../api/queries'
import type { Take } from '../../api/types'
import { playbackLevel, setPlaybackLevel } from '../../audio/band'
import { useMicrophone } from '../../audio/useMicrophone'
import { useRecorder } from '../../audio/useRecorder'
import { FilePicker } from '../../ui/FilePicker'
import { useKeys } from '../../ui/keys'
import { MoreButton } from '../../ui/MoreButton'
import { walkList } from '../../ui/walkList'
import { ago, countOf } from '../../ui/words'
import { useBench } from '../bench/benchContext'
import { Beside } from './Beside'
import { DelayCheck } from './DelayCheck'
import { ErrorSheet } from './ErrorSheet'
import { Findings } from './Findings'
import { FreePlay } from './FreePlay'
import { GateForm } from './GateForm'
import { LOUDNESSES } from './loudnesses'
import { MicRoom } from './MicRoom'
import { PracticeRoom } from './practice/PracticeRoom'
import { Report } from './Report'
import { TakeTrend } from './TakeTrend'
import { TapPads } from './TapPads'
import { useSheet } from '../../ui/useSheet'
import { heardWords } from '../listen/watchHearing'
import { useJudge } from './useJudge'
import { tapsOf, useReplay } from './useReplay'

const LENGTHS = [4, 8, 12, 16, 32, 64]
type Sheet = 'report' | 'practice' | 'errors' | 'free'

/** Play along, be measured, and see where it locks. */
export default function LockStation() {
  const { store, tempo, setTempo, level, timeline } = useBench()
  const id = store.getState().id
  const { message } = App.useApp()
  const takes = useTakes(id)
  const choices = useChoices().data
  const [chosenStage, setStage] = useState<number | null>(null)
  const stage = chosenStage ?? choices?.usual_stage
  const judge = useJudge(stage)
  const replay = useReplay()
  const [sheet, setSheet] = useSheet<Sheet>('report', ['practice', 'errors', 'free'])
  const [shownId, setShownId] = useState<string | null>(null)
  const [besideId, setBesideId] = useState<string | null>(null)
  const [bars, setBars] = useState(8)
  const [checking, setChecking] = useState(false)
  const rows = takes.items ?? []
  const wanted = shownId ?? rows[0]?.id ?? null
  const shown = useTake(id, wanted).data ?? null
  const other = useTake(id, besideId !== null && besideId !== wanted ? besideId : null).data
  const beside = besideId !== null && besideId !== wanted ? (other ?? null) : null
  const [hidden, setHidden] = useState(false)
  /** whether the delay is being offered; once answered, it is not offered again here */
  const [delay, setDelay] = useState<'unasked' | 'offered' | 'answered'>('unasked')
  const show = (take: Take | null) => take !== null && setShownId(take.id)
  const [picking, setPicking] = useState(false)
  const setBeside = (take: string) => {
    setBesideId(take)
    setPicking(false)
  }

  const microphone = useMicrophone(
    (wav, firstBeat) => void judge.sound({ wav, firstBeat, bars, tempo, level }).then(show),
    (problem) => void message.error(problem, 10),
  )
  const recorder = useRecorder((take) => void judge.taps(take).then(show))
  const record = () => void recorder.start({ bars, tempo, level })
  const listenNow = () => {
    setDelay('answered')
    void microphone.start({ bars })
  }
  /** Everything a report says of early and late hangs on the delay, so it is offered before the first take. */
  const listen = () => (judge.byMicrophone === null && delay === 'unasked' ? setDelay('offered') : listenNow())
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
    busy
      ? { Escape: stop }
      : {
          r: () => canRecord && record(),
          m: () => canRecord && listen(),
          u: () => upload.current?.click(),
          p: () => setSheet('practice'),
          e: () => canRecord && setSheet('errors'),
          f: () => setSheet('free'),
          h: hear,
        },
    (busy || !checking) && at,
  )

  return (
    <div className="with-side">
      <div className={hidden && busy ? 'station-main beats-hidden' : 'station-main'}>
        <div className="station-head">
          <h2>{{ report: 'Lock', practice: 'Practice ladder', errors: 'Hear an error', free: 'Lock' }[sheet]}</h2>
          <Button size="small" className="delay-button" onClick={() => setChecking(true)} disabled={busy}>
            {delayWords(judge)}
          </Button>
          {at && (
            <div className="title-actions">
              {busy ? (
                <Button danger onClick={stop}>
                  Stop <kbd>Esc</kbd>
                </Button>
              ) : (
                <>
                  <Select
                    aria-label="Bars to record"
                    value={bars}
                    options={LENGTHS.map((value) => ({ value, label: countOf(value, 'bar') }))}
                    onChange={setBars}
                    style={{ width: 92 }}
                  />
                  <Button
                    onClick={() => upload.current?.click()}
                    disabled={!canRecord || judge.hearing}
                    loading={judge.hearing}
                    title="A WAV or MIDI file of you alone, at the tempo below"
                  >
                    {judge.hearing ? heardWords(judge.heard) : 'Upload'} <kbd>U</kbd>
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
          <FilePicker
            field={upload}
            label="A recording"
            accept=".wav,.mid,.midi,audio/wav,audio/midi"
            onFile={(file) =>
              void judge
                .sound({
                  wav: new Blob([file], { type: /\.midi?$/i.test(file.name) ? 'audio/midi' : 'audio/wav' }),
                  firstBeat: null,
                  bars,
                  tempo,
                })
                .then(show)
            }
          />
        </div>
        {!canRecord && timeline !== undefined && (
          <p className="finding finding-swing">
            There is nothing to play along to yet. Type a chord line in Chart and set strokes in Hand.
          </p>
        )}
        {sheet === 'practice' && choices !== undefined ? (
          <PracticeRoom
            usual={choices.practice}
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
          <TapPads recorder={recorder} bars={bars} hideBeats={hidden} />
        ) : microphone.status !== 'idle' ? (
          <MicRoom microphone={microphone} bars={bars} lateMs={judge.byMicrophone?.latency_ms} hideBeats={hidden} />
        ) : delay === 'offered' ? (
          <div className="empty" role="alertdialog" aria-label="The delay was never measured">
            <h2>How late is this microphone?</h2>
            <p>
              Every device reports a little late, and what a report says of early and late hangs on that. Measuring takes half a minute,
              once for this device. Without it spread and swing are right all the same.
            </p>
            <div className="button-row">
              <Button
                type="primary"
                autoFocus
                onClick={() => {
                  setDelay('answered')
                  setChecking(true)
                }}
              >
                Measure the delay
              </Button>
              <Button onClick={listenNow}>Record without it</Button>
              <Button onClick={() => setDelay('unasked')}>Not now</Button>
            </div>
          </div>
        ) : shown === null && rows.length > 0 ? (
          <p className="loading">Fetching the take …</p>
        ) : shown === null ? (
          <div className="empty">
            <h2>No takes yet</h2>
            <p>
              Press <kbd>R</kbd>. After the count-in tap the strokes with the band: <kbd>F</kbd> for down, <kbd>J</kbd> for up, or tap the
              two pads. Chucks are tapped too. <kbd>M</kbd> listens to your guitar instead, and <kbd>E</kbd> lets a simulated student play,
              to see what a report says.
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
        {!busy && at && (
          <div className="lock-wishes">
            <Checkbox checked={hidden} onChange={(event) => setHidden(event.target.checked)}>
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
        )}
        {!busy && at && (
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
        {rows.length === 0 ? (
          <p className="muted">They are listed here with their reports.</p>
        ) : (
          <>
            <TakeTrend takes={rows} width={244} shown={wanted} />
            <div className="take-list" role="listbox" aria-label="Takes" onKeyDown={walkList}>
              {rows.map((take) => (
                <button
                  key={take.id}
                  type="button"
                  role="option"
                  aria-selected={take.id === wanted}
                  className={take.id === wanted ? 'chosen' : take.id === besideId ? 'beside' : ''}
                  onClick={(event) => (event.shiftKey || picking ? setBeside(take.id) : setShownId(take.id))}
                >
                  <b>Take {take.number}</b>
                  <span>
                    {take.player} · {take.tempo} bpm · {countOf(take.bars, 'bar')}
                    {take.level < 3 ? `, level ${take.level}` : ''} · {ago(take.created_at)}
                  </span>
                  <em className={take.passed ? 'held' : 'cut'}>{take.passed ? 'locks' : 'not yet'}</em>
                </button>
              ))}
            </div>
            <MoreButton list={takes} words="Older takes" />
            {rows.length > 1 && (
              <Button size="small" aria-pressed={picking} onClick={() => setPicking(!picking)}>
                {picking ? 'Now press the other take' : 'Set another take beside it'}
              </Button>
            )}
          </>
        )}
      </aside>
      {checking && <DelayCheck onClose={() => setChecking(false)} />}
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
