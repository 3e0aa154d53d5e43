import * as Tone from 'tone'
import type { TimedEvent } from '../api/types'
import type { Output } from './BandPlayer'
import { DRUM_OF_KEY, drum, pluck, type DrumName, type Pluck } from './synth'

/** A string that is let go dies away in this time; one that is choked, faster. */
const LET_GO = 0.06
const CHOKE = 0.012

/** A voice for each depth of the count, the beat's highest. */
const COUNTS = ['count-bar', 'count-beat', 'count-division', 'count-finer'] as const

/** The room left above the loudest moment, and the ceiling nothing passes. */
const CEILING_DB = -3
const LOUDEST = 0.7

/** Sounds the band through Web Audio. Buffers are made once a sound and kept. */
export class ToneOutput implements Output {
  private buffers = new Map<string, Tone.ToneAudioBuffer>()
  private sounding = new Map<string, Tone.ToneBufferSource>()
  private master: Tone.Gain | null = null
  private room: Tone.Gain | null = null
  private level = 1

  now(): number {
    return Tone.getContext().currentTime
  }

  async resume(): Promise<void> {
    await Tone.start()
    this.bus()
  }

  /** Makes the sounds a piece needs ahead of time, a few at a time so that the page stays awake. */
  async prepare(events: TimedEvent[]): Promise<void> {
    const wanted = new Map(events.map((event) => [this.nameOf(event), event]))
    let made = 0
    for (const [name, event] of wanted) {
      if (this.buffers.has(name)) continue
      this.bufferOf(event)
      if (++made % 4 === 0) await new Promise((resolve) => setTimeout(resolve, 0))
    }
  }

  play(event: TimedEvent, time: number): void {
    const voice = event.part === 'drums' ? null : `${event.part}:${event.string ?? 0}`
    const source = this.source(this.bufferOf(event), event.kind === 'ring' ? LET_GO : CHOKE)
    if (voice !== null) {
      this.sounding.get(voice)?.stop(time)
      this.sounding.set(voice, source)
    }
    event.glide?.forEach(([after = 0, semitones = 0], index) => {
      const rate = 2 ** (semitones / 12)
      if (index === 0) source.playbackRate.setValueAtTime(rate, time + after)
      else source.playbackRate.linearRampToValueAtTime(rate, time + after)
    })
    source.start(time, 0, undefined, event.velocity)
    if (event.part !== 'drums') source.stop(time + event.dur)
  }

  click(high: boolean, time: number): void {
    this.source(this.drumBuffer(high ? 'click-high' : 'click'), CHOKE).start(time, 0, undefined, high ? 0.9 : 0.7)
  }

  count(depth: 0 | 1 | 2 | 3, time: number): void {
    this.source(this.drumBuffer(COUNTS[depth]), CHOKE).start(time, 0, undefined, 0.8)
  }

  silence(): void {
    const room = this.room
    this.room = null
    this.sounding.clear()
    if (room === null) return
    room.gain.rampTo(0, 0.04)
    setTimeout(() => room.dispose(), 200)
  }

  /** A recording beside the band: from one of its seconds on, at a moment. */
  async playSound(wav: Blob, from: number, time: number): Promise<void> {
    const buffer = new Tone.ToneAudioBuffer(await Tone.getContext().decodeAudioData(await wav.arrayBuffer()))
    const source = this.source(buffer, CHOKE)
    const late = Math.max(0, this.now() - time)
    source.start(Math.max(time, this.now()), Math.max(0, from) + late)
  }

  /** How loud all of it is, 0 to 1; what is set holds for the whole page. */
  setLevel(level: number): void {
    this.level = Math.max(0, Math.min(1, level))
    this.master?.gain.rampTo(LOUDEST * this.level, 0.02)
  }

  private source(buffer: Tone.ToneAudioBuffer, fadeOut: number): Tone.ToneBufferSource {
    return new Tone.ToneBufferSource({ url: buffer, fadeOut, curve: 'exponential' }).connect(this.bus())
  }

  /** Everything passes one gain that a stop can fade, then a limiter: playback has a ceiling. */
  private bus(): Tone.Gain {
    this.master ??= new Tone.Gain(LOUDEST * this.level).connect(new Tone.Limiter(CEILING_DB).toDestination())
    this.room ??= new Tone.Gain(1).connect(this.master)
    return this.room
  }

  private nameOf(event: TimedEvent): string {
    return event.part === 'drums' ? `drum:${event.pitch}` : JSON.stringify(this.pluckOf(event))
  }

  private pluckOf(event: TimedEvent): Pluck {
    const kind = event.part === 'bass' ? 'bass' : event.kind === 'chuck' || event.kind === 'palm-mute' ? event.kind : 'ring'
    return { pitch: event.pitch ?? 40 + 5 * (6 - (event.string ?? 6)), kind, direction: event.direction ?? 'down' }
  }

  private bufferOf(event: TimedEvent): Tone.ToneAudioBuffer {
    if (event.part === 'drums') return this.drumBuffer(DRUM_OF_KEY[event.pitch ?? 0] ?? 'hat')
    const name = this.nameOf(event)
    return this.kept(name, (rate) => pluck(this.pluckOf(event), rate))
  }

  private drumBuffer(name: DrumName): Tone.ToneAudioBuffer {
    return this.kept(`drum-sound:${name}`, (rate) => drum(name, rate))
  }

  private kept(name: string, make: (rate: number) => Float32Array<ArrayBuffer>): Tone.ToneAudioBuffer {
    const known = this.buffers.get(name)
    if (known !== undefined) return known
    const made = Tone.ToneAudioBuffer.fromArray(make(Tone.getContext().sampleRate))
    this.buffers.set(name, made)
    return made
  }
}
