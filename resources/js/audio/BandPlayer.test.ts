import { beforeEach, describe, expect, it } from 'vitest'
import { playerByHand, timelineAt } from '../testing/playerByHand'

let { output, player, runTo } = playerByHand()

beforeEach(() => {
  ;({ output, player, runTo } = playerByHand())
})

const rounded = (times: number[]): number[] => times.map((time) => Math.round(time * 1e6) / 1e6)

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
      ;({ output, player, runTo } = playerByHand())
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
