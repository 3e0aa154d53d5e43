import { expect, it } from 'vitest'
import { TapClock } from './tapClock'

it('turns the time of an event into audio time, though readings of the clocks come late', () => {
  let page = 1000
  let jitter = 0
  // The audio clock is 0.4 s ahead of the page's; it moves in blocks, so a reading may lag by a few ms.
  const clock = new TapClock(
    () => page / 1000 + 0.4 - jitter,
    () => page,
  )
  for (const lag of [0.004, 0.0, 0.003, 0.009]) {
    page += 40
    jitter = lag
    clock.compare()
  }
  expect(clock.audioTimeOf(900)).toBeCloseTo(1.3, 6)
})

it('reads the clocks when nobody has compared them yet', () => {
  expect(
    new TapClock(
      () => 2,
      () => 1500,
    ).audioTimeOf(1700),
  ).toBeCloseTo(2.2, 6)
})

it('forgets old readings, so that a clock that drifts is followed', () => {
  let offset = 0.5
  const clock = new TapClock(
    () => offset,
    () => 0,
  )
  clock.compare()
  offset = 0.49
  for (let i = 0; i < 130; i++) clock.compare()
  expect(clock.audioTimeOf(0)).toBeCloseTo(0.49, 9)
})
