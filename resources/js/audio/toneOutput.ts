import * as Tone from 'tone'
import type { TimedEvent } from '../api/types'
import type { Output } from './BandPlayer'
import { DRUM_OF_KEY, type DrumName, type Pluck } from './synth'
import { makeSound, type MadeSound, type WantedSound } from './synthWorker'

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
  /** what the worker was asked for */
  private asked = new Set<string>()
  private worker: Worker | null = null
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

  /** Has the sounds a piece needs made ahead of time, beside the page. One that is due before it comes is made at once. */
  prepare(events: TimedEvent[]): void {
    const wanted = new Map(events.map((event) => this.wanted(event)).map((sound) => [sound.name, sound]))
    for (const [name, sound] of wanted) {
      if (this.buffers.has(name) || this.asked.has(name)) continue
      this.asked.add(name)
      this.maker().postMessage(sound)
    }
  }

  play(event: TimedEvent, time: number): void {
    const voice = event.part === 'drums' ? null : `${event.part}:${event.string ?? 0}`
    const source = this.source(this.bufferOf(this.wanted(event)), event.kind === 'ring' ? LET_GO : CHOKE)
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
    this.source(this.bufferOf(this.wantedDrum(high ? 'click-high' : 'click')), CHOKE).start(time, 0, undefined, high ? 0.9 : 0.7)
  }

  count(depth: 0 | 1 | 2 | 3, time: number): void {
    this.source(this.bufferOf(this.wantedDrum(COUNTS[depth])), CHOKE).start(time, 0, undefined, 0.8)
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

  private pluckOf(event: TimedEvent): Pluck {
    const kind = event.part === 'bass' ? 'bass' : event.kind === 'chuck' || event.kind === 'palm-mute' ? event.kind : 'ring'
    return { pitch: event.pitch ?? 40 + 5 * (6 - (event.string ?? 6)), kind, direction: event.direction ?? 'down' }
  }

  private wanted(event: TimedEvent): WantedSound {
    if (event.part === 'drums') return this.wantedDrum(DRUM_OF_KEY[event.pitch ?? 0] ?? 'hat')
    const sound = this.pluckOf(event)
    return { name: JSON.stringify(sound), rate: Tone.getContext().sampleRate, pluck: sound }
  }

  private wantedDrum(name: DrumName): WantedSound {
    return { name, rate: Tone.getContext().sampleRate, drum: name }
  }

  private bufferOf(wanted: WantedSound): Tone.ToneAudioBuffer {
    return this.buffers.get(wanted.name) ?? this.keep(wanted.name, makeSound(wanted))
  }

  private keep(name: string, samples: Float32Array<ArrayBuffer>): Tone.ToneAudioBuffer {
    const made = Tone.ToneAudioBuffer.fromArray(samples)
    this.buffers.set(name, made)
    return made
  }

  private maker(): Worker {
    if (this.worker !== null) return this.worker
    this.worker = new Worker(new URL('./synthWorker.ts', import.meta.url), { type: 'module' })
    this.worker.onmessage = ({ data }: MessageEvent<MadeSound>) => void (this.buffers.has(data.name) || this.keep(data.name, data.samples))
    return this.worker
  }
}
