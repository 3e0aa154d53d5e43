import { useQueryClient } from '@tanstack/react-query'
import { App } from 'antd'
import { useEffect, useState } from 'react'
import { Link, useNavigate, useParams, useSearchParams } from 'react-router'
import { usePracticeSheet, type PracticeSheet } from '../../api/practice'
import type { Take } from '../../api/types'
import { band, output } from '../../audio/band'
import { useMicrophone } from '../../audio/useMicrophone'
import { useRecorder } from '../../audio/useRecorder'
import { useKeys } from '../../ui/keys'
import { useOnline } from '../../ui/useOnline'
import { usePageTitle } from '../../ui/usePageTitle'
import { useDayDone } from '../day/useDayDone'
import { DelayCheck } from '../lock/DelayCheck'
import { KeepSound, KeptSound } from '../lock/KeepSound'
import { MicRoom } from '../lock/MicRoom'
import { TapPads } from '../lock/TapPads'
import { Unjudged } from '../lock/Unjudged'
import { useJudge } from '../lock/useJudge'
import { tapsOf, useReplay } from '../lock/useReplay'
import { Ready } from './Ready'
import { Result } from './Result'
import { TempoSteps } from './TempoSteps'

/** One stage on the stand: hear it, play it, see in one look how it was, and on. A phone first. */
export default function PractisePage() {
  const { id = '' } = useParams()
  const [query] = useSearchParams()
  const stage = query.get('stage')
  const { hurts } = useDayDone()
  const [tempo, setTempo] = useState<number | null>(null)
  const sheet = usePracticeSheet(id, stage, tempo, hurts)
  usePageTitle(sheet.data?.title ?? 'Practise')
  if (sheet.data === undefined) {
    return sheet.error === null ? (
      <p className="loading">Laying it on the stand …</p>
    ) : (
      <main className="plain-page">
        <h1>This cannot be practised now</h1>
        <p>{sheet.error.message}</p>
        <Link to="/day">Back to today</Link>
      </main>
    )
  }
  return <Stand sheet={sheet.data} setTempo={setTempo} problem={sheet.error?.message ?? null} />
}

type StandProps = { sheet: PracticeSheet; setTempo: (tempo: number | null) => void; problem: string | null }

function Stand({ sheet, setTempo, problem }: StandProps) {
  const { message } = App.useApp()
  const navigate = useNavigate()
  const client = useQueryClient()
  const online = useOnline()
  const [shown, setShown] = useState<Take | null>(null)
  const [measuring, setMeasuring] = useState(false)
  const { timeline, bars, breakdown } = sheet
  const from = sheet.loop?.[0] ?? 0
  const judge = useJudge({ id: breakdown, title: sheet.title, stage: sheet.stage, arrangement: 'with-band', level: sheet.level })
  const replay = useReplay()
  const judged = (take: Take | null) => {
    setShown(take)
    if (take === null) return
    setTempo(null)
    void client.invalidateQueries({ queryKey: ['practice', breakdown] })
  }
  const recorder = useRecorder((take) => void judge.taps(take).then(judged))
  const microphone = useMicrophone(
    (wav, firstBeat) => void judge.sound({ wav, firstBeat, bars, from, tempo: sheet.tempo }).then(judged),
    (words) => void message.error(words, 10),
  )
  useEffect(() => {
    band.setTimeline(timeline)
    output.prepare(timeline.events)
    return () => band.stop()
  }, [timeline])
  const busy = recorder.status !== 'idle' || microphone.status !== 'idle'
  const tap = () => {
    setShown(null)
    void recorder.start({ bars, from, tempo: sheet.tempo, level: sheet.level })
  }
  const listen = () => {
    setShown(null)
    void microphone.start({ bars, from })
  }
  const hear = () => (band.playing ? band.stop() : void band.start({ fromBar: from, bars }))
  const stop = () => {
    recorder.stop()
    microphone.stop()
  }
  useKeys(busy ? { Escape: stop } : { r: tap, m: listen, h: hear, Escape: () => void navigate('/day') })

  return (
    <div className="practise">
      <header className="practise-head">
        <Link to="/day" aria-label="Back to today">
          ‹
        </Link>
        <div>
          <h1>{sheet.stage_name}</h1>
          <p>
            {sheet.title} · <b>{sheet.tempo} bpm</b>
          </p>
        </div>
        <Link to={`/breakdown/${breakdown}/lock`} className="practise-bench">
          At the bench
        </Link>
      </header>
      <main className="practise-main">
        {!online && (
          <p className="finding finding-swing" role="status">
            No connection. What lies here plays all the same; takes wait on this device and are judged when it is back.
          </p>
        )}
        {problem !== null && (
          <p className="finding finding-off" role="alert">
            {online ? problem : 'This tempo is not on this device yet. Choose another until the connection is back.'}
          </p>
        )}
        {recorder.status !== 'idle' ? (
          <TapPads recorder={recorder} timeline={timeline} bars={bars} from={from} />
        ) : microphone.status !== 'idle' ? (
          <MicRoom microphone={microphone} timeline={timeline} bars={bars} from={from} lateMs={judge.byMicrophone?.latency_ms ?? 0} />
        ) : (
          <>
            <Unjudged judge={judge} onJudged={judged} />
            {judge.hearing && <p className="loading">Your recording is being heard …</p>}
            {shown === null ? <Ready sheet={sheet} /> : <Result take={shown} sheet={sheet} onTempo={setTempo} />}
            <TempoSteps sheet={sheet} onTempo={setTempo} />
            <KeepSound judge={judge} />
            {shown !== null && <KeptSound breakdown={breakdown} take={shown} />}
            <p className="practise-more">
              {shown !== null && (
                <button type="button" className="quiet" onClick={() => setShown(null)}>
                  The hand and the grips
                </button>
              )}
              <button type="button" className="quiet" onClick={() => setMeasuring(true)} disabled={!online}>
                {judge.byKey === null ? 'Measure this device’s delay' : `Delay ${Math.round(judge.byKey.latency_ms)} ms, measure again`}
              </button>
            </p>
          </>
        )}
      </main>
      <footer className="practise-foot">
        {busy ? (
          <button type="button" className="main-act" onClick={stop}>
            Stop
          </button>
        ) : (
          <>
            <button type="button" className="main-act" onClick={tap}>
              <i aria-hidden="true" /> {shown === null ? 'Play along' : 'Once more'}
            </button>
            <button type="button" onClick={listen}>
              By guitar
            </button>
            {shown === null ? (
              <button type="button" onClick={hear}>
                Hear it
              </button>
            ) : (
              <button type="button" onClick={() => (replay.playing === null ? void replay.start(tapsOf(shown, breakdown)) : replay.stop())}>
                {replay.playing === null ? 'My take' : 'Stop'}
              </button>
            )}
            <button type="button" onClick={() => void navigate('/day')}>
              Next
            </button>
          </>
        )}
      </footer>
      {measuring && <DelayCheck onClose={() => setMeasuring(false)} />}
    </div>
  )
}
