import { act, fireEvent, screen, waitFor } from '@testing-library/react'
import { beforeEach, expect, it, vi } from 'vitest'
import { band } from '../../audio/band'
import { deskOf, withStart } from '../../api/desk'
import { BenchContext } from '../bench/benchContext'
import { callsTo, key, serve, showOnBench, timeline, tune } from '../../testing/page'
import { Transport } from './Transport'

const state = {
  status: 'stopped',
  muted: { drums: false, bass: false, guitar: false },
  clickOn: [1, 3],
  countInBars: 2,
  loop: null as [number, number] | null,
}

vi.mock('../../audio/band', async () => {
  const silent = await import('../../testing/silentBand')
  return { ...silent, band: { ...silent.band, snapshot: () => state } }
})

beforeEach(() => {
  vi.clearAllMocks()
  Object.assign(state, { status: 'stopped', loop: null })
  HTMLElement.prototype.releasePointerCapture = () => undefined
})

it('plays and stops with the space bar, but not while somebody types', () => {
  showOnBench(<Transport />)
  key(' ')
  expect(band.start).toHaveBeenCalledTimes(1)
  fireEvent.keyDown(screen.getByLabelText('Tempo'), { key: ' ' })
  expect(band.start).toHaveBeenCalledTimes(1)
})

it('remembers a play that came before the tune was worked out', () => {
  const bench = (plays: typeof timeline | undefined) => (
    <BenchContext.Provider
      value={{
        store,
        desk: deskOf(tune, {}, undefined),
        places: [],
        setPlace: vi.fn(),
        tempo: 120,
        setTempo: vi.fn(),
        level: 3,
        setLevel: vi.fn(),
        stage: null,
        setStage: vi.fn(),
        arrangement: 'with-band',
        setArrangement: vi.fn(),
        played: {},
        timeline: plays,
      }}
    >
      <Transport />
    </BenchContext.Provider>
  )
  const { store, rerender } = showOnBench(<i />)
  rerender(bench(undefined))
  key(' ')
  expect(band.start).not.toHaveBeenCalled()
  rerender(bench(timeline))
  expect(band.start).toHaveBeenCalledTimes(1)
})

it('stops what plays', () => {
  state.status = 'playing'
  showOnBench(<Transport />)
  key(' ')
  expect([vi.mocked(band.stop).mock.calls.length, vi.mocked(band.start).mock.calls.length]).toEqual([1, 0])
})

it('does not play a tune without bars, by button or by key', () => {
  showOnBench(<Transport />, { plays: { ...timeline, bars: [] } })
  key(' ')
  expect(band.start).not.toHaveBeenCalled()
  expect((screen.getByLabelText('Play') as HTMLButtonElement).disabled).toBe(true)
})

it('nudges the played tempo and leaves the written one', () => {
  const { setTempo, store } = showOnBench(<Transport />)
  key(']')
  key('[')
  expect(setTempo.mock.calls).toEqual([[122], [118]])
  expect(store.getState().document.start.tempo).toBe(120)
})

it('clicks on chosen beats, counts in by none, one or two bars, and mutes a part', () => {
  showOnBench(<Transport />)
  fireEvent.click(screen.getByLabelText('Click on beat 2'))
  fireEvent.click(screen.getByLabelText('Click on beat 1'))
  fireEvent.click(screen.getByRole('button', { name: /Count-in:\s*2 bars/ }))
  expect(vi.mocked(band.set).mock.calls).toEqual([[{ clickOn: [3] }], [{ clickOn: [1, 3, 0] }], [{ countInBars: 0 }]])
  fireEvent.click(screen.getByText('bass'))
  expect(vi.mocked(band as unknown as { mute: () => void }).mute).toHaveBeenCalledWith('bass', true)
})

it('loops the bars that are dragged over, either way, and goes round again at "all"', () => {
  state.loop = [0, 1]
  showOnBench(<Transport />)
  fireEvent.pointerDown(screen.getByLabelText('Bar 2'))
  fireEvent.pointerEnter(screen.getByLabelText('Bar 1'))
  fireEvent.click(screen.getByText('all'))
  expect(vi.mocked(band.set).mock.calls).toEqual([[{ loop: [1, 1] }], [{ loop: [0, 1] }], [{ loop: null }]])
})

it('plays straight and swung in turn by one key, and gives back the swing there was', async () => {
  serve({ 'POST compute/feel': { feel: { mode: 'fixed', ratio: 1, unit: 'eighth' } } })
  const { store } = showOnBench(<Transport />, { document: withStart(tune, { feel: { mode: 'fixed', ratio: 1.6, unit: 'eighth' } }) })
  key('/')
  await waitFor(() => expect(store.getState().document.start.feel.ratio).toBe(1))
  expect(callsTo('POST compute/feel')).toEqual([{ typed: 'straight', unit: 'eighth' }])
  await act(async () => undefined)
  key('/')
  expect(store.getState().document.start.feel.ratio).toBe(1.6)
})

it('takes a feel as it is typed, and shows what the core has against it', async () => {
  serve({
    'POST compute/feel': (body: unknown) =>
      (body as { typed: string }).typed === 'bouncy'
        ? [422, { message: '"bouncy" is no feel.' }]
        : { feel: { mode: 'fixed', ratio: 1.5, unit: 'eighth' } },
  })
  const { store } = showOnBench(<Transport />, { plays: { ...timeline, p: 2 / 3, off_beat_ms: 83.3 } })
  fireEvent.click(screen.getByText('+83 ms'))
  const field = await screen.findByLabelText(/Feel as a name/)
  fireEvent.change(field, { target: { value: 'bouncy' } })
  fireEvent.keyDown(field, { key: 'Enter' })
  expect((await screen.findByRole('alert')).textContent).toContain('is no feel')
  fireEvent.change(field, { target: { value: '3:2' } })
  fireEvent.keyDown(field, { key: 'Enter' })
  await waitFor(() => expect(store.getState().document.start.feel.ratio).toBe(1.5))
})
