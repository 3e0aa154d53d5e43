import { App } from 'antd'
import { useCallback, useEffect, useRef } from 'react'
import { fetchTimeline } from '../../api/queries'
import type { LessonStage, OpenStage } from '../../api/types'
import { band } from '../../audio/band'
import { useBench } from '../bench/benchContext'
import { withClicks } from '../lock/practice/clickModes'

/** Puts a stage on the stand: its bars go round, its click clicks; and plays it, as it is meant or with one thing wrong. */
export function useStagePlay(stage: LessonStage | undefined) {
  const bench = useBench()
  const { message } = App.useApp()
  const real = useRef(bench.timeline)
  useEffect(() => {
    real.current = bench.timeline
  }, [bench.timeline])
  const { loop, backing } = stage ?? { loop: null, backing: undefined }
  const [from, to] = loop ?? []
  useEffect(() => {
    if (backing === undefined) return
    const before = band.snapshot().loop
    band.set({ loop: from === undefined || to === undefined ? null : [from, to] })
    const putBack = withClicks(backing)
    return () => {
      putBack()
      band.set({ loop: before })
    }
    // The click is told by its kind: the same one is not set again.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [stage?.key, from, to, backing?.id])
  const back = useCallback(() => {
    if (real.current !== undefined) band.setTimeline(real.current)
  }, [])
  useEffect(() => back, [back])

  const hear = async (flaw: OpenStage['flaws'][number]['flaw'] | null) => {
    try {
      const { desk, tempo, level, played } = bench
      const timeline = flaw === null ? real.current : await fetchTimeline(desk, tempo, level, { ...played, flaw })
      if (timeline === undefined) return
      band.setTimeline(timeline)
      if (!band.playing) await band.start()
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'That could not be played.')
    }
  }
  const stop = () => {
    band.stop()
    back()
  }
  return { hear, stop }
}
