import { act, fireEvent, screen } from '@testing-library/react'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { output } from '../../audio/band'
import { serve, showOnBench } from '../../testing/page'
import { DelayCheck } from './DelayCheck'

vi.mock('./device', () => ({ deviceId: (input: string) => `desk-${input}` }))
const clock = vi.hoisted(() => ({ now: 0 }))
vi.mock('../../audio/band', async () => {
  const silent = await import('../../testing/silentBand')
  return { ...silent, output: { ...silent.output, now: () => clock.now } }
})
const room = vi.hoisted(() => ({
  refuses: false,
  block: (() => undefined) as (samples: Float32Array, since: number, rate: number) => void,
  stop: () => undefined,
}))
vi.mock('../../audio/microphone', () => {
  class NoMicrophone extends Error {}
  return {
    NoMicrophone,
    openMicrophone: async (onBlock: typeof room.block) => {
      if (room.refuses) throw new NoMicrophone('The microphone was refused.')
      room.block = onBlock
      return { rate: 8000, stop: room.stop }
    },
  }
})

const calibration = (ms: number, was: number | null) => ({
  latency_ms: ms,
  spread_ms: 1.2,
  was_ms: was,
  measured_at: new Date().toISOString(),
})
const calls = () => vi.mocked(fetch).mock.calls.map(([address, options]) => [String(address), options?.body] as const)

beforeEach(() => {
  vi.useFakeTimers({ shouldAdvanceTime: true })
  clock.now = 0
  room.refuses = false
})
afterEach(() => vi.useRealTimers())

/** The sixteen clicks and the four before them pass. */
async function pass(): Promise<void> {
  await act(async () => {
    clock.now = 20 * 0.6 + 0.4
    await vi.advanceTimersByTimeAsync(120)
  })
}

async function start(input: 'keys' | 'microphone'): Promise<void> {
  showOnBench(<DelayCheck onClose={vi.fn()} />)
  if (input === 'microphone') fireEvent.click(screen.getByText('microphone'))
  await act(async () => {
    fireEvent.click(screen.getByText('Start the clicks'))
    await vi.advanceTimersByTimeAsync(60)
  })
}

it('sends taps with the clicks they were tapped to, and says what was measured', async () => {
  serve({ 'PUT calibrations/desk-keys': calibration(42, null) })
  await start('keys')
  expect(vi.mocked(output.click).mock.calls).toHaveLength(20)
  expect(screen.getByText(/ready in/)).toBeTruthy()
  clock.now = 0.3 + 4 * 0.6
  await act(async () => void (await vi.advanceTimersByTimeAsync(60)))
  expect(screen.getByText('1 of 16')).toBeTruthy()
  fireEvent.pointerDown(screen.getByLabelText('Tap with the click'))
  await pass()
  expect(await screen.findByText(/The delay is 42 ms \(your taps spread by 1 ms\)/)).toBeTruthy()
  const sent = JSON.parse(String(calls()[0]?.[1])) as { clicks: number[]; taps: number[] }
  expect(sent.clicks.map((click) => Math.round(10 * click) / 10)).toEqual(
    Array.from({ length: 16 }, (_, index) => Math.round(6 * index) / 10),
  )
  expect(sent.taps).toHaveLength(1)
})

it('records its own clicks, says where the first of them lies, and warns when the delay has moved', async () => {
  serve({})
  const plain = globalThis.fetch
  vi.stubGlobal(
    'fetch',
    vi.fn(async (address: string, options: RequestInit) =>
      address.includes('/recording?') ? new Response(JSON.stringify(calibration(61, 40)), { status: 200 }) : plain(address, options),
    ),
  )
  await start('microphone')
  room.block(new Float32Array(800), -0.2, 8000)
  await pass()
  expect(await screen.findByText(/The delay is 61 ms \(the clicks spread by 1 ms\).*It was 40 ms the time before: it drifts/)).toBeTruthy()
  const [address, body] = calls().find(([to]) => to.includes('/recording?')) ?? ['', null]
  const query = new URL(address, 'http://gravik').searchParams
  expect(Number(query.get('first'))).toBeCloseTo(0.3 + 4 * 0.6 + 0.2, 4)
  expect([query.get('every'), query.get('count')]).toEqual(['0.6', '16'])
  expect((body as Blob).size).toBe(44 + 1600)
})

it('says why there is no microphone, and what to do when nothing came from it', async () => {
  room.refuses = true
  serve({})
  await start('microphone')
  expect(screen.getByText('The microphone was refused.')).toBeTruthy()
  room.refuses = false
  await act(async () => {
    fireEvent.click(screen.getByText('Once more'))
    await vi.advanceTimersByTimeAsync(60)
  })
  await pass()
  expect(await screen.findByText(/Nothing came from the microphone/)).toBeTruthy()
})
