import { useCallback, useEffect, useRef, useState } from 'react'
import type { Tap } from '../api/types'
import { band, tapClock } from './band'

export type Recorded = {
  taps: Tap[]
  tempo: number
  bars: number
  /** bar of the song, from 0, with which it begins; the first where nothing is said */
  from?: number
  /** of the pattern that was asked for, where one was */
  level?: number
}
export type Recorder = {
  status: 'idle' | 'recording'
  /** taps so far, seconds from bar 1 beat 1 */
  taps: Tap[]
  start: (take: Omit<Recorded, 'taps'> & { clickOnly?: 'every beat' | 'as set' }) => Promise<void>
  stop: () => void
  tap: (stroke: Struck, timeStamp: number) => void
}
export type Struck = Omit<Tap, 't'>

export const STRUCK: Record<string, Struck> = { f: { key: 'down' }, j: { key: 'up' } }

/** Half a beat before bar 1 a tap already belongs to the take. */
const EARLY_BEATS = 0.5

/** Counts in, takes taps against the audio clock until the bars are over, then hands the take over. */
export function useRecorder(onTake: (take: Recorded) => void, keys: Record<string, Struck> = STRUCK): Recorder {
  const [status, setStatus] = useState<Recorder['status']>('idle')
  const [taps, setTaps] = useState<Tap[]>([])
  const recording = useRef<Recorded | null>(null)
  const done = useRef(onTake)
  useEffect(() => {
    done.current = onTake
  })

  const finish = useCallback(() => {
    const take = recording.current
    recording.current = null
    setStatus('idle')
    if (take !== null && take.taps.length > 0) done.current({ ...take, taps: [...take.taps].sort((a, b) => a.t - b.t) })
  }, [])

  const start = useCallback(
    async ({ clickOnly, ...asked }: Omit<Recorded, 'taps'> & { clickOnly?: 'every beat' | 'as set' }) => {
      if (recording.current !== null) return
      band.stop()
      if (band.snapshot().countInBars === 0) band.set({ countInBars: 1 })
      band.set({ loop: null })
      recording.current = { taps: [], ...asked }
      setTaps([])
      setStatus('recording')
      await band.start({ fromBar: asked.from ?? 0, bars: asked.bars, ...(clickOnly === undefined ? {} : { clickOnly }), onEnd: finish })
      if (!band.playing) finish()
    },
    [finish],
  )

  const stop = useCallback(() => {
    if (recording.current === null) return
    band.stop()
    finish()
  }, [finish])

  const tap = useCallback((stroke: Struck, timeStamp: number) => {
    const take = recording.current
    if (take === null) return
    const t = tapClock.audioTimeOf(timeStamp) - band.startedAt
    if (t < (-EARLY_BEATS * 60) / take.tempo) return
    take.taps.push({ t: Math.round(t * 1e5) / 1e5, ...stroke })
    setTaps([...take.taps])
  }, [])

  useEffect(() => {
    if (status !== 'recording') return
    const listen = (event: KeyboardEvent) => {
      const stroke = keys[event.key.toLowerCase()]
      if (stroke === undefined || event.repeat || event.ctrlKey || event.metaKey || event.altKey) return
      event.preventDefault()
      tap(stroke, event.timeStamp)
    }
    window.addEventListener('keydown', listen)
    return () => window.removeEventListener('keydown', listen)
  }, [status, tap, keys])

  // The transport's own stop ends the take too.
  useEffect(() => {
    if (status !== 'recording') return
    return band.subscribe(() => {
      if (band.snapshot().status === 'stopped' && recording.current !== null) finish()
    })
  }, [status, finish])

  useEffect(
    () => () => {
      recording.current = null
    },
    [],
  )

  return { status, taps, start, stop, tap }
}
