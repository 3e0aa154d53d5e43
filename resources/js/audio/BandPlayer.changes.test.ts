import { beforeEach, describe, expect, it } from 'vitest'
import { playerByHand, timelineAt } from '../testing/playerByHand'

let { output, player, runTo } = playerByHand()

beforeEach(() => {
  ;({ output, player, runTo } = playerByHand())
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
