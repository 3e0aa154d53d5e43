import { useQueryClient } from '@tanstack/react-query'
import { App, Button, Select } from 'antd'
import { useRef, useState } from 'react'
import { ulid } from 'ulid'
import { call } from '../../api/client'
import { keys, useCalibration, useTakes } from '../../api/queries'
import type { Take } from '../../api/types'
import { useMicrophone } from '../../audio/useMicrophone'
import { useRecorder, type Recorded } from '../../audio/useRecorder'
import { useKeys } from '../../ui/keys'
import { ago } from '../../ui/words'
import { useBench, useMine } from '../bench/benchContext'
import { DelayCheck } from './DelayCheck'
import { deviceId } from './device'
import { MicRoom } from './MicRoom'
import { Report } from './Report'
import { TakeTrend } from './TakeTrend'
import { TapPads } from './TapPads'

const LENGTHS = [4, 8, 16, 32, 64]

/** Play along, be measured, and see where it locks. */
export default function LockStation() {
  const { store, tempo, setTempo, timeline } = useBench()
  const mine = useMine()
  const id = store.getState().id
  const client = useQueryClient()
  const { message } = App.useApp()
  const takes = useTakes(id)
  const calibration = useCalibration(deviceId()).data?.calibration ?? null
  const [shownId, setShownId] = useState<string | null>(null)
  const [bars, setBars] = useState(8)
  const [checking, setChecking] = useState(false)
  const [unsent, setUnsent] = useState<{ id: string; take: Recorded } | null>(null)
  const shown = takes.data?.find((take) => take.id === shownId) ?? takes.data?.at(-1) ?? null

  const send = async (takeId: string, take: Recorded) => {
    setUnsent({ id: takeId, take })
    try {
      if (mine) await store.saveNow()
      const kept = await call<Take>('POST', `breakdowns/${id}/takes`, { id: takeId, tempo: take.tempo, bars: take.bars, taps: take.taps, latency_ms: calibration?.latency_ms ?? null })
      setUnsent(null)
      await client.invalidateQueries({ queryKey: keys.takes(id) })
      setShownId(kept.id)
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'The take could not be judged. It is kept here; try again.', 8)
    }
  }
  const [hearing, setHearing] = useState(false)
  /** @param firstBeat seconds into the recording; found by the core where nobody knows */
  const sendSound = async (sound: Blob, firstBeat: number | null) => {
    setHearing(true)
    try {
      if (mine) await store.saveNow()
      const what = new URLSearchParams({ id: ulid().toLowerCase(), tempo: String(tempo), bars: String(bars), ...(firstBeat === null ? {} : { first_beat: firstBeat.toFixed(5) }), ...(calibration === null || firstBeat === null ? {} : { latency_ms: String(calibration.latency_ms) }) })
      const kept = await call<Take>('POST', `breakdowns/${id}/recordings?${what}`, sound)
      await client.invalidateQueries({ queryKey: keys.takes(id) })
      setShownId(kept.id)
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'The recording could not be heard. Try again.', 8)
    } finally {
      setHearing(false)
    }
  }
  const microphone = useMicrophone((sound, firstBeat) => void sendSound(sound, firstBeat), (problem) => void message.error(problem, 10))
  const recorder = useRecorder((take) => void send(ulid().toLowerCase(), take))
  const record = () => void recorder.start({ bars, tempo })
  const busy = recorder.status !== 'idle' || microphone.status !== 'idle'
  const listen = () => void microphone.start({ bars })
  const stop = () => {
    recorder.stop()
    microphone.stop()
  }
  useKeys(busy ? { Escape: stop } : { r: record, m: listen, u: () => upload.current?.click() }, busy || !checking)
  const upload = useRef<HTMLInputElement>(null)
  const canRecord = timeline !== undefined && timeline.strokes.length > 0

  return (
    <div className="with-side">
      <div className="station-main">
        <div className="station-head">
          <h2>Lock</h2>
          <p className="muted">
            at {tempo} · {calibration === null ? 'delay not measured' : `delay ${Math.round(calibration.latency_ms)} ms, measured ${ago(calibration.measured_at)}`}
          </p>
          <div className="title-actions">
            <Button onClick={() => setChecking(true)}>{calibration === null ? 'Measure the delay' : 'Measure anew'}</Button>
            <Select aria-label="Bars to record" value={bars} options={LENGTHS.map((value) => ({ value, label: `${value} bars` }))} onChange={setBars} style={{ width: 96 }} />
            {!busy ? (
              <>
                <Button onClick={() => upload.current?.click()} disabled={!canRecord || hearing} loading={hearing} title="A WAV file of you alone, at the tempo below">
                  Upload <kbd>U</kbd>
                </Button>
                <Button onClick={listen} disabled={!canRecord || hearing}>
                  Microphone <kbd>M</kbd>
                </Button>
                <Button type="primary" onClick={record} disabled={!canRecord}>
                  Record a take <kbd className="on-ink">R</kbd>
                </Button>
              </>
            ) : (
              <Button danger onClick={stop}>
                Stop <kbd>Esc</kbd>
              </Button>
            )}
            <input
              ref={upload}
              type="file"
              accept=".wav,audio/wav"
              hidden
              aria-label="A recording"
              onChange={(event) => {
                const file = event.target.files?.[0]
                event.target.value = ''
                if (file !== undefined) void sendSound(file, null)
              }}
            />
          </div>
        </div>
        {!canRecord && timeline !== undefined && <p className="finding finding-swing">There is nothing to play along to yet. Type a chord line in Chart and set strokes in Hand.</p>}
        {recorder.status !== 'idle' ? (
          <TapPads recorder={recorder} bars={bars} />
        ) : microphone.status !== 'idle' ? (
          <MicRoom level={microphone.level} bars={bars} />
        ) : shown !== null ? (
          <Report take={shown} />
        ) : (
          <div className="empty">
            <h2>No takes yet</h2>
            <p>
              Press <kbd>R</kbd>. After the count-in tap the strokes with the band: <kbd>F</kbd> for down, <kbd>J</kbd> for up, or tap the two pads. Chucks are tapped too.
            </p>
          </div>
        )}
      </div>
      <aside className="side" aria-label="What to work on">
        {unsent !== null && !busy && (
          <p className="finding finding-off" role="alert">
            Your last take is not judged yet. It is kept here.{' '}
            <Button size="small" onClick={() => void send(unsent.id, unsent.take)}>
              Judge it now
            </Button>
          </p>
        )}
        {shown !== null && !busy && <Findings take={shown} onPractise={setTempo} />}
        <h3>Takes</h3>
        {takes.data === undefined || takes.data.length === 0 ? (
          <p className="muted">They are listed here with their reports.</p>
        ) : (
          <>
            <TakeTrend takes={takes.data} width={272} shown={shown?.id ?? null} />
            <div className="take-list" role="listbox" aria-label="Takes">
              {[...takes.data].reverse().map((take) => (
                <button key={take.id} type="button" role="option" aria-selected={take.id === shown?.id} className={take.id === shown?.id ? 'chosen' : ''} onClick={() => setShownId(take.id)}>
                  <b>Take {take.number}</b>
                  <span>
                    {take.player} · {take.tempo} bpm · {take.bars} bars · {ago(take.created_at)}
                  </span>
                  <em className={take.report.gate.passed ? 'held' : 'cut'}>{take.report.gate.passed ? 'locks' : 'not yet'}</em>
                </button>
              ))}
            </div>
          </>
        )}
      </aside>
      {checking && <DelayCheck onClose={() => setChecking(false)} />}
    </div>
  )
}

function Findings({ take, onPractise }: { take: Take; onPractise: (tempo: number) => void }) {
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
          {finding.practise !== null && finding.practise !== undefined && (
            <Button size="small" onClick={() => onPractise(finding.practise?.tempo ?? take.tempo)}>
              Set {finding.practise.tempo} bpm
            </Button>
          )}
        </div>
      ))}
      {holds !== undefined && <p className="finding finding-holds">{holds.text}</p>}
    </section>
  )
}
