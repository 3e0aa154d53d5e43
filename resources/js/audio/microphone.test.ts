import { afterEach, expect, it, vi } from 'vitest'
import { NoMicrophone, openMicrophone } from './microphone'

vi.mock('./microphoneWorklet?worker&url', () => ({ default: '/worklet.js' }))

const room = vi.hoisted(() => ({ port: {} as { onmessage?: (event: unknown) => void }, cut: [] as string[], sounds: true }))
const part = (name: string) => ({ connect: () => undefined, disconnect: () => void room.cut.push(name) })
vi.mock('./context', () => ({
  audio: () => ({ sampleRate: 1000, audioWorklet: { addModule: async () => undefined }, createMediaStreamSource: () => part('source') }),
  sounds: async () => room.sounds,
}))
vi.stubGlobal(
  'AudioWorkletNode',
  class {
    port = room.port
    disconnect = () => void room.cut.push('node')
  },
)

const microphones = (getUserMedia: unknown) =>
  Object.defineProperty(navigator, 'mediaDevices', { value: getUserMedia === undefined ? undefined : { getUserMedia }, configurable: true })
afterEach(() => microphones(undefined))

it.each([
  ['over plain http', undefined, /Over plain http .* gives no microphone/],
  ['refused', () => Promise.reject(new DOMException('no', 'NotAllowedError')), /was refused. Allow it/],
  ['missing', () => Promise.reject(new DOMException('no', 'NotFoundError')), /No microphone was found. Plug one in/],
])('says what to do where it is %s', async (_, device, words) => {
  microphones(device)
  const problem = await openMicrophone(vi.fn(), vi.fn()).catch((why: unknown) => why)
  expect(problem).toBeInstanceOf(NoMicrophone)
  expect((problem as Error).message).toMatch(words)
})

it('gives the microphone back where the device has no sound to keep time by', async () => {
  const track = { stop: () => void room.cut.push('track') }
  microphones(async () => ({ getTracks: () => [track] }))
  room.sounds = false
  await expect(openMicrophone(vi.fn(), vi.fn())).rejects.toThrow(/keeps time by this device's sound/)
  expect(room.cut.splice(0)).toEqual(['track'])
  room.sounds = true
})

it('tells each block its own second, says when the device went away, and lets go of all of it', async () => {
  let lost: () => void = () => undefined
  const track = { addEventListener: (_: string, heard: () => void) => (lost = heard), stop: () => void room.cut.push('track') }
  const asked = vi.fn(async () => ({ getAudioTracks: () => [track], getTracks: () => [track] }))
  microphones(asked)
  const [onBlock, onLost] = [vi.fn(), vi.fn()]
  const microphone = await openMicrophone(onBlock, onLost)
  expect(asked).toHaveBeenCalledWith({
    audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false, channelCount: 1 },
  })
  room.port.onmessage?.({ data: { since: 5, blocks: [new Float32Array(128), new Float32Array(128)] } })
  expect(onBlock.mock.calls.map(([block, at, rate]) => [(block as Float32Array).length, at, rate])).toEqual([
    [128, 5, 1000],
    [128, 5.128, 1000],
  ])
  lost()
  expect(onLost).toHaveBeenCalledOnce()
  microphone.stop()
  expect(room.cut).toEqual(['source', 'node', 'track'])
})
