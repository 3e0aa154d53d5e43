/** Strokes as they are heard while somebody still plays; the judgement comes from the core, of the whole take. */
export type LiveStroke = { t: number }

/** The sound is looked at in frames of so many seconds. */
const FRAME_S = 0.005
/** A stroke is louder, in the energy of its highs, by this factor than all of the frames before it, the last few left out. */
const RISE = 2.4
const BEFORE = 14
const LEFT_OUT = 2
/** Softer than this share of the loudest lately is no stroke; that fades by half in so many seconds. */
const FAINT = 0.012
const FADES_S = 4
/** A sweep of the pick is one stroke. */
const APART_S = 0.08
/** What a room and its amplifier hiss at. */
const SILENCE = 1e-7

/** A sketch of what the microphone hears, at once and in the browser: where strokes begin, and no more. */
export class LiveEar {
  private readonly strokes: LiveStroke[] = []
  private readonly before: number[] = []
  private readonly frame: number
  private readonly fades: number
  private energy = 0
  private counted = 0
  private last = 0
  private loudest = 0

  constructor(
    rate: number,
    private readonly onHeard: (strokes: LiveStroke[]) => void,
  ) {
    this.frame = Math.round(FRAME_S * rate)
    this.fades = 0.5 ** (FRAME_S / FADES_S)
  }

  /** @param since the audio second of the first sample */
  add(samples: Float32Array, since: number, rate: number): void {
    const known = this.strokes.length
    samples.forEach((sample, index) => {
      // The step from sample to sample holds the highs, which a new stroke has and what rings on has lost.
      const step = sample - this.last
      this.last = sample
      this.energy += step * step
      if (++this.counted === this.frame) this.close(since + (index + 1 - this.frame) / rate)
    })
    if (this.strokes.length > known) this.onHeard([...this.strokes])
  }

  private close(t: number): void {
    const energy = this.energy / this.frame
    this.energy = 0
    this.counted = 0
    this.loudest = Math.max(energy, this.loudest * this.fades)
    const usual = Math.max(SILENCE, ...this.before.slice(0, -LEFT_OUT))
    const apart = t - (this.strokes.at(-1)?.t ?? -Infinity)
    if (energy > RISE * usual && energy > FAINT * this.loudest && apart > APART_S) this.strokes.push({ t })
    this.before.push(energy)
    if (this.before.length > BEFORE) this.before.shift()
  }
}
