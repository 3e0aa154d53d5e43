import { useRef } from 'react'
import type { VoicedChord } from '../../api/types'
import { band } from '../../audio/band'
import { useBandFrames } from '../../audio/useBandFrames'
import { useBench } from '../bench/benchContext'

/** While the band plays, the sheet of the sounding chord is the chosen one. */
export function useFollowPlayback(chords: VoicedChord[], choose: (index: number) => void): void {
  const { timeline } = useBench()
  const shown = useRef(-1)
  useBandFrames(() => {
    const at = band.position()
    if (at === null || at.countIn !== null || timeline === undefined) return
    const index = timeline.chords.find((chord) => chord.t <= at.t && at.t < chord.until)?.written ?? -1
    if (index >= 0 && index < chords.length && index !== shown.current) choose(index)
    shown.current = index
  })
}
