import { useRef } from 'react'
import type { Timeline } from '../../api/types'
import { band } from '../../audio/band'
import type { Listening } from '../../audio/useMicrophone'
import { useBandFrames } from '../../audio/useBandFrames'
import { LiveStrip } from './LiveStrip'

/**
 * While the microphone listens: the count, how loud the guitar comes in, and what is heard of it a moment later. The
 * judgement comes afterwards.
 */
export function MicRoom({
  microphone,
  timeline,
  bars,
  from = 0,
  lateMs = 0,
  hideBeats = false,
}: {
  microphone: Listening
  timeline?: Timeline | undefined
  bars: number
  /** bar of the song, from 0, with which the take begins */ from?: number
  /** the device's delay, ms */ lateMs?: number
  hideBeats?: boolean
}) {
  const { level, heard } = microphone
  const count = useRef<HTMLParagraphElement>(null)
  const bar = useRef<HTMLElement>(null)
  useBandFrames(() => {
    const at = band.position()
    const words =
      at === null
        ? ''
        : at.countIn !== null
          ? `Count-in: ${at.countIn}`
          : `Bar ${Math.min(bars, Math.floor(band.elapsedBars() + 1e-6) + 1)} of ${bars}${hideBeats ? '' : `, beat ${at.beat + 1}`}`
    if (count.current !== null && count.current.textContent !== words) count.current.textContent = words
    if (bar.current !== null) bar.current.style.width = `${Math.min(100, 100 * Math.sqrt(level()))}%`
  })
  return (
    <div className="recording">
      <p ref={count} className="recording-count" role="timer" />
      <div className="mic-level" role="img" aria-label="Level of the microphone">
        <b ref={bar} />
      </div>
      {!hideBeats && timeline !== undefined && (
        <LiveStrip timeline={timeline} strokes={heard.map((stroke) => ({ ...stroke, t: stroke.t - lateMs / 1000 }))} from={from} />
      )}
      <p className="muted">Play along. Headphones keep the band out of the microphone: what it hears of drums and bass counts as yours.</p>
    </div>
  )
}
