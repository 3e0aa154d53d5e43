import { App } from 'antd'
import { useCallback, useEffect, useRef, useState } from 'react'
import { patched } from '../../api/desk'
import { fetchTimeline } from '../../api/queries'
import type { Patch } from '../../api/types'
import { band } from '../../audio/band'
import { useBench } from '../bench/benchContext'

/** Hears some bars as they are, or as a change would make them, before anything is changed. */
export function useTryOut() {
  const { store, desk, tempo, level, played: what, timeline } = useBench()
  const { message } = App.useApp()
  const [heard, setHeard] = useState<'now' | 'mended' | null>(null)
  const real = useRef(timeline)
  useEffect(() => {
    real.current = timeline
    // What is played from now on is the song as it stands.
    setHeard(null)
  }, [timeline])
  const back = useCallback(() => {
    if (real.current !== undefined) band.setTimeline(real.current)
  }, [])
  useEffect(() => back, [back])
  const hear = async (bars: number[], change: Patch[] | null) => {
    const document = change === null ? store.getState().document : patched(store.getState().document, change)
    if (document === null) return void message.info('What this would change has changed meanwhile. It is looked at anew.')
    try {
      const played = change === null ? real.current : await fetchTimeline({ ...desk, document }, tempo, level, what)
      if (played === undefined) return
      band.setTimeline(played)
      const first = Math.min(...bars)
      band.set({ loop: [first, Math.min(first + 3, Math.max(...bars))] })
      setHeard(change === null ? 'now' : 'mended')
      if (!band.playing) await band.start()
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'That could not be played.')
    }
  }
  const stop = () => {
    if (heard === null) return
    band.stop()
    band.set({ loop: null })
    setHeard(null)
    back()
  }
  return { heard, hear, stop }
}
