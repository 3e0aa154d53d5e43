import { act, fireEvent, screen, waitFor } from '@testing-library/react'
import { expect, it, vi } from 'vitest'
import type { PatternReading } from '../../api/types'
import { band } from '../../audio/band'
import { callsTo, key, patch, serve, showOnBench, timeline, tune } from '../../testing/page'
import { usePatches } from '../bench/usePatches'
import { TapSheet } from './TapSheet'

vi.mock('../../audio/band', async () => {
  const silent = await import('../../testing/silentBand')
  return { ...silent, band: { ...silent.band, startedAt: 0, playing: true, elapsedBars: () => 0 } }
})

// A microphone that hands over its sound as soon as it is opened: bar 1 beat 1 lies half a second into it.
vi.mock('../../audio/useMicrophone', () => ({
  useMicrophone: (onTake: (sound: Blob, firstBeat: number) => void) => ({
    status: 'idle',
    level: () => 0,
    heard: [],
    start: async () => onTake(new Blob(['sung'], { type: 'audio/wav' }), 0.5),
    stop: vi.fn(),
  }),
}))

const sketch = { beats: 4, beats_a_bar: 4, p: 0.5, strokes: [] }
const readings: PatternReading[] = [
  { words: 'straight eighths', counted: '1 & 2', shift_ms: 12, spread_ms: 6.2, left_out: 0, sketch, change: [] },
  {
    words: 'in thirds',
    counted: '1 trip 2',
    shift_ms: 0,
    spread_ms: 21,
    left_out: 1,
    sketch,
    change: [patch('start', { ...tune.start, feel: { mode: 'fixed', ratio: 2, unit: 'eighth' } })],
  },
]

function Sheet({ onClose }: { onClose: () => void }) {
  const apply = usePatches()
  return <TapSheet width={900} bars={1} onTake={(reading) => apply(reading.change)} onClose={onClose} />
}

async function tapped(onClose = vi.fn()) {
  serve({ 'POST compute/tapped': readings })
  const bench = showOnBench(<Sheet onClose={onClose} />, { plays: timeline })
  await act(async () => key('r'))
  for (const name of ['f', 'j', 'd', 'x']) await act(async () => key(name))
  await act(async () => vi.mocked(band.start).mock.lastCall?.[0]?.onEnd?.())
  return { ...bench, onClose }
}

it('takes down, up and dead strokes by key over a click alone, and asks the core what they are', async () => {
  await tapped()
  expect(vi.mocked(band.start).mock.lastCall?.[0]).toMatchObject({ bars: 1, clickOnly: 'every beat' })
  await screen.findByText('straight eighths')
  expect((callsTo('POST compute/tapped')[0] as { taps: object[] }).taps.map((tap) => ({ ...tap, t: 0 }))).toEqual([
    { t: 0, key: 'down' },
    { t: 0, key: 'up' },
    { t: 0, key: 'down', dead: true },
  ])
  expect(screen.getByText(/taps within 6 ms, all 12 ms late/)).toBeTruthy()
  expect(screen.getByText(/1 found no place/)).toBeTruthy()
})

it('takes nothing over before somebody chooses a way to hear it', async () => {
  const { store, onClose } = await tapped()
  await screen.findByText('in thirds')
  expect(store.getState().document).toEqual(tune)
  key('ArrowDown')
  await waitFor(() => expect(screen.getByRole('option', { selected: true }).textContent).toContain('in thirds'))
  key('Enter')
  expect(store.getState().document.start.feel.ratio).toBe(2)
  expect(onClose).toHaveBeenCalled()
})

it('says what the core could not read, and that a click needs a form', async () => {
  serve({ 'POST compute/tapped': [422, { message: 'Nothing was tapped.' }] })
  const { rerender } = showOnBench(<Sheet onClose={vi.fn()} />, { plays: { ...timeline, bars: [] } })
  expect(screen.getByText(/type a chord line in Chart first/)).toBeTruthy()
  rerender(<i />)
  showOnBench(<Sheet onClose={vi.fn()} />, { plays: timeline })
  await act(async () => key('r'))
  await act(async () => void fireEvent.pointerDown(screen.getByRole('button', { name: /^up/ })))
  await act(async () => vi.mocked(band.start).mock.lastCall?.[0]?.onEnd?.())
  expect((await screen.findByRole('alert')).textContent).toContain('Nothing was tapped')
})

it('has what was sung heard as syllables, and read like taps', async () => {
  serve({ 'POST compute/tapped': readings, 'POST compute/sung': { syllables: [0.5, 1, 1.25] } })
  showOnBench(<Sheet onClose={vi.fn()} />, { plays: timeline })
  await act(async () => key('v'))
  await screen.findByText('straight eighths')
  expect((callsTo('POST compute/tapped')[0] as { taps: { t: number }[] }).taps.map(({ t }) => t)).toEqual([0, 0.5, 0.75])
})
