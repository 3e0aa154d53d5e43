import { useCallback, useEffect, useRef, useState } from 'react'
import { band } from './band'
import { LiveEar, type LiveStroke } from './liveEar'
import { NoMicrophone, openMicrophone, type Microphone } from './microphone'
import { Recording } from './Recording'
import { wavOf } from './wav'

export type Listening = {
  status: 'idle' | 'opening' | 'listening'
  /** loudness of the last moment, 0 to 1 */
  level: () => number
  /** strokes heard so far, seconds from bar 1 beat 1 as the device reports them */
  heard: LiveStroke[]
  /** from: bar of the song, from 0, with which it begins */
  start: (take: { bars: number; from?: number; clickOnly?: 'every beat' | 'as set' }) => Promise<void>
  stop: () => void
}

/** What rings on after the last bar is heard too. */
const TAIL_MS = 600

/** Counts in, records the microphone while the band plays, and hands over the sound with the second at which bar 1 beat 1 lies in it. */
export function useMicrophone(onTake: (sound: Blob, firstBeat: number) => void, onProblem: (words: string) => void): Listening {
  const [status, setStatus] = useState<Listening['status']>('idle')
  const taking = useRef<{ microphone: Microphone; sound: Recording; ended: boolean } | null>(null)
  const loudness = useRef(0)
  const [heard, setHeard] = useState<LiveStroke[]>([])
  const ear = useRef<LiveEar | null>(null)
  const handlers = useRef({ onTake, onProblem })
  useEffect(() => {
    handlers.current = { onTake, onProblem }
  })

  const finish = useCallback(() => {
    const take = taking.current
    if (take === null || take.ended) return
    take.ended = true
    const startedAt = band.startedAt
    setTimeout(() => {
      take.microphone.stop()
      taking.current = null
      setStatus('idle')
      const { since, blocks } = take.sound
      if (since !== null) handlers.current.onTake(wavOf(blocks, take.microphone.rate), startedAt - since)
    }, TAIL_MS)
  }, [])

  const stop = useCallback(() => {
    if (taking.current === null) return
    band.stop()
    finish()
  }, [finish])

  const start = useCallback(
    async ({ bars, from = 0, clickOnly }: { bars: number; from?: number; clickOnly?: 'every beat' | 'as set' }) => {
      if (taking.current !== null) return
      band.stop()
      if (band.snapshot().countInBars === 0) band.set({ countInBars: 1 })
      band.set({ loop: null })
      setStatus('opening')
      try {
        const sound = new Recording()
        const microphone = await openMicrophone(
          (samples, at, rate) => {
            if (taking.current === null) return
            sound.add(samples, at, rate)
            loudness.current = samples.reduce((most, sample) => Math.max(most, Math.abs(sample)), 0)
            ear.current?.add(samples, at, rate)
          },
          () => {
            handlers.current.onProblem('The microphone went away. What was recorded until then is judged.')
            stop()
          },
        )
        taking.current = { microphone, sound, ended: false }
        setHeard([])
        ear.current = new LiveEar(microphone.rate, (strokes) =>
          setHeard(strokes.map((stroke) => ({ ...stroke, t: stroke.t - band.startedAt })).filter((stroke) => stroke.t > -0.25)),
        )
        setStatus('listening')
        await band.start({ fromBar: from, bars, ...(clickOnly === undefined ? {} : { clickOnly }), onEnd: finish })
        if (!band.playing) finish()
      } catch (problem) {
        setStatus('idle')
        handlers.current.onProblem(
          problem instanceof NoMicrophone ? problem.message : 'The microphone could not be opened. Tap the take, or upload a recording.',
        )
      }
    },
    [finish, stop],
  )

  // The transport's own stop ends the take too.
  useEffect(() => {
    if (status !== 'listening') return
    return band.subscribe(() => {
      if (band.snapshot().status === 'stopped') finish()
    })
  }, [status, finish])

  useEffect(
    () => () => {
      taking.current?.microphone.stop()
      taking.current = null
    },
    [],
  )

  return { status, level: () => loudness.current, heard, start, stop }
}
