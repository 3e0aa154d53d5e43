import { useQueryClient } from '@tanstack/react-query'
import { App } from 'antd'
import { useState } from 'react'
import { ulid } from 'ulid'
import { deliver, useOutbox, type Played, type Waiting } from '../../api/outbox'
import { keys, useCalibration, usePerson } from '../../api/queries'
import type { Arrangement, Take } from '../../api/types'
import type { Recorded } from '../../audio/useRecorder'
import { useBench, useMine } from '../bench/benchContext'
import { deviceId } from './device'
import { keepSound } from './sounds'

export type Sound = {
  wav: Blob
  bars: number
  /** bar of the song, from 0, with which it begins */
  from?: number
  tempo: number
  /** of the pattern that was asked for; as it is set now where nothing is said */ level?: number
  /** seconds into the recording; found by the core where nobody knows */ firstBeat: number | null
}

/** What the takes are of. */
export type Judged = {
  id: string
  title: string
  stage: string | null
  arrangement: Arrangement
  level: number
  /** what has to be saved before a take can be held against it */
  ready?: () => Promise<unknown>
}

/** Takes at the bench, in the stage that lies on the stand. */
export function useBenchJudge(stage: string | null) {
  const { store, level, arrangement } = useBench()
  const mine = useMine()
  const { id, document } = store.getState()
  return useJudge({ id, title: document.title, stage, arrangement, level, ...(mine ? { ready: () => store.saveNow() } : {}) })
}

/** Has takes judged and kept by the core; one that cannot be sent waits in this browser. */
export function useJudge({ id, title, stage, arrangement, level, ready }: Judged) {
  const client = useQueryClient()
  const { message } = App.useApp()
  const person = usePerson().data
  const player = person?.id ?? 0
  const [asked, setKeepsSound] = useState<boolean | null>(null)
  const keepsSound = asked ?? person?.keeps_sound ?? false
  const byKey = useCalibration(deviceId('keys')).data?.calibration ?? null
  const byMicrophone = useCalibration(deviceId('microphone')).data?.calibration ?? null
  const [hearing, setHearing] = useState(false)
  /** The share that is heard of a recording, told while it is; null before the first word. */
  const [heard, setHeard] = useState<number | null>(null)
  const waiting = useOutbox((outbox) => outbox.waiting).filter((each) => each.breakdown === id && each.player === player)

  const again = async (each: Waiting): Promise<Take | null> => {
    const sounds = 'sound' in each.played
    if (sounds) setHearing(true)
    try {
      await ready?.()
      const take = await deliver(each, setHeard)
      if ('sound' in each.played && each.played.sound.type !== 'audio/midi') {
        const { first_beat = 0, latency_ms = 0 } = each.played.query
        await keepSound(take.id, { wav: each.played.sound, firstBeat: first_beat + latency_ms / 1000 })
      }
      client.setQueryData(['take', id, take.id], take)
      await client.invalidateQueries({ queryKey: keys.takes(id) })
      return take
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'The take could not be judged. It is kept here; try again.', 8)
      return null
    } finally {
      if (sounds) setHearing(false)
      setHeard(null)
    }
  }
  const send = (played: Played): Promise<Take | null> =>
    again({ id: ulid().toLowerCase(), player, breakdown: id, title, at: Date.now(), played })
  const taps = (take: Recorded): Promise<Take | null> =>
    send({
      taps: {
        tempo: take.tempo,
        bars: take.bars,
        from: take.from ?? 0,
        taps: take.taps,
        latency_ms: byKey?.latency_ms ?? null,
        stage,
        arrangement,
        level: take.level ?? level,
      },
    })
  const sound = (recorded: Sound): Promise<Take | null> => {
    const { wav, bars, tempo, firstBeat, from = 0 } = recorded
    return send({
      sound: wav,
      query: {
        tempo,
        bars,
        from,
        level: recorded.level ?? level,
        stage: stage ?? undefined,
        arrangement,
        first_beat: firstBeat === null ? undefined : Math.round(firstBeat * 1e5) / 1e5,
        latency_ms: firstBeat === null ? undefined : byMicrophone?.latency_ms,
        keep_sound: keepsSound ? 1 : 0,
      },
    })
  }
  return { keepsSound, setKeepsSound, taps, sound, again, hearing, heard, waiting: hearing ? [] : waiting, byKey, byMicrophone }
}
