import { beforeEach, expect, it, vi } from 'vitest'
import { compute } from '../api/client'
import { LiveEar, type LiveStroke } from './liveEar'

vi.mock('../api/client', () => ({ compute: vi.fn() }))

const RATE = 1000
const blocks = (seconds: number) => Array.from({ length: Math.round(seconds * 10) }, () => new Float32Array(RATE / 10))
const hears = (...strokes: { t: number; direction: 'down' | 'up' | null }[]) =>
  vi.mocked(compute).mockResolvedValueOnce({ strokes } as never)

let heard: LiveStroke[]
let ear: LiveEar

beforeEach(() => {
  vi.mocked(compute).mockReset()
  heard = []
  ear = new LiveEar(RATE, (strokes) => (heard = strokes))
})

it('hears the newest seconds again and again, and lists each stroke once, on the audio clock', async () => {
  hears({ t: 0.1, direction: 'down' }, { t: 1.0, direction: null })
  await ear.listen(blocks(2), 10)
  expect(heard).toEqual([
    { t: 10.1, key: 'down' },
    { t: 11, key: null },
  ])
  // Three seconds of the four: the stroke at 11 stands at 0 there, the next one at 1.6, and one at the very end is not whole yet.
  hears({ t: 0.01, direction: null }, { t: 1.6, direction: 'up' }, { t: 2.9, direction: 'down' })
  await ear.listen(blocks(4), 10)
  expect(heard.map((stroke) => Math.round(100 * stroke.t) / 100)).toEqual([10.1, 11, 12.6])
  const sent = vi.mocked(compute).mock.calls.map(([path, body]) => [path, (body as Blob).size])
  expect(sent).toEqual([
    ['/api/compute/hear', 44 + 2 * 2000],
    ['/api/compute/hear', 44 + 2 * 3000],
  ])
})

it('does not ask again before there is enough that is new, nor while an answer is on its way', async () => {
  let answer: (value: unknown) => void = () => undefined
  vi.mocked(compute).mockReturnValueOnce(new Promise<never>((resolve) => (answer = resolve as (value: unknown) => void)))
  const first = ear.listen(blocks(2), 1)
  await ear.listen(blocks(4), 1)
  expect(compute).toHaveBeenCalledTimes(1)
  answer({ strokes: [] })
  await first
  await ear.listen(blocks(2.5), 1)
  expect(compute).toHaveBeenCalledTimes(1)
})

it('goes on listening after a stretch that could not be heard', async () => {
  vi.mocked(compute).mockRejectedValueOnce(new Error('This recording is silent.'))
  await ear.listen(blocks(2), 1)
  hears({ t: 1, direction: null })
  await ear.listen(blocks(4), 1)
  expect(heard).toHaveLength(1)
})
