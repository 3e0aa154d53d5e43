import type { TimedEvent } from '../api/types'
import type { Output } from './BandPlayer'
import { audio, sounds } from './context'
import { DRUM_OF_KEY, isTone, type DrumName, type Pluck } from './synth'
import { makeSound, type MadeSound, type WantedSound } from './synthWorker'

/** A string that is let go dies away in this time; one that is choked, faster. */
const LET_GO = 0.06
const CHOKE = 0.012
/** All of it falls silent, and follows the loudness that is set, this fast. */
const SILENCE = 0.04
const TURN = 0.02

/** A voice for each depth of the count, the beat's highest. */
const COUNTS = ['count-bar', 'count-beat', 'count-division', 'count-finer'] as const

/** The room left above the loudest moment, and the ceiling nothing passes: a knee of its own would let 6 dB through. */
const CEILING = { threshold: -3, ratio: 20, knee: 0, attack: 0.003, release: 0.05 }
/** The limiter makes everything louder by 1.7 dB, measured; this takes it back. */
const AS_LOUD_AS_BEFORE = 10 ** (-1.7 / 20)
const LOUDEST = 0.7

/** A fade is as good as silent after so many of its time constants (43 dB down). */
const TIME_CONSTANTS = 5

/** A sound under way that fades once, at the earliest moment it is told to stop. */
class Sounding {
  private endsAt = Infinity

  constructor(
    readonly source: AudioBufferSourceNode,
    private readonly gain: GainNode,
    private readonly fade: number,
  ) {}

  start(time: number, velocity: number, from = 0): void {
    this.gain.gain.setValueAtTime(velocity, time)
    this.source.start(time, from)
  }

  stop(time: number): void {
    if (time >= this.endsAt) return
    this.endsAt = time
    this.gain.gain.cancelScheduledValues(time).setTargetAtTime(0, time, this.fade / TIME_CONSTANTS)
    this.source.stop(time + this.fade)
  }
}

/** Sounds the band through Web Audio. Buffers are made once a sound and kept. */
export class WebAudioOutput implements Output {
  private buffers = new Map<string, AudioBuffer>()
  /** what the worker was asked for */
  private asked = new Set<string>()
  private worker: Worker | null = null
  private sounding = new Map<string, Sounding>()
  private master: GainNode | null = null
  private room: GainNode | null = null
  private level = 1
  private limiter: { before: GainNode; behind: GainNode } | null = null
  private ceilingDb = 0

  now(): number {
    return audio().currentTime
  }

  async resume(): Promise<boolean> {
    const sounding = await sounds()
    if (sounding) this.bus()
    return sounding
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
    const voice = event.part === 'drums' ? null : `${event.part}:${event.string ?? (event.part === 'bass' ? 0 : event.pitch)}`
    const sounding = this.sound(
      this.bufferOf(this.wanted(event)),
      event.kind === 'ring' || isTone(event.kind) ? LET_GO : CHOKE,
      event.mellow,
    )
    if (voice !== null) {
      this.sounding.get(voice)?.stop(time)
      this.sounding.set(voice, sounding)
    }
    event.glide?.forEach(([after = 0, semitones = 0], index) => {
      const rate = 2 ** (semitones / 12)
      if (index === 0) sounding.source.playbackRate.setValueAtTime(rate, time + after)
      else sounding.source.playbackRate.linearRampToValueAtTime(rate, time + after)
    })
    sounding.start(time, event.velocity)
    if (event.part !== 'drums') sounding.stop(time + event.dur)
  }

  click(high: boolean, time: number): void {
    this.sound(this.bufferOf(this.wantedDrum(high ? 'click-high' : 'click')), CHOKE).start(time, high ? 0.9 : 0.7)
  }

  count(depth: 0 | 1 | 2 | 3, time: number): void {
    this.sound(this.bufferOf(this.wantedDrum(COUNTS[depth])), CHOKE).start(time, 0.8)
  }

  silence(): void {
    const room = this.room
    this.room = null
    this.sounding.clear()
    if (room === null) return
    room.gain.setTargetAtTime(0, this.now(), SILENCE / TIME_CONSTANTS)
    setTimeout(() => room.disconnect(), 200)
  }

  /** A recording beside the band: from one of its seconds on, at a moment. */
  async playSound(wav: Blob, from: number, time: number): Promise<void> {
    const buffer = await audio().decodeAudioData(await wav.arrayBuffer())
    const late = Math.max(0, this.now() - time)
    this.sound(buffer, CHOKE).start(Math.max(time, this.now()), 1, Math.max(0, from) + late)
  }

  /** How loud all of it is, 0 to 1; what is set holds for the whole page. */
  setLevel(level: number): void {
    this.level = Math.max(0, Math.min(1, level))
    this.master?.gain.setTargetAtTime(LOUDEST * this.level, this.now(), TURN / TIME_CONSTANTS)
  }

  /** @param db by which the ceiling lies lower than usual: 0 or less */
  setCeiling(db: number): void {
    this.ceilingDb = Math.min(0, db)
    const below = 10 ** (this.ceilingDb / 20)
    this.limiter?.before.gain.setTargetAtTime(1 / below, this.now(), TURN / TIME_CONSTANTS)
    this.limiter?.behind.gain.setTargetAtTime(below * AS_LOUD_AS_BEFORE, this.now(), TURN / TIME_CONSTANTS)
  }

  /** @param mellow share of a one-pole low-pass, as the core renders it */
  private sound(buffer: AudioBuffer, fade: number, mellow = 0): Sounding {
    const source = new AudioBufferSourceNode(audio(), { buffer })
    const gain = new GainNode(audio())
    const voice = mellow === 0 ? source : source.connect(new IIRFilterNode(audio(), { feedforward: [1 - mellow], feedback: [1, -mellow] }))
    voice.connect(gain).connect(this.bus())
    source.onended = () => gain.disconnect()
    return new Sounding(source, gain, fade)
  }

  /** Everything passes one gain that a stop can fade, then a limiter: playback has a ceiling. */
  private bus(): GainNode {
    this.master ??= this.throughLimiter(new GainNode(audio(), { gain: LOUDEST * this.level }))
    if (this.room === null) {
      this.room = new GainNode(audio())
      this.room.connect(this.master)
    }
    return this.room
  }

  /** Raised before the limiter by as much as it is lowered behind: what is soft stays as it is, and the ceiling comes down. */
  private throughLimiter(gain: GainNode): GainNode {
    const below = 10 ** (this.ceilingDb / 20)
    const before = new GainNode(audio(), { gain: 1 / below })
    const behind = new GainNode(audio(), { gain: below * AS_LOUD_AS_BEFORE })
    this.limiter = { before, behind }
    gain.connect(before).connect(new DynamicsCompressorNode(audio(), CEILING)).connect(behind).connect(audio().destination)
    return gain
  }

  private pluckOf(event: TimedEvent): Pluck {
    const kind = event.part === 'bass' ? 'bass' : event.kind === 'chuck' || event.kind === 'palm-mute' ? event.kind : 'ring'
    return { pitch: event.pitch ?? 40 + 5 * (6 - (event.string ?? 6)), kind, direction: event.direction ?? 'down' }
  }

  private wanted(event: TimedEvent): WantedSound {
    if (event.part === 'drums') return this.wantedDrum(DRUM_OF_KEY[event.pitch ?? 0] ?? 'hat')
    if (isTone(event.kind)) {
      const wanted = { pitch: event.pitch ?? 60, voice: event.kind }
      return { name: JSON.stringify(wanted), rate: audio().sampleRate, tone: wanted }
    }
    const sound = this.pluckOf(event)
    return { name: JSON.stringify(sound), rate: audio().sampleRate, pluck: sound }
  }

  private wantedDrum(name: DrumName): WantedSound {
    return { name, rate: audio().sampleRate, drum: name }
  }

  private bufferOf(wanted: WantedSound): AudioBuffer {
    return this.buffers.get(wanted.name) ?? this.keep(wanted.name, makeSound(wanted))
  }

  private keep(name: string, samples: Float32Array<ArrayBuffer>): AudioBuffer {
    const buffer = new AudioBuffer({ length: samples.length, sampleRate: audio().sampleRate })
    buffer.copyToChannel(samples, 0)
    this.buffers.set(name, buffer)
    return buffer
  }

  private maker(): Worker {
    if (this.worker !== null) return this.worker
    this.worker = new Worker(new URL('./synthWorker.ts', import.meta.url), { type: 'module' })
    this.worker.onmessage = ({ data }: MessageEvent<MadeSound>) => void (this.buffers.has(data.name) || this.keep(data.name, data.samples))
    return this.worker
  }
}
