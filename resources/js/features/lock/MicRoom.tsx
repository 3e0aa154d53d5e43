import { useRef } from 'react'
import { band } from '../../audio/band'
import { useBandFrames } from '../../audio/useBandFrames'

/** While the microphone listens: the count, and how loud the guitar comes in. The judgement comes afterwards. */
export function MicRoom({ level, bars, hideBeats = false }: { level: () => number; bars: number; hideBeats?: boolean }) {
  const count = useRef<HTMLParagraphElement>(null)
  const bar = useRef<HTMLElement>(null)
  useBandFrames(() => {
    const at = band.position()
    const words = at === null ? '' : at.countIn !== null ? `Count-in: ${at.countIn}` : `Bar ${Math.min(bars, Math.floor(band.elapsedBars() + 1e-6) + 1)} of ${bars}${hideBeats ? '' : `, beat ${at.beat + 1}`}`
    if (count.current !== null && count.current.textContent !== words) count.current.textContent = words
    if (bar.current !== null) bar.current.style.width = `${Math.min(100, 100 * Math.sqrt(level()))}%`
  })
  return (
    <div className="recording">
      <p ref={count} className="recording-count" role="timer" />
      <div className="mic-level" role="img" aria-label="Level of the microphone">
        <b ref={bar} />
      </div>
      <p className="muted">Play along. Headphones keep the band out of the microphone: what it hears of drums and bass counts as yours. The sound stays in this browser.</p>
    </div>
  )
}
