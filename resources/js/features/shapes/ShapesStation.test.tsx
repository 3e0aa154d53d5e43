import { fireEvent, screen, waitFor } from '@testing-library/react'
import { beforeEach, expect, it, vi } from 'vitest'
import type { VoicedChord } from '../../api/types'
import { output } from '../../audio/band'
import { gripFrets, heldAs, key, placeOf, serve, showOnBench, tune, voicing } from '../../testing/page'
import ShapesStation from './ShapesStation'

vi.mock('../../audio/band', () => import('../../testing/silentBand'))

const inUse = voicing([null, 5, 7, 7, 6, 5])
const other = voicing([null, null, 0, 2, 3, 1])
const far = voicing([10, 12, 12, 10, 10, 10])
const voiced = (symbol: string, bar: number, part: Partial<VoicedChord> = {}): VoicedChord => ({
  symbol,
  numeral: 'i',
  shape: null,
  place: placeOf(bar),
  form_bar: bar,
  beat: 1,
  beats: 4,
  pinned: false,
  nickname: '',
  linked: false,
  follows: false,
  walk: null,
  voicing: inUse,
  ...part,
})

beforeEach(() =>
  serve({
    'POST compute/path': {
      cost: 1,
      travel: { frets: 0, held: 5 },
      without_open_root: [],
      chords: [voiced('Dm', 0), voiced('A7', 1)],
      moves: [{ frets: 0, held: 5, top: 0 }],
      loose: [{ at: placeOf(3), symbol: 'Gm', frets: inUse.frets }],
    },
    'POST compute/voicings': { symbol: 'Dm', count: 31, voicings: [inUse, other, far] },
  }),
)

it('walks the grips of a chord by arrow keys, sounds each, and pins with Enter', async () => {
  const { container, store } = showOnBench(<ShapesStation />)
  await waitFor(() => expect(container.querySelectorAll('.candidate')).toHaveLength(3))
  key('ArrowRight')
  await waitFor(() => expect(container.querySelector('.candidate.chosen')?.textContent).toContain('x x 0 2 3 1'))
  await waitFor(() => expect(output.play).toHaveBeenCalledTimes(4))
  expect(store.getState().document.lines[0].pins).toEqual([])
  key('Enter')
  expect(store.getState().document.lines[0].pins).toEqual([{ at: placeOf(0), symbol: 'Dm', frets: other.frets }])
})

it('goes through the chords of the line and starts each with the grip in use', async () => {
  const { container } = showOnBench(<ShapesStation />)
  await waitFor(() => expect(container.querySelectorAll('.candidate')).toHaveLength(3))
  key('ArrowRight')
  key('ArrowDown')
  await waitFor(() => expect(container.querySelector('.sheet.chosen')?.textContent).toContain('A7'))
  await waitFor(() => expect(container.querySelector('.candidate.chosen')?.textContent).toContain('x 5 7 7 6 5'))
})

it('lets a pin go, and says which pins wait for a chord that is gone', async () => {
  const pinned = heldAs({ pins: [{ at: placeOf(0), symbol: 'Dm', frets: gripFrets }] })
  const { store } = showOnBench(<ShapesStation />, { document: pinned })
  await screen.findByText(/1 pinned grip waits for a chord/)
  key('Delete')
  expect(store.getState().document.lines[0].pins).toEqual([])
})

it('says why there is no grip', async () => {
  serve({ 'POST compute/path': [422, { message: 'No grip for C13 fits. Allow more strings or frets.' }] })
  showOnBench(<ShapesStation />)
  expect((await screen.findByRole('alert')).textContent).toContain('No grip for C13 fits')
})

it('pins nothing for a student, who may still look and listen', async () => {
  const { container, store } = showOnBench(<ShapesStation />, { mine: false })
  await waitFor(() => expect(container.querySelectorAll('.candidate')).toHaveLength(3))
  key('Enter')
  expect(store.getState().document.lines[0].pins).toEqual([])
  expect(screen.queryByText(/Pin this grip/)).toBeNull()
  expect(screen.getByText('Hear')).toBeTruthy()
})

it('shows where a capo opens the grips, puts it there, and says which pins had to go', async () => {
  const choice = (capo: number, shape_key: string, shape: string) => ({
    capo,
    shape_key,
    open_grips: 1,
    shapes: [{ sounding: 'Dm', shape }],
  })
  serve({
    'POST compute/path': { cost: 1, travel: { frets: 0, held: 0 }, without_open_root: [], chords: [voiced('Dm', 0)], moves: [], loose: [] },
    'POST compute/voicings': { symbol: 'Dm', count: 1, voicings: [inUse] },
    'GET choices': { grooves: [], tunings: [] },
    'POST compute/strings-plan': {
      retune: [{ string: 6, from: 'E2', to: 'D2', midi: 38, semitones: -2, needed: true, caution: null }],
      capo: [choice(5, 'A minor', 'Am'), choice(0, 'D minor', 'Dm')],
    },
    'POST compute/capo': (body: unknown) => ({
      document: { ...tune, guitar: { ...tune.guitar, capo: (body as { capo: number }).capo } },
      dropped: [{ symbol: 'Dm' }],
    }),
  })
  const { store } = showOnBench(<ShapesStation />)
  await screen.findByText(/Pin this grip/)
  key('c')
  fireEvent.click(await screen.findByLabelText('Hear D2 for string 6'))
  await waitFor(() => expect(output.play).toHaveBeenCalledWith(expect.objectContaining({ pitch: 38 }), expect.anything()))
  expect(screen.getByText('2 semitones down')).toBeTruthy()
  expect(screen.queryByRole('button', { name: 'D minor' })).toBeNull()
  fireEvent.click(screen.getByRole('button', { name: 'A minor' }))
  await screen.findByText(/Let go of Dm/)
  expect(store.getState().document.guitar.capo).toBe(5)
})
