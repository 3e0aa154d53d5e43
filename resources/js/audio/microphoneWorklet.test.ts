import { beforeAll, beforeEach, expect, it, vi } from 'vitest'

type Message = { since: number; blocks: Float32Array[] }
type Processor = { process: (inputs: Float32Array[][]) => boolean }

const posted: Message[] = []
let Listener: new () => Processor

beforeAll(async () => {
  vi.stubGlobal(
    'AudioWorkletProcessor',
    class {
      port = { postMessage: (message: Message) => posted.push(message) }
    },
  )
  vi.stubGlobal('registerProcessor', (_: string, processor: new () => Processor) => (Listener = processor))
  vi.stubGlobal('sampleRate', 8000)
  await import('./microphoneWorklet')
})
beforeEach(() => void (posted.length = 0))

/** Sixteen turns of 128 samples make one message. */
function hear(
  listener: Processor,
  told: number[],
  sound: (turn: number) => Float32Array[] = (turn) => [new Float32Array(128).fill(turn)],
): void {
  told.forEach((frame, turn) => {
    vi.stubGlobal('currentFrame', frame)
    listener.process([sound(turn)])
  })
}
const turns = (from: number, count = 16) => Array.from({ length: count }, (_, turn) => from + 128 * turn)

it('hands over what came in, with the second at which it began', () => {
  hear(new Listener(), turns(8000, 32))
  expect(posted.map((message) => message.since)).toEqual([1, 1.256])
  expect(posted[1]?.blocks.map((block) => block[0])).toEqual(Array.from({ length: 16 }, (_, turn) => 16 + turn))
})

it('believes the latest frame it was told, since a turn may be told an old one', () => {
  const [first, second, ...rest] = turns(8000, 32)
  hear(new Listener(), [(first ?? 0) - 896, (second ?? 0) - 896, ...rest.map((frame, turn) => (turn % 5 === 0 ? frame - 128 : frame))])
  expect(posted.map((message) => message.since)).toEqual([1, 1.256])
})

it('counts a source without a channel as silence, so that what follows does not seem early', () => {
  hear(new Listener(), turns(8000, 32), (turn) => (turn < 20 ? [] : [new Float32Array(128).fill(0.5)]))
  expect(posted.map((message) => message.blocks.map((block) => block.length))).toEqual([Array(16).fill(128), Array(16).fill(128)])
  expect(posted[1]?.blocks.map((block) => block[0])).toEqual([0, 0, 0, 0, ...Array<number>(12).fill(0.5)])
})
