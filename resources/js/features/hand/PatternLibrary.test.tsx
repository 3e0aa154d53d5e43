import { fireEvent, screen, waitFor } from '@testing-library/react'
import { beforeEach, expect, it, vi } from 'vitest'
import { withStart } from '../../api/desk'
import type { LibraryPattern } from '../../api/types'
import { band } from '../../audio/band'
import { callsTo, key, serve, showOnBench, timeline, tune } from '../../testing/page'
import { PatternLibrary } from './PatternLibrary'

vi.mock('../../audio/band', () => import('../../testing/silentBand'))

const swung = { mode: 'fixed', ratio: 2, unit: 'eighth' } as const
const pattern = (slug: string, part: Partial<LibraryPattern> = {}) => ({
  slug,
  name: slug,
  meter: '4/4',
  feel: tune.start.feel,
  feel_words: 'straight',
  tempo: [80, 160],
  school: 'pendulum',
  school_words: 'pendulum',
  difficulty: 1,
  when: 'Any evening.',
  caution: 'Keep it low.',
  counted: '1 2 3 4',
  pattern: { ticks: 3840, streams: [{ name: slug, strokes: [{ at: 960, division: 2 }] }] },
  ...part,
})
const hand = {
  pattern: 'p1',
  runs_on: false,
  grid: 2,
  slots: [],
  sketch: { beats: 4, beats_a_bar: 4, p: 0.5, strokes: [] },
  warnings: [],
  counted: [''],
  same_levels: [],
  habits: [],
}
const onClose = vi.fn()

beforeEach(() => {
  vi.clearAllMocks()
  serve({
    'GET patterns': [
      pattern('Plain'),
      pattern('Lilt', { feel: swung, feel_words: '67 % swing' }),
      pattern('Waltz', { meter: '3/4' }),
      pattern('Plainer'),
    ],
    'POST compute/strokes': hand,
    'POST compute/timeline': timeline,
  })
})

const names = () => [...document.querySelectorAll('.pattern-list button b')].map((each) => each.textContent)

it('shows those in the tune’s feel first, and none of another meter', async () => {
  showOnBench(<PatternLibrary onClose={onClose} />, { document: withStart(tune, { feel: swung }) })
  await screen.findByRole('heading', { name: 'Lilt' })
  expect(names()).toEqual(['Lilt', 'Plain', 'Plainer'])
  expect([...document.querySelectorAll('.pattern-list h3')].map((each) => each.textContent)).toEqual(['67 % swing', 'straight'])
})

it('walks by key and takes one with its feel and its school, as one step', async () => {
  const { store } = showOnBench(<PatternLibrary onClose={onClose} />)
  await screen.findByRole('heading', { name: 'Plain' })
  key('ArrowDown')
  key('ArrowDown')
  await screen.findByRole('heading', { name: 'Lilt' })
  key('Enter')
  expect(store.getState().document).toMatchObject({ start: { feel: swung }, patterns: [{ id: 'p1', streams: [{ name: 'Lilt' }] }] })
  expect(onClose).toHaveBeenCalled()
  store.undo()
  expect(store.getState().document.patterns).toEqual(tune.patterns)
})

it('lets the chosen one be heard on this tune, and gives the band its own part back', async () => {
  const { store } = showOnBench(<PatternLibrary onClose={onClose} />)
  await screen.findByRole('heading', { name: 'Plain' })
  await waitFor(() =>
    expect(callsTo('POST compute/timeline').at(-1)).toMatchObject({ document: { patterns: [{ streams: [{ name: 'Plain' }] }] } }),
  )
  fireEvent.click(await screen.findByRole('button', { name: /Hear it on this tune/ }))
  await waitFor(() => expect(band.start).toHaveBeenCalled())
  fireEvent.click(screen.getByRole('button', { name: /Stop/ }))
  await waitFor(() => expect(band.stop).toHaveBeenCalled())
  expect(vi.mocked(band.setTimeline).mock.calls.at(-1)).toEqual([timeline])
  expect(store.getState().document).toEqual(tune)
})
