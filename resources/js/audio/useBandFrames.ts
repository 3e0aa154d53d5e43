import { useEffect, useLayoutEffect, useRef } from 'react'
import { band } from './band'

/** Draws frame after frame while the band plays and once whenever it starts, stops or changes: an idle page costs nothing. */
export function useBandFrames(draw: () => void): void {
  const latest = useRef(draw)
  useLayoutEffect(() => {
    latest.current = draw
  })
  useEffect(() => {
    let frame = 0
    const run = () => {
      latest.current()
      frame = band.playing ? requestAnimationFrame(run) : 0
    }
    const wake = () => {
      if (frame === 0) frame = requestAnimationFrame(run)
    }
    const leave = band.subscribe(wake)
    wake()
    return () => {
      leave()
      cancelAnimationFrame(frame)
    }
  }, [])
}
