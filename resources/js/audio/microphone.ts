import { audio, sounds } from './context'
import worklet from './microphoneWorklet?worker&url'

export type Microphone = { rate: number; stop: () => void }

/** Why there is no microphone, in words that say what to do. */
export class NoMicrophone extends Error {}

let loaded: Promise<void> | null = null

/**
 * Opens the microphone as it is, without the browser's echo cancelling, noise suppression and gain, on the clock that the
 * band plays by.
 *
 * @param onBlock samples, and the audio second at which the first of them came in; told truer from block to block
 * @param onLost  the microphone went away by itself
 */
export async function openMicrophone(
  onBlock: (samples: Float32Array, since: number, rate: number) => void,
  onLost: () => void,
): Promise<Microphone> {
  if (navigator.mediaDevices === undefined) {
    throw new NoMicrophone('Over plain http from another device the browser gives no microphone. Tap the take, or upload a recording.')
  }
  const stream = await navigator.mediaDevices
    .getUserMedia({ audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false, channelCount: 1 } })
    .catch((problem: unknown) => {
      const refused = problem instanceof DOMException && problem.name === 'NotAllowedError'
      throw new NoMicrophone(
        refused
          ? 'The microphone was refused. Allow it beside the address of this page, tap the take, or upload a recording.'
          : 'No microphone was found. Plug one in, tap the take, or upload a recording.',
      )
    })
  const context = audio()
  if (!(await sounds())) {
    stream.getTracks().forEach((track) => track.stop())
    throw new NoMicrophone("The microphone keeps time by this device's sound, which does not start.")
  }
  loaded ??= context.audioWorklet.addModule(worklet)
  await loaded
  const node = new AudioWorkletNode(context, 'gravik-listener')
  const source = context.createMediaStreamSource(stream)
  source.connect(node)
  node.port.onmessage = ({ data }: MessageEvent<{ since: number; blocks: Float32Array[] }>) => {
    let since = data.since
    for (const block of data.blocks) {
      onBlock(block, since, context.sampleRate)
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
