import { useQueryClient } from '@tanstack/react-query'
import { Button, Modal } from 'antd'
import { useEffect, useRef, useState } from 'react'
import { call } from '../../api/client'
import { keys } from '../../api/queries'
import type { Calibration } from '../../api/types'
import { band, output, tapClock } from '../../audio/band'
import { deviceId } from './device'

const CLICKS = 16
const LEAD_IN = 4
const SECONDS_A_CLICK = 0.6

type State = { status: 'ready' } | { status: 'clicking'; click: number } | { status: 'busy' } | { status: 'done'; calibration: Calibration } | { status: 'refused'; message: string }

/** Sixteen clicks, sixteen taps: the core takes the median of how late the taps came as the device's delay. */
export function DelayCheck({ onClose }: { onClose: () => void }) {
  const [state, setState] = useState<State>({ status: 'ready' })
  const taps = useRef<number[]>([])
  const clicks = useRef<number[]>([])
  const timer = useRef<ReturnType<typeof setInterval> | undefined>(undefined)
  const client = useQueryClient()

  const tap = (timeStamp: number) => {
    if (state.status === 'clicking') taps.current.push(tapClock.audioTimeOf(timeStamp))
  }
  const judge = async () => {
    clearInterval(timer.current)
    setState({ status: 'busy' })
    const zero = clicks.current[0] ?? 0
    const relative = (times: number[]) => times.map((time) => Math.round((time - zero) * 1e5) / 1e5)
    try {
      const calibration = await call<Calibration>('PUT', `calibrations/${deviceId()}`, { clicks: relative(clicks.current), taps: relative(taps.current) })
      client.setQueryData(keys.calibration(deviceId()), { calibration })
      setState({ status: 'done', calibration })
    } catch (problem) {
      setState({ status: 'refused', message: problem instanceof Error ? problem.message : 'Try again.' })
    }
  }
  const start = async () => {
    band.stop()
    await output.resume()
    taps.current = []
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
      output.silence()
    },
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
    <Modal open title="Measure this device's delay" footer={null} onCancel={onClose}>
      <p>After four clicks to get ready, tap {CLICKS} times exactly with the click: on F, J, the space bar, or the pad. What comes late every time is the device, not you.</p>
      <div className="pads small">
        <button type="button" className="pad" disabled={state.status !== 'clicking'} onPointerDown={(event) => tap(event.timeStamp)} aria-label="Tap with the click">
          <b>{state.status === 'clicking' ? (state.click < 0 ? `ready in ${-state.click}` : `${state.click + 1} of ${CLICKS}`) : 'tap here'}</b>
        </button>
      </div>
      {state.status === 'done' && (
        <p className="finding finding-holds" role="status">
          The delay is {Math.round(state.calibration.latency_ms)} ms (your taps spread by {Math.round(state.calibration.spread_ms)} ms). It is taken off every take on this device from now on.
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
    </Modal>
  )
}
