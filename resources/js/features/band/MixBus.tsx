import { Select, Slider } from 'antd'
import { playbackCeiling, playbackLevel, setPlaybackCeiling, setPlaybackLevel } from '../../audio/band'

const CEILINGS = [
  { value: 0, label: 'usual ceiling' },
  { value: -6, label: '6 dB lower' },
  { value: -12, label: '12 dB lower' },
  { value: -18, label: '18 dB lower' },
]

/** How loud the whole band plays in this browser, and the ceiling that nothing passes. */
export function MixBus() {
  return (
    <div className="mix-bus">
      <b>Everything</b>
      <Slider
        ariaLabelForHandle="Loudness of everything"
        min={0}
        max={1}
        step={0.05}
        defaultValue={playbackLevel()}
        onChange={setPlaybackLevel}
        tooltip={{ formatter: (level) => `${Math.round(100 * (level ?? 0))} %` }}
      />
      <Select
        size="small"
        aria-label="Ceiling"
        defaultValue={playbackCeiling()}
        options={CEILINGS}
        onChange={setPlaybackCeiling}
        popupMatchSelectWidth={false}
      />
      <span className="muted">On this device alone. Hearing is precious: begin soft, and rest your ears.</span>
    </div>
  )
}
