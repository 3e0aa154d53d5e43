import { useQueryClient } from '@tanstack/react-query'
import { App } from 'antd'
import { useState } from 'react'
import { ulid } from 'ulid'
import { call } from '../../api/client'
import { keys, useCalibration } from '../../api/queries'
import type { Take } from '../../api/types'
import type { Recorded } from '../../audio/useRecorder'
import { useBench, useMine } from '../bench/benchContext'
import { watchHearing } from '../listen/watchHearing'
import { deviceId } from './device'
import { keepSound } from './sounds'

type Sound = {
  wav: Blob
  bars: number
  /** bar of the song, from 0, with which it begins */
  from?: number
  tempo: number
  /** of the pattern that was asked for; as it is set now where nothing is said */ level?: number
  /** seconds into the recording; found by the core where nobody knows */ firstBeat: number | null
}

/** Has takes judged and kept by the core; one that cannot be sent waits here. */
export function useJudge(stage: string | null) {
  const { store, level, arrangement } = useBench()
  const mine = useMine()
  const id = store.getState().id
  const client = useQueryClient()
  const { message } = App.useApp()
  const byKey = useCalibration(deviceId('keys')).data?.calibration ?? null
  const byMicrophone = useCalibration(deviceId('microphone')).data?.calibration ?? null
  const [hearing, setHearing] = useState(false)
  const [unheard, setUnheard] = useState<Sound | null>(null)
  const [unsent, setUnsent] = useState<{ id: string; take: Recorded } | null>(null)

  const kept = async (take: Take) => {
    client.setQueryData(['take', id, take.id], take)
    await client.invalidateQueries({ queryKey: keys.takes(id) })
    return take
  }
  const taps = async (take: Recorded, takeId = ulid().toLowerCase()): Promise<Take | null> => {
    setUnsent({ id: takeId, take })
    try {
      if (mine) await store.saveNow()
      const judged = await call('POST', '/api/breakdowns/{id}/takes', {
        path: { id },
        body: {
          id: takeId,
          tempo: take.tempo,
          bars: take.bars,
          from: take.from ?? 0,
          taps: take.taps,
          latency_ms: byKey?.latency_ms ?? null,
          stage,
          arrangement,
          level: take.level,
        },
      })
      setUnsent(null)
      return await kept(judged)
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'The take could not be judged. It is kept here; try again.', 8)
      return null
    }
  }
  /** The share that is heard of a recording, told while it is; null before the first word. */
  const [heard, setHeard] = useState<number | null>(null)
  const sound = async (recorded: Sound): Promise<Take | null> => {
    const { wav, bars, tempo, firstBeat, from = 0 } = recorded
    setUnheard(recorded)
    setHearing(true)
    const takeId = ulid().toLowerCase()
    const stopAsking = watchHearing(setHeard)
    try {
      if (mine) await store.saveNow()
      const judged = await call('POST', '/api/breakdowns/{id}/recordings', {
        path: { id },
        query: {
          id: takeId,
          tempo,
          bars,
          from,
          level: recorded.level ?? level,
          stage: stage ?? undefined,
          arrangement,
          first_beat: firstBeat === null ? undefined : Math.round(firstBeat * 1e5) / 1e5,
          latency_ms: firstBeat === null ? undefined : byMicrophone?.latency_ms,
        },
        body: wav,
      })
      setUnheard(null)
      if (wav.type !== 'audio/midi') await keepSound(takeId, { wav, firstBeat: (firstBeat ?? 0) + (byMicrophone?.latency_ms ?? 0) / 1000 })
      return await kept(judged)
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'The recording could not be heard. Try again.', 8)
      return null
    } finally {
      stopAsking()
      setHeard(null)
      setHearing(false)
    }
  }
  return { taps, sound, hearing, heard, unsent, unheard: hearing ? null : unheard, byKey, byMicrophone }
}
