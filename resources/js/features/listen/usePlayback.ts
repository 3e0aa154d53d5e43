import { useEffect, useRef, useState } from 'react'

/** Never louder than this, whatever the recording. */
const CEILING = 0.8

/** Hears the recording that was opened, from a moment on. After a reload the sound is gone; what was heard of it is not. */
export function usePlayback() {
  const player = useRef<HTMLAudioElement | null>(null)
  const [ready, setReady] = useState(false)
  const [at, setAt] = useState<number | null>(null)
  const release = () => {
    if (player.current === null) return
    player.current.pause()
    URL.revokeObjectURL(player.current.src)
    player.current = null
  }
  useEffect(() => release, [])
  useEffect(() => {
    if (at === null) return
    const frame = requestAnimationFrame(() => setAt(player.current === null || player.current.paused ? null : player.current.currentTime))
    return () => cancelAnimationFrame(frame)
  }, [at])
  const load = (sound: Blob | null) => {
    release()
    setAt(null)
    setReady(sound !== null)
    if (sound === null) return
    player.current = new Audio(URL.createObjectURL(sound))
    player.current.volume = CEILING
  }
  const toggle = (from: number) => {
    const audio = player.current
    if (audio === null) return
    if (!audio.paused) {
      audio.pause()
      setAt(null)
      return
    }
    audio.currentTime = Math.max(0, from - 0.05)
    void audio.play().then(() => setAt(audio.currentTime))
  }
  /** From the beginning; a second time stops it. */
  const run = (on: boolean) => {
    const audio = player.current
    if (audio === null) return
    audio.pause()
    audio.currentTime = 0
    if (on) void audio.play().then(() => setAt(audio.currentTime))
    else setAt(null)
  }
  /** Seconds of the recording that sound just now; null while nothing does. */
  const now = () => (player.current === null || player.current.paused ? null : player.current.currentTime)
  return { ready, at, load, toggle, run, now }
}
