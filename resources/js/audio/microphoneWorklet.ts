// A module of its own: what it declares is known nowhere else.
export {}

declare const currentFrame: number
declare const sampleRate: number
declare class AudioWorkletProcessor {
  readonly port: MessagePort
}
declare function registerProcessor(name: string, processor: new () => AudioWorkletProcessor): void

const SAMPLES_AT_ONCE = 2048
const QUANTUM = 128

/** Runs beside the music: hands over what came in, with the audio second of its first sample. */
class Listener extends AudioWorkletProcessor {
  private held: Float32Array[] = []
  private length = 0
  private counted = 0
  /** the frame of the first sample of all; a turn may still be told the frame of a few turns ago, so the latest reading is the truest */
  private first = -Infinity

  process([input]: Float32Array[][]): boolean {
    this.first = Math.max(this.first, currentFrame - this.counted)
    // A source that sounds nothing may come as no channel at all; left out, all that follows would seem early.
    const samples = input?.[0]?.slice() ?? new Float32Array(QUANTUM)
    this.held.push(samples)
    this.length += samples.length
    this.counted += samples.length
    if (this.length >= SAMPLES_AT_ONCE) {
      this.port.postMessage({ since: (this.first + this.counted - this.length) / sampleRate, blocks: this.held })
      this.held = []
      this.length = 0
    }
    return true
  }
}

registerProcessor('gravik-listener', Listener)
