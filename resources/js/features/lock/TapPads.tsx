import { useRef } from 'react'
import type { Timeline } from '../../api/types'
import { band } from '../../audio/band'
import { useBandFrames } from '../../audio/useBandFrames'
import type { Recorder } from '../../audio/useRecorder'
import { LiveStrip } from './LiveStrip'

/** from: bar of the song, from 0, with which the take begins */
type Props = { recorder: Recorder; timeline: Timeline | undefined; bars: number; from?: number; hideBeats?: boolean }

/** While a take runs: two pads, the count, and the last bar of taps over the plan. The judgement comes afterwards. */
export function TapPads({ recorder, timeline, bars, from = 0, hideBeats = false }: Props) {
  const count = useRef<HTMLParagraphElement>(null)
  useBandFrames(() => {
    const at = band.position()
    if (count.current === null) return
    const beats = Math.floor(band.elapsedBars() + 1e-6)
    const words =
      at === null
        ? ''
        : at.countIn !== null
          ? `Count-in: ${at.countIn}`
          : `Bar ${Math.min(bars, beats + 1)} of ${bars}${hideBeats ? '' : `, beat ${at.beat + 1}`}`
    if (count.current.textContent !== words) count.current.textContent = words
  })
  return (
    <div className="recording">
      <p ref={count} className="recording-count" role="timer" />
      {!hideBeats && timeline !== undefined && <LiveStrip timeline={timeline} strokes={recorder.taps} from={from} />}
      <div className="pads">
        {(['down', 'up'] as const).map((key) => (
          <button
            key={key}
            type="button"
            className={`pad pad-${key}`}
            onPointerDown={(event) => {
              event.preventDefault()
              recorder.tap({ key }, event.timeStamp)
            }}
          >
            <b>{key}</b>
            <kbd>{key === 'down' ? 'F' : 'J'}</kbd>
          </button>
        ))}
      </div>
      <p className="muted">{recorder.taps.length} strokes so far. Chucks are tapped too; air strokes are not.</p>
    </div>
  )
}
