import { fireEvent, screen, waitFor } from '@testing-library/react'
import { beforeEach, expect, it, vi } from 'vitest'
import { band, output } from '../../audio/band'
import { key, serve, showOnBench } from '../../testing/page'
import { FreePlay } from './FreePlay'
import { forgetSound, freePlays, keepSound, soundOf } from './sounds'

// The browser's own database, in place of which a map stands here.
const rows = vi.hoisted(() => new Map<string, unknown>())
const full = vi.hoisted(() => ({ now: false }))
vi.mock('idb-keyval', () => ({
  createStore: () => undefined,
  set: async (id: string, value: unknown) => {
    if (full.now) throw new DOMException('full')
    rows.set(id, value)
  },
  get: async (id: string) => rows.get(id),
  del: async (id: string) => void rows.delete(id),
  keys: async () => [...rows.keys()],
  entries: async () => [...rows.entries()],
}))

const told = vi.hoisted(() => ({ status: 'stopped', listeners: new Set<() => void>() }))
vi.mock('../../audio/band', async () => {
  const silent = await import('../../testing/silentBand')
  return {
    ...silent,
    output: { ...silent.output, playSound: vi.fn() },
    band: {
      ...silent.band,
      startedAt: 3,
      snapshot: () => ({ status: told.status, countInBars: 1, muted: { guitar: false } }),
      subscribe: (listener: () => void) => {
        told.listeners.add(listener)
        return () => told.listeners.delete(listener)
      },
      start: vi.fn(async () => void (told.status = 'playing')),
      stop: vi.fn(() => {
        told.status = 'stopped'
        told.listeners.forEach((listener) => listener())
      }),
    },
  }
})

const wav = new Blob(['RIFF'], { type: 'audio/wav' })
const played = { wav, firstBeat: 0.8, bars: 12, tempo: 96, at: new Date().toISOString() }

beforeEach(() => {
  rows.clear()
  full.now = false
  told.status = 'stopped'
  vi.clearAllMocks()
  serve({})
})

it('says what free play is before anything was played, and leaves by Escape', () => {
  const leave = vi.fn()
  showOnBench(<FreePlay onClose={leave} />)
  expect(screen.getByText(/nobody marks it/)).toBeTruthy()
  expect(screen.getByText(/is listed here to be heard again/)).toBeTruthy()
  key('Escape')
  expect(leave).toHaveBeenCalledTimes(1)
})

it('lists what was played over this breakdown alone, hears it with the band in the guitar’s place, and deletes it', async () => {
  await keepSound('free-b1-01aaaaaaaaaaaaaaaaaaaaaaaa', played)
  await keepSound('free-other-01bbbbbbbbbbbbbbbbbbbbbbbb', played)
  showOnBench(<FreePlay onClose={vi.fn()} />)
  await screen.findByText('Hear it with the band')
  expect(screen.getAllByRole('listitem')).toHaveLength(1)
  fireEvent.click(screen.getByText('Hear it with the band'))
  await screen.findByText('Stop')
  expect(vi.mocked(band as unknown as { mute: () => void }).mute).toHaveBeenCalledWith('guitar', true)
  expect(vi.mocked(band.start).mock.calls[0]?.[0]).toMatchObject({ fromBar: 0, bars: 12 })
  await waitFor(() => expect((output as unknown as { playSound: ReturnType<typeof vi.fn> }).playSound).toHaveBeenCalledWith(wav, 0.8, 3))
  fireEvent.click(screen.getByText('Stop'))
  await screen.findByText('Hear it with the band')
  expect(vi.mocked(band as unknown as { mute: () => void }).mute).toHaveBeenLastCalledWith('guitar', false)
  fireEvent.click(screen.getByText('Delete'))
  await screen.findByText(/is listed here to be heard again/)
  expect(rows.size).toBe(1)
})

it('gives the guitar back where the band does not start, and offers to hear it again', async () => {
  await keepSound('free-b1-01aaaaaaaaaaaaaaaaaaaaaaaa', played)
  vi.mocked(band.start).mockImplementationOnce(async () => undefined)
  showOnBench(<FreePlay onClose={vi.fn()} />)
  fireEvent.click(await screen.findByText('Hear it with the band'))
  const { mute } = vi.mocked(band as unknown as { mute: () => void })
  await waitFor(() => expect(mute).toHaveBeenLastCalledWith('guitar', false))
  expect(screen.queryByText('Stop')).toBeNull()
})

it('keeps the newest sounds and lets the oldest go, whatever they are of', async () => {
  for (let number = 0; number < 26; number++) {
    await keepSound(`${number % 2 === 0 ? 'free-b1-' : ''}01${String(number).padStart(24, '0')}`, { wav, firstBeat: number })
  }
  expect(rows.size).toBe(24)
  expect(await soundOf('free-b1-01000000000000000000000000')).toBeNull()
  expect(await soundOf('01000000000000000000000025')).toMatchObject({ firstBeat: 25 })
  expect((await freePlays('b1'))[0]?.id.endsWith('24')).toBe(true)
  await forgetSound('01000000000000000000000025')
  expect(await soundOf('01000000000000000000000025')).toBeNull()
})

it('goes on without the sound where the browser has no room for it', async () => {
  full.now = true
  await expect(keepSound('01cccccccccccccccccccccccc', { wav, firstBeat: 0 })).resolves.toBeUndefined()
  expect(await freePlays('b1')).toEqual([])
})
