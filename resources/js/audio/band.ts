import { recall, remember } from '../ui/remembered'
import { BandPlayer } from './BandPlayer'
import { TapClock } from './tapClock'
import { onSoundGone } from './context'
import { WebAudioOutput } from './WebAudioOutput'

/** The one band of the page. Its clock runs in a worker, so that a hidden tab keeps time. */
export const output = new WebAudioOutput()
const LEVEL = 'gravik:level'

/** How loud everything plays, 0 to 1, as it was last set in this browser. */
export const playbackLevel = (): number => Number(recall(LEVEL) ?? 1)
export function setPlaybackLevel(level: number): void {
  remember(LEVEL, String(level))
  output.setLevel(level)
}
output.setLevel(playbackLevel())
const CEILING = 'gravik:ceiling'

/** By how many dB the ceiling of all playing lies lower than usual, as it was last set in this browser. */
export const playbackCeiling = (): number => Number(recall(CEILING) ?? 0)
export function setPlaybackCeiling(db: number): void {
  remember(CEILING, String(db))
  output.setCeiling(db)
}
output.setCeiling(playbackCeiling())

export const band = new BandPlayer(output)
// A clock that stands still plays nothing and ends no take.
onSoundGone(() => band.stop())
export const tapClock = new TapClock(() => output.now())

const TICK_MS = 40
const source = URL.createObjectURL(new Blob([`setInterval(() => postMessage(0), ${TICK_MS})`], { type: 'text/javascript' }))
new Worker(source).onmessage = () => {
  band.tick()
  if (band.playing) tapClock.compare()
}
