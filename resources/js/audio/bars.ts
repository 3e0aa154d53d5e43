import type { Timeline } from '../api/types'

/** The core's times are rounded to microseconds: a moment may lie this much before the bar line it stands on. */
const ROUNDING = 1e-5

/** Seconds at which a bar ends. */
export const barEnd = (timeline: Timeline, bar: number): number => timeline.bars[bar + 1]?.t ?? timeline.seconds

/** The bar that a second lies in. */
export function barAt({ bars }: Timeline, t: number): number {
  let low = 0
  let high = bars.length - 1
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if ((bars[middle]?.t ?? Infinity) <= t + ROUNDING) low = middle
    else high = middle - 1
  }
  return low
}

/** Where a second lies: its bar, the beat in it, and how far into that beat, 0 to 1. */
export function placeAt(timeline: Timeline, t: number): { bar: number; beat: number; into: number } {
  const bar = barAt(timeline, t)
  const beats = timeline.bars[bar]?.beats ?? []
  const beat = Math.max(
    0,
    beats.findLastIndex((each) => each <= t + ROUNDING),
  )
  const from = beats[beat] ?? 0
  const to = beats[beat + 1] ?? barEnd(timeline, bar)
  return { bar, beat, into: to > from ? (t - from) / (to - from) : 0 }
}

/** Beats from a bar line to a second; before the bar line they are negative. */
export function beatsSince(timeline: Timeline, bar: number, t: number): number {
  const at = placeAt(timeline, t)
  const whole = (from: number, to: number) => timeline.bars.slice(from, to).reduce((sum, each) => sum + each.beats.length, 0)
  return (at.bar >= bar ? whole(bar, at.bar) : -whole(at.bar, bar)) + at.beat + at.into
}

/** Bars from the start to a second, with their fraction. */
export function barsUntil(timeline: Timeline, t: number): number {
  const bar = barAt(timeline, t)
  const from = timeline.bars[bar]?.t ?? 0
  const to = barEnd(timeline, bar)
  return to > from ? bar + (t - from) / (to - from) : bar
}

/** The second at which so many bars, with their fraction, are over. */
export function secondsOf(timeline: Timeline, bars: number): number {
  const bar = Math.min(timeline.bars.length - 1, Math.floor(bars + 1e-9))
  const from = timeline.bars[bar]?.t ?? 0
  return from + (bars - bar) * (barEnd(timeline, bar) - from)
}

/** Beats in the bar that the song begins with. */
export const firstBeats = (timeline: Timeline | undefined): number => timeline?.bars[0]?.beats.length ?? 4

/** The first beat at or after a second; the end of the song where none comes any more. */
export function nextBeat(timeline: Timeline, t: number): { bar: number; beat: number; t: number } {
  for (let bar = barAt(timeline, t); bar < timeline.bars.length; bar++) {
    const beats = timeline.bars[bar]?.beats ?? []
    const beat = beats.findIndex((each) => each >= t - ROUNDING)
    if (beat >= 0) return { bar, beat, t: beats[beat] ?? t }
  }
  return { bar: timeline.bars.length, beat: 0, t: timeline.seconds }
}

/** Index of the first of these that begins at or after a second. */
export function firstAtOrAfter(events: { t: number }[], t: number): number {
  let low = 0
  let high = events.length
  while (low < high) {
    const middle = (low + high) >> 1
    if ((events[middle]?.t ?? Infinity) < t) low = middle + 1
    else high = middle
  }
  return low
}
