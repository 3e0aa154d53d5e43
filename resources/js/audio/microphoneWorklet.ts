declare const currentTime: number
declare class AudioWorkletProcessor {
  readonly port: MessagePort
}
declare function registerProcessor(name: string, processor: new () => AudioWorkletProcessor): void

const SAMPLES_AT_ONCE = 2048

/** Runs beside the music: hands over what came in, with the audio second of its first sample. */
class Listener extends AudioWorkletProcessor {
  private held: Float32Array[] = []
  private length = 0
  private since = 0

  process([input]: Float32Array[][]): boolean {
    const samples = input?.[0]
    if (samples === undefined) return true
    if (this.length === 0) this.since = currentTime
    this.held.push(samples.slice())
    this.length += samples.length
    if (this.length >= SAMPLES_AT_ONCE) {
      this.port.postMessage({ since: this.since, blocks: this.held })
      this.held = []
      this.length = 0
    }
    return true
  }
}

registerProcessor('gravik-listener', Listener)
