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
  private since = 0
  /** frame at which the next samples are due */
  private due: number | null = null

  process([input]: Float32Array[][]): boolean {
    // A source that sounds nothing may come as no channel at all, and a busy machine may leave turns out: what came after
    // would seem to have come early.
    if (this.due !== null && currentFrame > this.due) this.hold(new Float32Array(currentFrame - this.due), this.due)
    this.hold(input?.[0]?.slice() ?? new Float32Array(QUANTUM), currentFrame)
    if (this.length >= SAMPLES_AT_ONCE) {
      this.port.postMessage({ since: this.since, blocks: this.held })
      this.held = []
      this.length = 0
    }
    return true
  }

  private hold(samples: Float32Array, frame: number): void {
    if (this.length === 0) this.since = frame / sampleRate
    this.held.push(samples)
    this.length += samples.length
    this.due = frame + samples.length
  }
}

registerProcessor('gravik-listener', Listener)
