import type { TimedEvent, Timeline } from '../api/types'
import { BandPlayer, type Output } from '../audio/BandPlayer'

/** As the core gives them. */
const toMicroseconds = (time: number): number => Math.round(time * 1e6) / 1e6

/** A timeline of whole bars in four with a guitar stroke on every beat and its swung off-beat, at a tempo. */
export function timelineAt(bpm: number, bars = 2, p = 0.5, mark = 0): Timeline {
  const beat = 60 / bpm
  const events: TimedEvent[] = []
  for (let index = 0; index < bars * 4; index++) {
    for (const [share, kind] of [
      [0, 'ring'],
      [p, 'chuck'],
    ] as const) {
      events.push({ part: 'guitar', t: toMicroseconds((index + share) * beat), dur: 0.1, pitch: 60 + mark, velocity: 0.5, kind })
    }
    events.push({ part: 'drums', t: toMicroseconds(index * beat), dur: 0.1, pitch: 36, velocity: 0.5, kind: 'drum' })
  }
  return {
    tempo: bpm,
    ratio: p / (1 - p),
    p,
    seconds: bars * 4 * beat,
    bars: Array.from({ length: bars }, (_, bar) => {
      const beats = [0, 1, 2, 3].map((number) => toMicroseconds((4 * bar + number) * beat))
      const off_beats = [0, 1, 2, 3].map((number) => toMicroseconds((4 * bar + number + p) * beat))
      return {
        t: beats[0] ?? 0,
        beats,
        off_beats,
        written: bar,
        pattern: 'p1',
        pattern_bar: 0,
        section: 'a',
        pass: '1',
        time: 1,
        p,
        line: 'l1',
        level: 3,
        texture: 'pattern' as const,
        role_words: '',
        loud: [3, 3],
      }
    }),
    passes: [],
    patterns: [],
    counts: Array.from({ length: bars * 8 }, (_, index) => ({
      t: toMicroseconds(((index >> 1) + (index % 2) * p) * beat),
      depth: (index % 8 === 0 ? 0 : index % 2 === 0 ? 1 : 2) as 0 | 1 | 2,
    })),
    chords: [],
    strokes: [],
    events: events.sort((a, b) => a.t - b.t),
    feel_words: '',
    off_beat_ms: 0,
    warnings: [],
  }
}

/** Stands in for the audio clock: time moves when the test says so. */
export class FakeOutput implements Output {
  clock = 0
  played: { event: TimedEvent; time: number; at: number }[] = []
  clicks: { high: boolean; time: number }[] = []
  silences = 0
  now = () => this.clock
  resume = async () => true
  play = (event: TimedEvent, time: number) => void this.played.push({ event, time, at: this.clock })
  click = (high: boolean, time: number) => void this.clicks.push({ high, time })
  counted: { depth: number; time: number }[] = []
  count = (depth: number, time: number) => void this.counted.push({ depth, time })
  silence = () => void this.silences++
  guitar = () => this.played.filter((each) => each.event.part === 'guitar')
}

/** A player on an audio clock that stands still between calls of `runTo`. */
export function playerByHand(): { output: FakeOutput; player: BandPlayer; runTo: (second: number, step?: number) => void } {
  const output = new FakeOutput()
  const player = new BandPlayer(output)
  const runTo = (second: number, step = 0.04) => {
    while (output.clock < second) {
      output.clock = Math.min(second, output.clock + step)
      player.tick()
    }
  }
  return { output, player, runTo }
}
