import { useQueryClient } from '@tanstack/react-query'
import { Button, Segmented } from 'antd'
import { useEffect, useRef, useState } from 'react'
import { call } from '../../api/client'
import { keys } from '../../api/queries'
import type { Calibration } from '../../api/types'
import { band, output, tapClock } from '../../audio/band'
import { onSoundGone } from '../../audio/context'
import { NoMicrophone, openMicrophone, type Microphone } from '../../audio/microphone'
import { Recording } from '../../audio/Recording'
import { wavOf } from '../../audio/wav'
import { deviceId } from './device'
import { Dialog } from '../../ui/Dialog'

const CLICKS = 16
const LEAD_IN = 4
const SECONDS_A_CLICK = 0.6
/** A delay that moved by more than this is worth a word, ms. */
const MOVED_MS = 10

const NO_SOUND = 'There are no clicks: this device gives no sound. Check its loudspeaker or headphones.'

type Input = 'keys' | 'microphone'
type State =
  | { status: 'ready' }
  | { status: 'clicking'; click: number }
  | { status: 'busy' }
  | { status: 'done'; calibration: Calibration }
  | { status: 'refused'; message: string }

/**
 * Sixteen clicks, sixteen taps; or sixteen clicks that the microphone hears of the loudspeaker. The core takes the
 * median as the device's delay.
 */
export function DelayCheck({ onClose }: { onClose: () => void }) {
  const [input, setInput] = useState<Input>('keys')
  const [state, setState] = useState<State>({ status: 'ready' })
  const taps = useRef<number[]>([])
  const clicks = useRef<number[]>([])
  const recording = useRef<{ microphone: Microphone; sound: Recording } | null>(null)
  const timer = useRef<ReturnType<typeof setInterval> | undefined>(undefined)
  const client = useQueryClient()

  const tap = (timeStamp: number) => {
    if (state.status === 'clicking' && input === 'keys') taps.current.push(tapClock.audioTimeOf(timeStamp))
  }
  const measure = async (): Promise<Calibration> => {
    const zero = clicks.current[0] ?? 0
    if (input === 'keys') {
      const relative = (times: number[]) => times.map((time) => Math.round((time - zero) * 1e5) / 1e5)
      return call('PUT', '/api/calibrations/{device}', {
        path: { device: deviceId(input) },
        body: { clicks: relative(clicks.current), taps: relative(taps.current) },
      })
    }
    recording.current?.microphone.stop()
    const since = recording.current?.sound.since ?? null
    if (recording.current === null || since === null)
      throw new NoMicrophone('Nothing came from the microphone. Check that it is on, and try again.')
    return call('PUT', '/api/calibrations/{device}/recording', {
      path: { device: deviceId(input) },
      query: { first: Math.round((zero - since) * 1e5) / 1e5, every: SECONDS_A_CLICK, count: CLICKS },
      body: wavOf(recording.current.sound.blocks, recording.current.microphone.rate),
    })
  }
  const judge = async () => {
    clearInterval(timer.current)
    setState({ status: 'busy' })
    try {
      const calibration = await measure()
      client.setQueryData(keys.calibration(deviceId(input)), { calibration })
      setState({ status: 'done', calibration })
    } catch (problem) {
      setState({ status: 'refused', message: problem instanceof Error ? problem.message : 'Try again.' })
    }
  }
  const start = async () => {
    band.stop()
    if (!(await output.resume())) return setState({ status: 'refused', message: NO_SOUND })
    taps.current = []
    if (input === 'microphone') {
      const sound = new Recording()
      recording.current = null
      try {
        const microphone = await openMicrophone(
          (samples, at, rate) => sound.add(samples, at, rate),
          () => setState({ status: 'refused', message: 'The microphone went away. Plug it in and try again.' }),
        )
        recording.current = { microphone, sound }
      } catch (problem) {
        setState({ status: 'refused', message: problem instanceof NoMicrophone ? problem.message : 'The microphone could not be opened.' })
        return
      }
    }
    const zero = output.now() + 0.3
    const all = Array.from({ length: LEAD_IN + CLICKS }, (_, index) => zero + index * SECONDS_A_CLICK)
    all.forEach((time, index) => output.click(index % 4 === 0, time))
    clicks.current = all.slice(LEAD_IN)
    setState({ status: 'clicking', click: -LEAD_IN })
    timer.current = setInterval(() => {
      tapClock.compare()
      const click = Math.floor((output.now() - zero) / SECONDS_A_CLICK) - LEAD_IN
      if (click >= CLICKS) void judge()
      else setState({ status: 'clicking', click })
    }, 50)
  }
  useEffect(
    () => () => {
      clearInterval(timer.current)
      recording.current?.microphone.stop()
      output.silence()
    },
    [],
  )
  useEffect(
    () =>
      onSoundGone(() => {
        clearInterval(timer.current)
        recording.current?.microphone.stop()
        setState((now) => (now.status === 'clicking' ? { status: 'refused', message: NO_SOUND } : now))
      }),
    [],
  )
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.repeat || !['f', 'j', ' '].includes(event.key.toLowerCase())) return
      if (state.status === 'clicking') {
        event.preventDefault()
        tap(event.timeStamp)
      }
    }
    window.addEventListener('keydown', listen)
    return () => window.removeEventListener('keydown', listen)
  })

  return (
    <Dialog open title="Measure this device's delay" footer={null} onCancel={onClose}>
      <Segmented
        aria-label="What is measured"
        block
        disabled={state.status === 'clicking' || state.status === 'busy'}
        value={input}
        options={[
          { value: 'keys', label: 'keys and pads' },
          { value: 'microphone', label: 'microphone' },
        ]}
        onChange={(to) => {
          setInput(to as Input)
          setState({ status: 'ready' })
        }}
      />
      {input === 'keys' ? (
        <>
          <p className="delay-text">
            After four clicks to get ready, tap {CLICKS} times exactly with the click: on F, J, the space bar, or the pad. What comes late
            every time is the device, not you.
          </p>
          <div className="pads small">
            <button
              type="button"
              className="pad"
              disabled={state.status !== 'clicking'}
              onPointerDown={(event) => tap(event.timeStamp)}
              aria-label="Tap with the click"
            >
              <b>{state.status === 'clicking' ? clickWords(state.click) : 'tap here'}</b>
            </button>
          </div>
        </>
      ) : (
        <>
          <p className="delay-text">
            Take the headphones off and hold the microphone near the loudspeaker: it listens to {CLICKS} clicks, and how late it hears them
            is the delay of the way out and in.
          </p>
          <p className="figure-big" role="timer">
            {state.status === 'clicking' ? clickWords(state.click) : ' '}
          </p>
        </>
      )}
      {state.status === 'done' && (
        <p className="finding finding-holds" role="status">
          The delay is {Math.round(state.calibration.latency_ms)} ms ({input === 'keys' ? 'your taps' : 'the clicks'} spread by{' '}
          {Math.round(state.calibration.spread_ms)} ms). It is taken off every take by {input === 'keys' ? 'keys' : 'microphone'} on this
          device from now on.
          {state.calibration.was_ms !== null &&
            Math.abs(state.calibration.latency_ms - state.calibration.was_ms) > MOVED_MS &&
            ` It was ${Math.round(state.calibration.was_ms)} ms the time before: it drifts, so measure it before each sitting.`}
        </p>
      )}
      {state.status === 'refused' && (
        <p className="finding finding-off" role="alert">
          {state.message}
        </p>
      )}
      <div className="button-row">
        {state.status === 'done' ? (
          <Button type="primary" onClick={onClose}>
            Done
          </Button>
        ) : (
          <Button type="primary" loading={state.status === 'busy'} disabled={state.status === 'clicking'} onClick={() => void start()}>
            {state.status === 'refused' ? 'Once more' : 'Start the clicks'}
          </Button>
        )}
      </div>
    </Dialog>
  )
}

const clickWords = (click: number) => (click < 0 ? `ready in ${-click}` : `${click + 1} of ${CLICKS}`)
