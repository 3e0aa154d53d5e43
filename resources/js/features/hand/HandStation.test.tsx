import { fireEvent, screen, waitFor } from '@testing-library/react'
import { beforeEach, expect, it, vi } from 'vitest'
import type { BreakdownDocument, Hand } from '../../api/types'
import { callsTo, key, serve, showOnBench, tune } from '../../testing/page'
import HandStation from './HandStation'

vi.mock('../../audio/band', () => import('../../testing/silentBand'))

/** What the core says of a bar of eighths: struck where the document has strokes, air elsewhere. */
function planned(document: BreakdownDocument, warnings: Hand['warnings'] = []): Hand {
  const slots = Array.from({ length: 8 }, (_, slot) => ({ slot, at: slot * 480, beats: slot / 2, syllable: slot % 2 === 0 ? String(slot / 2 + 1) : '&', on_beat: slot % 2 === 0 }))
  const strokes = slots.map(({ slot, at, beats }) => {
    const stroke = document.pattern.streams[0].strokes.find((each) => each.at === at)
    return { slot, at, beats, direction: slot % 2 === 0 ? ('down' as const) : ('up' as const), kind: stroke === undefined ? ('air' as const) : (stroke.articulation ?? 'ring'), accent: stroke?.accent ?? 1 }
  })
  return { grid: 2, slots, sketch: { beats: 4, beats_a_bar: 4, p: 0.5, strokes }, warnings, density: strokes.filter((stroke) => stroke.kind !== 'air').length, muted_share: 0.25, syncopation: 2, strokes_a_second: 3.5, counted: '1 & (2) &', advice: { school: document.school, reason: 'A hand that never stops keeps the time.' }, limit: { easy_to: 240, hard_to: 360, why: 'total' }, crossings: { count: 0, around: 0 } }
}

const server = {
  'GET choices': { grooves: [], tunings: [], kinds: [], schools: [{ slug: 'pendulum', name: 'pendulum' }, { slug: 'all-down', name: 'all down' }] },
  'POST compute/strokes': (body: unknown) => planned((body as { document: BreakdownDocument }).document),
  'POST compute/path': { cost: 0, chords: [], moves: [], loose: [] },
  'POST compute/shape': { document: { ...tune, pattern: { ...tune.pattern, ticks: 7680 } } },
}

beforeEach(() => serve(server))

const strokesOf = (document: BreakdownDocument) => document.pattern.streams[0].strokes.map((stroke) => [stroke.at, stroke.articulation ?? 'ring', stroke.accent ?? 1])

it('does with one key what a form would ask for', async () => {
  const { store, container } = showOnBench(<HandStation />)
  await waitFor(() => expect(container.querySelectorAll('.slot-mark')).toHaveLength(8))
  for (const [name, expected] of [
    ['ArrowRight', [[0, 'ring', 1]]],
    ['c', [[0, 'ring', 1], [480, 'chuck', 1]]],
    ['a', [[0, 'ring', 1], [480, 'chuck', 2]]],
    ['m', [[0, 'ring', 1], [480, 'palm-mute', 2]]],
    ['s', [[0, 'ring', 1], [480, 'short', 2]]],
    ['s', [[0, 'ring', 1], [480, 'ring', 2]]],
    ['g', [[0, 'ring', 1], [480, 'ghost', 0]]],
    ['.', [[0, 'ring', 1]]],
    ['ArrowLeft', [[0, 'ring', 1]]],
    ['Delete', []],
    ['x', [[0, 'ring', 1]]],
  ] as const) {
    key(name)
    await waitFor(() => expect(strokesOf(store.getState().document)).toEqual(expected))
    await waitFor(() => expect(container.querySelectorAll('.blade')).toHaveLength(8))
  }
})

it('fixes a direction by key, shows that it is fixed, and gives it back', async () => {
  const { store } = showOnBench(<HandStation />)
  await screen.findByText(/slot 1, counted/)
  key('u')
  await waitFor(() => expect(store.getState().document.pattern.streams[0].strokes[0]).toMatchObject({ direction: 'up', fixed: ['direction'] }))
  await screen.findByText('up, fixed')
  key('u')
  await waitFor(() => expect(store.getState().document.pattern.streams[0].strokes[0]).toMatchObject({ direction: null, fixed: [] }))
})

it('says of air which way the hand passes, and what the pattern amounts to', async () => {
  showOnBench(<HandStation />)
  await screen.findByText(/slot 1, counted/)
  key('ArrowRight')
  await screen.findByText('The hand passes up here without touching the strings.')
  expect(screen.getByText('syncopation a bar').nextSibling?.textContent).toBe('2')
  expect(screen.getByText('muted').nextSibling?.textContent).toBe('25 %')
})

it('shows the core\'s warnings, and asks for strokes where there are none', async () => {
  serve({ ...server, 'POST compute/strokes': (body: unknown) => planned((body as { document: BreakdownDocument }).document, [{ kind: 'same-direction', text: '6.7 strokes a second in one direction.', at: [] }]) })
  showOnBench(<HandStation />, { document: { ...tune, pattern: { ticks: 3840, streams: [{ name: 'strum', strokes: [] }] } } })
  await screen.findByText('6.7 strokes a second in one direction.')
  expect(screen.getByText(/No strokes yet: press X/)).toBeTruthy()
})

it('asks the core to lay the pattern out anew, and takes what it gives as one step', async () => {
  const { store, container } = showOnBench(<HandStation />)
  await screen.findByText(/slot 1, counted/)
  fireEvent.click(container.querySelector('[aria-label=Bars] label:nth-child(2) input') as Element)
  await waitFor(() => expect(store.getState().document.pattern.ticks).toBe(7680))
  expect(callsTo('POST compute/shape')[0]).toMatchObject({ bars: 2 })
  store.undo()
  expect(store.getState().document.pattern.ticks).toBe(3840)
})

it('lets a student look at every stroke and change none', async () => {
  const { store } = showOnBench(<HandStation />, { mine: false })
  await screen.findByText(/slot 1, counted/)
  key('c')
  expect(strokesOf(store.getState().document)).toEqual([[0, 'ring', 1]])
  expect((screen.getByRole('button', { name: /chuck/ }) as HTMLButtonElement).disabled).toBe(true)
  expect(screen.queryByText('Pendulum')).toBeNull()
})
