import * as Tone from 'tone'

/** Runs beside the music: hands over what came in, with the audio second of its first sample. */
const WORKLET = `
registerProcessor('gravik-listener', class extends AudioWorkletProcessor {
  constructor() { super(); this.held = []; this.length = 0; this.since = 0 }
  process([input]) {
    const samples = input[0]
    if (samples === undefined) return true
    if (this.length === 0) this.since = currentTime
    this.held.push(samples.slice())
    this.length += samples.length
    if (this.length >= 2048) {
      this.port.postMessage({ since: this.since, blocks: this.held })
      this.held = []
      this.length = 0
    }
    return true
  }
})`

export type Microphone = { rate: number; stop: () => void }

/** Why there is no microphone, in words that say what to do. */
export class NoMicrophone extends Error {}

let loaded: Promise<void> | null = null

/**
 * Opens the microphone as it is, without the browser's echo cancelling, noise suppression and gain, on the clock that the
 * band plays by.
 *
 * @param onBlock samples, and the audio second at which the first of them came in
 * @param onLost  the microphone went away by itself
 */
export async function openMicrophone(onBlock: (samples: Float32Array, since: number) => void, onLost: () => void): Promise<Microphone> {
  if (navigator.mediaDevices === undefined) {
    throw new NoMicrophone('Over plain http from another device the browser gives no microphone. Tap the take, or upload a recording.')
  }
  const stream = await navigator.mediaDevices
    .getUserMedia({ audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false, channelCount: 1 } })
    .catch((problem: unknown) => {
      const refused = problem instanceof DOMException && problem.name === 'NotAllowedError'
      throw new NoMicrophone(refused ? 'The microphone was refused. Allow it beside the address of this page, tap the take, or upload a recording.' : 'No microphone was found. Plug one in, tap the take, or upload a recording.')
    })
  await Tone.start()
  const context = Tone.getContext()
  loaded ??= context.addAudioWorkletModule(URL.createObjectURL(new Blob([WORKLET], { type: 'text/javascript' })))
  await loaded
  const node = context.createAudioWorkletNode('gravik-listener')
  const source = context.createMediaStreamSource(stream)
  source.connect(node)
  node.port.onmessage = ({ data }: MessageEvent<{ since: number; blocks: Float32Array[] }>) => {
    let since = data.since
    for (const block of data.blocks) {
      onBlock(block, since)
      since += block.length / context.sampleRate
    }
  }
  stream.getAudioTracks().forEach((track) => track.addEventListener('ended', onLost))
  return {
    rate: context.sampleRate,
    stop: () => {
      source.disconnect()
      node.disconnect()
      stream.getTracks().forEach((track) => track.stop())
    },
  }
}
