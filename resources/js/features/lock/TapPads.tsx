import { useRef } from 'react'
import { band } from '../../audio/band'
import { useBandFrames } from '../../audio/useBandFrames'
import type { Recorder } from '../../audio/useRecorder'
import { useBench } from '../bench/benchContext'

const WIDTH = 880
const HEIGHT = 150

/** While a take runs: two pads, the count, and the last bar of taps over the plan. The judgement comes afterwards. */
export function TapPads({ recorder, bars, hideBeats = false }: { recorder: Recorder; bars: number; hideBeats?: boolean }) {
  const count = useRef<HTMLParagraphElement>(null)
  useBandFrames(() => {
    const at = band.position()
    if (count.current === null) return
    const beats = Math.floor(band.elapsedBars() + 1e-6)
    const words = at === null ? '' : at.countIn !== null ? `Count-in: ${at.countIn}` : `Bar ${Math.min(bars, beats + 1)} of ${bars}${hideBeats ? '' : `, beat ${at.beat + 1}`}`
    if (count.current.textContent !== words) count.current.textContent = words
  })
  return (
    <div className="recording">
      <p ref={count} className="recording-count" role="timer" />
      {!hideBeats && <LiveStrip recorder={recorder} />}
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

/** The bar that is sounding: planned strokes as blades of the core's plan, taps where they fell. */
function LiveStrip({ recorder }: { recorder: Recorder }) {
  const { timeline } = useBench()
  if (timeline === undefined) return null
  const barSeconds = timeline.beat_seconds * timeline.beats_a_bar
  const last = recorder.taps.at(-1)
  const bar = last === undefined ? 0 : Math.max(0, Math.floor((last.t + 0.25 * timeline.beat_seconds) / barSeconds))
  const start = bar * barSeconds
  const toX = (t: number) => 84 + ((t - start) / barSeconds) * (WIDTH - 114)
  const planned = timeline.strokes.filter((stroke) => stroke.bar === bar % timeline.bars)
  const formStart = (bar % timeline.bars) * barSeconds
  return (
    <svg className="live-strip" viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label="Your taps against the plan">
      {Array.from({ length: timeline.beats_a_bar + 1 }, (_, beat) => (
        <line key={beat} x1={toX(start + beat * timeline.beat_seconds)} x2={toX(start + beat * timeline.beat_seconds)} y1={10} y2={HEIGHT - 10} className="fret" />
      ))}
      {planned.map((stroke) => (
        <rect key={stroke.t} x={toX(stroke.t - formStart + start) - 3} y={26} width={6} height={44} className={`plan-mark ${stroke.kind}`} />
      ))}
      {recorder.taps
        .filter((tap) => tap.t >= start - 0.2 && tap.t < start + barSeconds)
        .map((tap, index) => (
          <path key={index} d={tap.key === 'down' ? `M${toX(tap.t)} 128l-7 -34h14z` : `M${toX(tap.t)} 94l-7 34h14z`} className="tap-mark" />
        ))}
      <text x={34} y={52} className="fret-number">
        bar {bar + 1}
      </text>
      <text x={34} y={115} className="fret-number">
        you
      </text>
    </svg>
  )
}
