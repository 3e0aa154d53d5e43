import { useRef } from 'react'

const FORGET_MS = 2400

/** Each call is a tap; from the second on the tempo of the last taps is handed over, in whole beats a minute. */
export function useTapTempo(onTempo: (bpm: number) => void): () => void {
  const taps = useRef<number[]>([])
  return () => {
    const now = performance.now()
    const recent = taps.current.filter((tap, index, all) => now - tap < FORGET_MS * (all.length - index))
    taps.current = [...(recent.length > 0 && now - (recent.at(-1) ?? 0) < FORGET_MS ? recent : []), now].slice(-8)
    const first = taps.current[0]
    if (first === undefined || taps.current.length < 2) return
    const bpm = Math.round((60000 * (taps.current.length - 1)) / (now - first))
    if (bpm >= 20 && bpm <= 400) onTempo(bpm)
  }
}
