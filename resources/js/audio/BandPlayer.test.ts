import { beforeEach, describe, expect, it } from 'vitest'
import type { TimedEvent, Timeline } from '../api/types'
import { BandPlayer, type Output } from './BandPlayer'

/** As the core gives them. */
const toMicroseconds = (time: number): number => Math.round(time * 1e6) / 1e6

/** A timeline of whole bars in four with a guitar stroke on every beat and its swung off-beat, at a tempo. */
function timelineAt(bpm: number, bars = 2, p = 0.5, mark = 0): Timeline {
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
class FakeOutput implements Output {
  clock = 0
  played: { event: TimedEvent; time: number; at: number }[] = []
  clicks: { high: boolean; time: number }[] = []
  silences = 0
  now = () => this.clock
  resume = async () => undefined
  play = (event: TimedEvent, time: number) => void this.played.push({ event, time, at: this.clock })
  click = (high: boolean, time: number) => void this.clicks.push({ high, time })
  counted: { depth: number; time: number }[] = []
  count = (depth: number, time: number) => void this.counted.push({ depth, time })
  silence = () => void this.silences++
  guitar = () => this.played.filter((each) => each.event.part === 'guitar')
}

let output: FakeOutput
let player: BandPlayer

function runTo(second: number, step = 0.04): void {
  while (output.clock < second) {
    output.clock = Math.min(second, output.clock + step)
    player.tick()
  }
}

const rounded = (times: number[]): number[] => times.map((time) => Math.round(time * 1e6) / 1e6)

beforeEach(() => {
  output = new FakeOutput()
  player = new BandPlayer(output)
})

describe('playing', () => {
  it('counts in, then plays every event at its own moment', async () => {
    player.setTimeline(timelineAt(120))
    await player.start()
    runTo(2.1)
    expect(output.clicks.map((click) => click.high)).toEqual([true, false, false, false])
    expect(player.snapshot().status).toBe('counting')
    runTo(6)
    expect(player.snapshot().status).toBe('playing')
    const start = player.startedAt
    expect(start).toBeCloseTo(0.12 + 2, 6)
    expect(
      rounded(
        output
          .guitar()
          .slice(0, 4)
          .map((each) => each.time - start),
      ),
    ).toEqual([0, 0.25, 0.5, 0.75])
  })

  it('hands everything over before its time, whatever the tempo', async () => {
    for (const bpm of [40, 120, 400]) {
      output = new FakeOutput()
      player = new BandPlayer(output)
      player.setTimeline(timelineAt(bpm, 4, 2 / 3))
      await player.start()
      runTo(12)
      expect(output.played.filter((each) => each.time < each.at)).toEqual([])
      expect(player.punctuality().late).toBe(0)
      expect(player.punctuality().smallestMarginMs).toBeGreaterThan(50)
    }
  })

  it('goes round the form without a gap, a double or a missing event', async () => {
    player.setTimeline(timelineAt(120, 2, 2 / 3))
    player.set({ countInBars: 0 })
    await player.start()
    runTo(10)
    const times = rounded(output.guitar().map((each) => each.time - player.startedAt)).filter((time) => time < 9)
    const expected = Array.from({ length: 18 }, (_, beat) => [beat * 0.5, (beat + 2 / 3) * 0.5]).flat()
    expect(times).toEqual(rounded(expected))
    expect(player.position()?.round).toBe(2)
  })

  it('loops over some bars only', async () => {
    player.setTimeline(timelineAt(120, 4))
    player.set({ countInBars: 0, loop: [1, 2] })
    await player.start()
    const bars: number[] = []
    for (let bar = 0; bar < 5; bar++) {
      runTo(player.startedAt + bar * 2 + 0.5)
      bars.push(player.position()?.bar ?? -1)
    }
    expect(bars).toEqual([1, 2, 1, 2, 1])
  })

  it('plays two stretches of bars by turns, until another loop is set', async () => {
    player.setTimeline(timelineAt(120, 6))
    player.set({ countInBars: 0, loop: [1, 2], turns: [4, 5] })
    await player.start()
    const barsFrom = (first: number) =>
      [0, 1, 2, 3, 4].map((bar) => {
        runTo(player.startedAt + (first + bar) * 2 + 0.5)
        return player.position()?.bar
      })
    expect(barsFrom(0)).toEqual([1, 2, 4, 5, 1])
    player.set({ loop: [0, 1] })
    expect(barsFrom(5)).toEqual([0, 1, 0, 1, 0].slice(0, 5))
  })

  it('stops by itself after the bars that were asked for', async () => {
    let ended = 0
    player.setTimeline(timelineAt(120, 2))
    await player.start({ bars: 3, onEnd: () => ended++ })
    runTo(player.startedAt + 5.9)
    expect(player.playing).toBe(true)
    runTo(player.startedAt + 6.2)
    expect([player.playing, ended]).toEqual([false, 1])
    expect(Math.max(...output.guitar().map((each) => each.time))).toBeLessThan(player.startedAt + 6)
  })

  it('keeps muted parts silent and clicks on the chosen beats', async () => {
    player.setTimeline(timelineAt(120))
    player.set({ countInBars: 0, clickOn: [1, 3] })
    player.mute('drums', true)
    await player.start()
    runTo(3.9)
    expect(output.played.some((each) => each.event.part === 'drums')).toBe(false)
    expect(rounded(output.clicks.map((click) => click.time - player.startedAt))).toEqual([0.5, 1.5, 2.5, 3.5])
  })

  it('plays every part as loud as it is heard from a seat', async () => {
    player.setTimeline(timelineAt(120))
    player.set({ countInBars: 0, heardFrom: { seat: 'far', gainsDb: { drums: -20 } } })
    await player.start()
    runTo(2)
    const loudest = (part: string) =>
      Math.max(...output.played.filter((each) => each.event.part === part).map((each) => each.event.velocity))
    const written = (part: string) =>
      Math.max(
        ...timelineAt(120)
          .events.filter((each) => each.part === part)
          .map((each) => each.velocity),
      )
    expect(loudest('drums')).toBeCloseTo(written('drums') / 10)
    expect(loudest('guitar')).toBe(written('guitar'))
  })

  it('counts aloud where the pattern is counted, and only when asked to', async () => {
    player.set({ countAloud: true, countInBars: 0 })
    player.setTimeline(timelineAt(120, 1, 2 / 3))
    await player.start({ bars: 1 })
    runTo(3)
    expect(output.counted.map((each) => each.depth)).toEqual([0, 2, 1, 2, 1, 2, 1, 2])
    expect(rounded(output.counted.map((each) => each.time - player.startedAt)).slice(0, 3)).toEqual([0, 0.333333, 0.5])
    player.set({ countAloud: false })
    await player.start({ bars: 1 })
    runTo(6)
    expect(output.counted).toHaveLength(8)
  })

  it('sounds nothing but a click on every beat while somebody taps a rhythm in', async () => {
    player.set({ clickOn: [1], countAloud: true, countInBars: 0 })
    player.setTimeline(timelineAt(120, 1))
    await player.start({ bars: 2, clickOnly: 'every beat' })
    runTo(6)
    expect([output.played.length, output.counted.length, output.clicks.length]).toEqual([0, 0, 8])
  })

  it('clicks as it is set with the band silent: off-beats as the feel leans, and whole bars without', async () => {
    player.set({ clickOn: [0], clickOffBeats: true, clickRests: [1, 1], countInBars: 0 })
    player.setTimeline(timelineAt(120, 4, 0.6))
    await player.start({ bars: 4, clickOnly: 'as set' })
    runTo(9)
    expect(output.played).toHaveLength(0)
    expect(output.clicks.map((click) => Math.round(100 * (click.time - player.startedAt)) / 100)).toEqual([
      0, 0.3, 0.8, 1.3, 1.8, 4, 4.3, 4.8, 5.3, 5.8,
    ])
  })

  it('falls silent on stop and hands nothing more over', async () => {
    player.setTimeline(timelineAt(120))
    await player.start()
    runTo(3)
    player.stop()
    const handed = output.played.length
    runTo(6)
    expect([output.silences, output.played.length, player.position()]).toEqual([1, handed, null])
  })
})

describe('a change while it plays', () => {
  it.each([
    ['a faster tempo', timelineAt(180, 2, 0.5, 1)],
    ['a tempo whose beats are no round figure', timelineAt(149, 2, 0.5, 1)],
    ['a slower tempo', timelineAt(72, 2, 0.5, 1)],
    ['another swing', timelineAt(120, 2, 2 / 3, 1)],
    ['a longer form', timelineAt(120, 6, 0.5, 1)],
  ])('takes effect within a bar, at a beat, without a gap or a double: %s', async (_, next) => {
    player.setTimeline(timelineAt(120))
    player.set({ countInBars: 0, clickOn: [0, 1, 2, 3] })
    await player.start()
    runTo(2.6)
    player.setTimeline(next)
    const changedAt = output.clock
    runTo(8)
    const guitar = output.guitar()
    const first = guitar.findIndex((each) => each.event.pitch === 61)
    const takeover = guitar[first]?.time ?? Infinity
    expect(takeover - changedAt).toBeLessThan(2)
    const inBeats = (takeover - player.startedAt) / 0.5
    expect(inBeats).toBeCloseTo(Math.round(inBeats), 4)
    // On either side of it the strokes lie as their own timeline has them, and none of the old ones comes later.
    expect(guitar.slice(first).every((each) => each.event.pitch === 61)).toBe(true)
    const beats = guitar.filter((each) => each.event.kind === 'ring').map((each) => each.time)
    const gaps = beats.slice(1).map((time, index) => time - (beats[index] ?? 0))
    const before = beats.filter((time) => time <= takeover + 1e-9).length - 1
    gaps.forEach((gap, index) => expect(gap).toBeCloseTo(index < before ? 0.5 : 60 / next.tempo, 5))
    expect(output.clicks).toHaveLength(beats.length)
    output.clicks.forEach((click, index) => expect(click.time).toBeCloseTo(beats[index] ?? 0, 4))
  })

  it('keeps its place in the form', async () => {
    player.setTimeline(timelineAt(120, 4))
    player.set({ countInBars: 0 })
    await player.start()
    runTo(player.startedAt + 4.7)
    expect(player.position()?.bar).toBe(2)
    player.setTimeline(timelineAt(240, 4))
    runTo(player.startedAt + 5.3)
    expect(player.position()?.bar).toBe(2)
    expect(player.elapsedBars()).toBeGreaterThan(2.5)
  })
})

/** The same orders every time, one for each seed. */
function orderOf(seed: number): () => number {
  let state = seed
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 2 ** 32
  }
}

describe('any order of loops, jumps, tempos and feels', () => {
  it.each(Array.from({ length: 120 }, (_, seed) => seed))(
    'leaves nothing out, sounds nothing twice and nothing late: order %i',
    async (seed) => {
      const random = orderOf(seed)
      const pick = (count: number) => Math.floor(random() * count)
      const another = () => timelineAt([72, 120, 149, 200][pick(4)] ?? 120, [2, 5, 8][pick(3)], [0.5, 0.6, 2 / 3][pick(3)], pick(9))
      const loop = (): [number, number] => [pick(8), pick(8)].sort((a, b) => a - b) as [number, number]
      const steps = [
        () => player.setTimeline(another()),
        () => player.set({ loop: loop() }),
        () => player.set({ loop: null }),
        () => player.mute('bass', random() < 0.5),
      ]
      player.set({ countInBars: pick(2), loop: random() < 0.5 ? loop() : null })
      player.setTimeline(another())
      await player.start({ fromBar: pick(8) })
      for (let change = 0; change < 12; change++) {
        runTo(output.clock + 0.05 + 2.5 * random() ** 2)
        steps[pick(steps.length)]?.()
      }
      runTo(output.clock + 3)
      expect(output.played.filter((each) => each.time < each.at)).toEqual([])
      // Every beat of each of these timelines has a drum, a ring and a chuck: so must every beat that went by.
      const of = (kind: string) => output.played.filter((each) => each.event.kind === kind)
      const [rings, chucks, drums] = [of('ring'), of('chuck'), of('drum')]
      expect(
        Math.max(...[rings, chucks, drums].map((each) => each.length)) - Math.min(...[rings, chucks, drums].map((each) => each.length)),
      ).toBeLessThanOrEqual(1)
      rings.forEach((ring, beat) => {
        const [chuck, next] = [chucks[beat], rings[beat + 1]]
        expect(drums[beat]?.time ?? ring.time).toBeCloseTo(ring.time, 4)
        if (chuck === undefined || next === undefined) return
        const share = (chuck.time - ring.time) / (next.time - ring.time)
        expect([0.5, 0.6, 2 / 3].some((p) => Math.abs(p - share) < 1e-3)).toBe(true)
        expect([72, 120, 149, 200].some((bpm) => Math.abs(60 / bpm - (next.time - ring.time)) < 1e-4)).toBe(true)
      })
    },
  )

  it('finishes the bar that sounds when a loop is set behind it, then jumps', async () => {
    player.setTimeline(timelineAt(120, 8))
    player.set({ countInBars: 0 })
    await player.start()
    runTo(player.startedAt + 11.1)
    player.set({ loop: [1, 2] })
    runTo(player.startedAt + 11.8)
    expect(player.position()?.bar).toBe(5)
    runTo(player.startedAt + 12.2)
    expect(player.position()?.bar).toBe(1)
  })
})

describe('the place', () => {
  it('counts down the count-in and then bars and beats', async () => {
    player.setTimeline(timelineAt(60))
    await player.start()
    const seen: (string | undefined)[] = []
    for (const second of [0.5, 1.5, 3.5, 4.5, 5.5, 8.5]) {
      runTo(second)
      const at = player.position()
      seen.push(at?.countIn !== null ? `in ${at?.countIn}` : `${at.bar + 1}.${at.beat + 1}`)
    }
    expect(seen).toEqual(['in 4', 'in 3', 'in 1', '1.1', '1.2', '2.1'])
  })

  it('tells listeners of every change of state', async () => {
    const states: string[] = []
    const leave = player.subscribe(() => states.push(player.snapshot().status))
    player.setTimeline(timelineAt(120))
    await player.start()
    runTo(3)
    player.stop()
    leave()
    player.mute('bass', true)
    expect(states).toEqual(['counting', 'playing', 'stopped'])
  })

  it('does not start without bars', async () => {
    player.setTimeline(timelineAt(120, 0))
    await player.start()
    expect(player.playing).toBe(false)
  })
})
