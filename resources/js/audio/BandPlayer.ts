import type { TimedEvent, Timeline } from '../api/types'
import { barAt, barEnd, barsUntil, firstAtOrAfter, nextBeat, placeAt, secondsOf } from './bars'

/** What the player needs of the machine it plays on. Times are seconds of the audio clock. */
export type Output = {
  now(): number
  /** Lets the machine sound; says whether it does. */
  resume(): Promise<boolean>
  play(event: TimedEvent, time: number): void
  click(high: boolean, time: number): void
  /** a syllable: 0 the bar's one, 1 a beat, 2 its division, 3 finer */
  count(depth: 0 | 1 | 2 | 3, time: number): void
  /** Lets what sounds die away; nothing scheduled later is heard. */
  silence(): void
}

export type PartName = TimedEvent['part']

export type PlayerState = {
  status: 'stopped' | 'counting' | 'playing'
  muted: Record<PartName, boolean>
  /** a seat, and the dB by which each part is louder there than in the mix; null: the mix as it is */
  heardFrom: { seat: string; gainsDb: Partial<Record<PartName, number>> } | null
  /** beats of the bar that click, from 0 */
  clickOn: number[]
  /** the middle of every beat clicks, as the feel leans */
  clickOffBeats: boolean
  /** so many bars with the click, then so many without, and round again; null: it never rests */
  clickRests: [number, number] | null
  countAloud: boolean
  countInBars: number
  /** bars of the form that go round, both included; null for the whole form */
  loop: [number, number] | null
  /** bars that are heard by turns with the loop; null: the loop goes round alone */
  turns: [number, number] | null
}

export type Position = { t: number; beat: number; bar: number; round: number; countIn: number | null }

/** How the clock was met: events that came too late, and the least time any event had to spare. */
export type Punctuality = { scheduled: number; late: number; smallestMarginMs: number | null }

/** From `audio` on, timeline second `t` sounds at audio second `audio`. */
type Stretch = { audio: number; t: number; timeline: Timeline; elapsedBars: number; round: number }

const LOOK_AHEAD = 0.3
const START_DELAY = 0.12
/** The core's times are rounded to microseconds: an event may lie this much before its beat. */
const ROUNDING = 1e-5
/** A stretch ends on a beat, whose share of its bar no float holds to the last digit. */
const MILLIONTHS = 1e6

/**
 * Plays a timeline against the audio clock, always a little ahead of it. A new timeline (another tempo, feel or pattern)
 * takes over at the first beat that is not scheduled yet; loops and takeovers are stretches laid end to end, so nothing
 * is played twice and nothing is left out.
 */
export class BandPlayer {
  private state: PlayerState = {
    status: 'stopped',
    muted: { drums: false, bass: false, guitar: false, 'second-guitar': false, keys: false, horns: false, lead: false },
    heardFrom: null,
    clickOn: [],
    clickOffBeats: false,
    clickRests: null,
    countAloud: false,
    countInBars: 1,
    loop: null,
    turns: null,
  }
  private timeline: Timeline | null = null
  private stretches: Stretch[] = []
  private startAudio = 0
  /** audio seconds of the clicks that count in */
  private countIn: number[] = []
  /** timeline seconds up to which the last stretch has been handed to the output */
  private cursor = 0
  private listeners = new Set<() => void>()
  private figures: Punctuality = { scheduled: 0, late: 0, smallestMarginMs: null }
  private endAfterBars: number | null = null
  private clickOnly: 'every beat' | 'as set' | null = null
  private onEnd: (() => void) | null = null

  constructor(private readonly output: Output) {}

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  snapshot = (): PlayerState => this.state

  punctuality = (): Punctuality => this.figures

  get playing(): boolean {
    return this.state.status !== 'stopped'
  }

  /** The audio second at which bar 1 beat 1 of this run sounds. */
  get startedAt(): number {
    return this.startAudio
  }

  set(change: Partial<Omit<PlayerState, 'status'>>): void {
    this.update({ ...this.state, ...('loop' in change ? { turns: null } : {}), ...change })
  }

  mute(part: PartName, muted: boolean): void {
    this.set({ muted: { ...this.state.muted, [part]: muted } })
  }

  setTimeline(timeline: Timeline): void {
    this.timeline = timeline
    const current = this.stretches.at(-1)
    if (!this.playing || current === undefined || timeline.bars.length === 0) return
    if (current.timeline === timeline) return
    const next = nextBeat(current.timeline, this.cursor)
    const [first, last] = this.span(timeline)
    const total = last + 1 - first
    const bar = timeline.bars[first + ((((next.bar - first) % total) + total) % total)]
    const t = bar?.beats[Math.min(next.beat, bar.beats.length - 1)] ?? 0
    this.pushUntil(next.t)
    this.stretches.push({
      audio: current.audio + next.t - current.t,
      t,
      timeline,
      elapsedBars: elapsedAt(current, next.t),
      round: current.round,
    })
    this.cursor = t
  }

  /**
   * @param bars stop by itself after so many bars, counted through repeats; endless otherwise
   * @param clickOnly nothing sounds but a click: on every beat, or as it is set
   */
  async start(options: { fromBar?: number; bars?: number; clickOnly?: 'every beat' | 'as set'; onEnd?: () => void } = {}): Promise<void> {
    const timeline = this.timeline
    if (timeline === null || timeline.bars.length === 0) return
    if (!(await this.output.resume())) return
    const [first, last] = this.span(timeline)
    const bar = Math.min(Math.max(options.fromBar ?? first, first), last)
    const t = timeline.bars[bar]?.t ?? 0
    const zero = this.output.now() + START_DELAY
    this.countIn = []
    for (let counted = 0; counted < this.state.countInBars; counted++) {
      const from = zero + counted * (barEnd(timeline, bar) - t) - t
      timeline.bars[bar]?.beats.forEach((beat, number) => {
        this.countIn.push(from + beat)
        this.output.click(number === 0, from + beat)
      })
    }
    this.startAudio = zero + this.state.countInBars * (barEnd(timeline, bar) - t)
    this.stretches = [{ audio: this.startAudio, t, timeline, elapsedBars: 0, round: 0 }]
    this.cursor = t
    this.figures = { scheduled: 0, late: 0, smallestMarginMs: null }
    this.endAfterBars = options.bars ?? null
    this.clickOnly = options.clickOnly ?? null
    this.onEnd = options.onEnd ?? null
    this.update({ ...this.state, status: this.countIn.length > 0 ? 'counting' : 'playing' })
    this.tick()
  }

  stop(): void {
    if (!this.playing) return
    this.output.silence()
    this.stretches = []
    this.update({ ...this.state, status: 'stopped' })
  }

  /** Call often (every 50 ms or so): hands over everything that is due within the look-ahead. */
  tick(): void {
    if (!this.playing) return
    const now = this.output.now()
    if (this.state.status === 'counting' && now >= this.startAudio) this.update({ ...this.state, status: 'playing' })
    for (let guard = 0; guard < 64; guard++) {
      const stretch = this.stretches.at(-1)
      if (stretch === undefined) return
      const horizon = stretch.t + (now + LOOK_AHEAD - stretch.audio)
      const end = this.endOf(stretch)
      this.pushUntil(Math.min(horizon, end))
      if (horizon < end) break
      if (this.isLastStretch(stretch, end)) {
        if (now >= stretch.audio + end - stretch.t) this.finish()
        break
      }
      this.wrap(stretch, end)
    }
    while (this.stretches.length > 1 && (this.stretches[1]?.audio ?? Infinity) <= now) this.stretches.shift()
  }

  /** Where the music is at an audio second (now, if not given). */
  position(at: number = this.output.now()): Position | null {
    if (!this.playing) return null
    const stretch = this.stretches.findLast((each) => each.audio <= at) ?? this.stretches[0]
    if (stretch === undefined) return null
    const { timeline } = stretch
    const t = stretch.t + at - stretch.audio
    if (at < this.startAudio) {
      const counted = Math.max(
        0,
        this.countIn.findLastIndex((each) => each <= at + 1e-9),
      )
      return { t: stretch.t, beat: 0, bar: barAt(timeline, stretch.t), round: 0, countIn: this.countIn.length - counted }
    }
    const { bar, beat } = placeAt(timeline, t)
    return { t, beat, bar, round: stretch.round, countIn: null }
  }

  /** Beats since the bar line, with their fraction; 0 while stopped or counting in. */
  beatsIntoBar(at: number = this.output.now()): number {
    const stretch = this.stretches.findLast((each) => each.audio <= at)
    if (stretch === undefined || at < this.startAudio) return 0
    const { beat, into } = placeAt(stretch.timeline, stretch.t + at - stretch.audio)
    return beat + into
  }

  /** Bars played since the start of this run, counted on through repeats. */
  elapsedBars(at: number = this.output.now()): number {
    const stretch = this.stretches.findLast((each) => each.audio <= at)
    return stretch === undefined ? 0 : elapsedAt(stretch, stretch.t + at - stretch.audio)
  }

  private span(timeline: Timeline): [number, number] {
    const loop = this.state.loop
    if (loop === null || loop[0] >= timeline.bars.length) return [0, timeline.bars.length - 1]
    return [loop[0], Math.min(loop[1], timeline.bars.length - 1)]
  }

  private endOf(stretch: Stretch): number {
    const { timeline } = stretch
    const loopEnd = barEnd(timeline, this.span(timeline)[1])
    // A loop set behind the place that plays: what is scheduled already sounds, the bar is finished, then it jumps.
    const end = loopEnd > this.cursor - 1e-6 && loopEnd > stretch.t + 1e-6 ? loopEnd : this.barLineAfterCursor(timeline)
    if (this.endAfterBars === null) return end
    return Math.min(end, secondsOf(timeline, barsUntil(timeline, stretch.t) + this.endAfterBars - stretch.elapsedBars))
  }

  /** The bar line that comes next, or the one the cursor stands on; never the first. */
  private barLineAfterCursor(timeline: Timeline): number {
    const bar = barAt(timeline, this.cursor)
    const line = timeline.bars[bar]?.t ?? 0
    return bar > 0 && this.cursor - line < ROUNDING ? line : barEnd(timeline, bar)
  }

  private isLastStretch(stretch: Stretch, end: number): boolean {
    return this.endAfterBars !== null && elapsedAt(stretch, end) >= this.endAfterBars - 1e-6
  }

  private wrap(stretch: Stretch, end: number): void {
    const timeline = this.timeline ?? stretch.timeline
    if (this.state.turns !== null) this.set({ loop: this.state.turns, turns: this.state.loop })
    const t = timeline.bars[this.span(timeline)[0]]?.t ?? 0
    this.stretches.push({
      audio: stretch.audio + end - stretch.t,
      t,
      timeline,
      elapsedBars: elapsedAt(stretch, end),
      round: stretch.round + 1,
    })
    this.cursor = t
  }

  private pushUntil(until: number): void {
    const stretch = this.stretches.at(-1)
    if (stretch === undefined || until <= this.cursor) return
    const { timeline } = stretch
    const from = firstAtOrAfter(timeline.events, this.cursor - ROUNDING)
    for (let index = from; index < timeline.events.length; index++) {
      const event = timeline.events[index]
      if (event === undefined || event.t >= until - ROUNDING) break
      if (this.clickOnly === null && !this.state.muted[event.part])
        this.hand(stretch.audio + event.t - stretch.t, (time) => this.output.play(this.fromHere(event), time))
    }
    this.pushClicks(stretch, until)
    if (this.state.countAloud && this.clickOnly === null) {
      for (let index = firstAtOrAfter(timeline.counts, this.cursor - ROUNDING); index < timeline.counts.length; index++) {
        const said = timeline.counts[index]
        if (said === undefined || said.t >= until - ROUNDING) break
        this.hand(stretch.audio + said.t - stretch.t, (time) => this.output.count(said.depth, time))
      }
    }
    this.cursor = until
  }

  private fromHere(event: TimedEvent): TimedEvent {
    const gain = this.state.heardFrom?.gainsDb[event.part] ?? 0
    return gain === 0 ? event : { ...event, velocity: event.velocity * 10 ** (gain / 20) }
  }

  private pushClicks(stretch: Stretch, until: number): void {
    const { timeline } = stretch
    const everyBeat = this.clickOnly === 'every beat'
    const click = (t: number, high: boolean) => {
      if (t < this.cursor - ROUNDING || t >= until - ROUNDING || (!everyBeat && this.clickRestsAt(stretch, t))) return
      this.hand(stretch.audio + t - stretch.t, (time) => this.output.click(high, time))
    }
    for (let index = barAt(timeline, this.cursor); index < timeline.bars.length; index++) {
      const bar = timeline.bars[index]
      if (bar === undefined || bar.t >= until - ROUNDING) break
      bar.beats.forEach((t, beat) => {
        if (everyBeat || this.state.clickOn.includes(beat)) click(t, beat === 0)
        if (!everyBeat && this.state.clickOffBeats) click(bar.off_beats[beat] ?? Infinity, false)
      })
    }
  }

  private clickRestsAt(stretch: Stretch, t: number): boolean {
    if (this.state.clickRests === null) return false
    const [sounds, rests] = this.state.clickRests
    return Math.floor(elapsedAt(stretch, t) + 1e-6) % (sounds + rests) >= sounds
  }

  private hand(time: number, play: (time: number) => void): void {
    const margin = 1000 * (time - this.output.now())
    this.figures = {
      scheduled: this.figures.scheduled + 1,
      late: this.figures.late + (margin < 0 ? 1 : 0),
      smallestMarginMs: Math.min(this.figures.smallestMarginMs ?? Infinity, margin),
    }
    play(time)
  }

  private finish(): void {
    const ended = this.onEnd
    this.stretches = []
    this.update({ ...this.state, status: 'stopped' })
    ended?.()
  }

  private update(state: PlayerState): void {
    this.state = state
    for (const listener of this.listeners) listener()
  }
}

/** Bars played from the start of the run to a second of a stretch. */
function elapsedAt(stretch: Stretch, t: number): number {
  const bars = stretch.elapsedBars + barsUntil(stretch.timeline, t) - barsUntil(stretch.timeline, stretch.t)
  return Math.round(MILLIONTHS * bars) / MILLIONTHS
}
