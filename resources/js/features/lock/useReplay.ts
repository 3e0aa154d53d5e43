import { useEffect, useRef, useState } from 'react'
import type { Take } from '../../api/types'
import { band, output } from '../../audio/band'
import { soundOf, type KeptSound } from './sounds'

type Replayed = {
  id: string
  tempo: number
  bars: number
  /** bar of the song with which it begins */ from?: number
  taps: number[]
  /** where its player lets others hear it: its address, and the second at which bar 1 beat 1 sounds in it */
  kept?: { address: string; firstBeat: number }
}

export const tapsOf = (take: Take, breakdown: string): Replayed => ({
  id: take.id,
  tempo: take.tempo,
  bars: take.bars,
  from: take.from_bar,
  taps: take.strokes,
  ...(take.sound_at === null
    ? {}
    : {
        kept: { address: `/api/breakdowns/${breakdown}/takes/${take.id}/sound`, firstBeat: take.sound_at + (take.latency_ms ?? 0) / 1000 },
      }),
})

/** The sound that the server keeps; null where it is gone by now. */
async function fetched({ address, firstBeat }: NonNullable<Replayed['kept']>): Promise<KeptSound | null> {
  const answer = await fetch(address, { credentials: 'same-origin' }).catch(() => null)
  return answer?.ok === true ? { wav: await answer.blob(), firstBeat } : null
}

/** A take against the band, as it was played: its sound where this browser still has it, else a click for each stroke. */
export function useReplay() {
  const [playing, setPlaying] = useState<string | null>(null)
  const mine = useRef(false)
  useEffect(() => band.subscribe(() => band.snapshot().status === 'stopped' && setPlaying(null)), [])
  // Whoever leaves the screen leaves no replay behind, and the guitar as it was.
  useEffect(() => () => void (mine.current && band.stop()), [])
  const stop = () => band.stop()
  const start = async (take: Replayed, sound?: KeptSound) => {
    const kept = sound ?? (await soundOf(take.id)) ?? (take.kept === undefined ? null : await fetched(take.kept))
    const { guitar } = band.snapshot().muted
    band.stop()
    band.mute('guitar', true)
    band.set({ loop: null })
    await band.start({ fromBar: take.from ?? 0, bars: take.bars })
    // Where the device gives no sound, nothing plays that could end and give the guitar back.
    if (band.snapshot().status === 'stopped') return band.mute('guitar', guitar)
    setPlaying(take.id)
    mine.current = true
    const unmute = band.subscribe(() => {
      if (band.snapshot().status !== 'stopped') return
      unmute()
      mine.current = false
      band.mute('guitar', guitar)
    })
    if (kept !== null) await output.playSound(kept.wav, kept.firstBeat, band.startedAt)
    else for (const t of take.taps) output.count(1, band.startedAt + t)
  }
  return { playing, start, stop }
}
