/**
 * Turns the browser's event times into audio-clock seconds. The two clocks are compared again and again; the largest
 * difference seen lately is the truest, because a reading can only come late.
 */
export class TapClock {
  private readings: number[] = []

  constructor(
    private readonly audioNow: () => number,
    private readonly pageNow: () => number = () => performance.now(),
  ) {}

  /** Call often while taps are taken. */
  compare(): void {
    this.readings.push(this.audioNow() - this.pageNow() / 1000)
    if (this.readings.length > 120) this.readings.shift()
  }

  /** @param timeStamp of an input event, in ms of the page's clock */
  audioTimeOf(timeStamp: number): number {
    if (this.readings.length === 0) this.compare()
    return timeStamp / 1000 + Math.max(...this.readings)
  }
}
