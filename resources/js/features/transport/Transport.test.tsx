import { fireEvent, screen } from '@testing-library/react'
import { beforeEach, expect, it, vi } from 'vitest'
import { band } from '../../audio/band'
import { BenchContext } from '../bench/benchContext'
import { key, showOnBench, timeline } from '../../testing/page'
import { Transport } from './Transport'

const state = { status: 'stopped', muted: { drums: false, bass: false, guitar: false }, clickOn: [1, 3], countInBars: 2, loop: null as [number, number] | null }

vi.mock('../../audio/band', async () => {
  const silent = await import('../../testing/silentBand')
  return { ...silent, band: { ...silent.band, snapshot: () => state, mute: vi.fn(), punctuality: () => ({ scheduled: 0, late: 0, smallestMarginMs: null }) } }
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
  const bench = (plays: typeof timeline | undefined) => <BenchContext.Provider value={{ store, tempo: 120, setTempo: vi.fn(), level: 3, setLevel: vi.fn(), timeline: plays }}><Transport /></BenchContext.Provider>
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
  showOnBench(<Transport />, { plays: { ...timeline, bars: 0 } })
  key(' ')
  expect(band.start).not.toHaveBeenCalled()
  expect((screen.getByLabelText('Play') as HTMLButtonElement).disabled).toBe(true)
})

it('nudges the played tempo and leaves the written one', () => {
  const { setTempo, store } = showOnBench(<Transport />)
  key(']')
  key('[')
  expect(setTempo.mock.calls).toEqual([[122], [118]])
  expect(store.getState().document.tempo).toBe(120)
})

it('clicks on chosen beats, counts in by none, one or two bars, and mutes a part', () => {
  showOnBench(<Transport />)
  fireEvent.click(screen.getByLabelText('Click on beat 2'))
  fireEvent.click(screen.getByLabelText('Click on beat 1'))
  fireEvent.click(screen.getByLabelText(/Count-in: 2 bars/))
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
