import { fireEvent, screen, waitFor } from '@testing-library/react'
import { beforeEach, expect, it, vi } from 'vitest'
import type { BreakdownDocument } from '../../api/types'
import { callsTo, key, serve, showOnBench, struckAs, timeline, tune } from '../../testing/page'
import { handServer, planned } from '../../testing/hand'
import HandStation from './HandStation'

vi.mock('../../audio/band', () => import('../../testing/silentBand'))

beforeEach(() => serve(handServer))

it('shows the schools one under the other by K and takes the framed one with Enter', async () => {
  const use = (school: string, differs: number[]) => ({
    school,
    name: school,
    sketch: planned(tune).sketch,
    differs,
    crossings: { count: 4, around: 3 },
    limit: { easy_to: 120, hard_to: 180, why: 'total' },
    faults: [],
  })
  serve({ ...handServer, 'POST compute/schools': [use('pendulum', []), use('all-down', [480])] })
  const { store, container } = showOnBench(<HandStation />)
  await screen.findByText(/slot 1, counted/)
  key('k')
  await screen.findByText('1 the other way')
  expect(container.querySelectorAll('.school-sheet .differs-mark')).toHaveLength(1)
  expect(screen.getAllByText(/3 of 8 the long way/)).toHaveLength(2)
  key('ArrowDown')
  await waitFor(() => expect(screen.getByRole('option', { selected: true }).textContent).toContain('all-down'))
  key('Enter')
  expect(store.getState().document.patterns[0].school).toBe('all-down')
})

it('asks the core to hand a beat from line to line by H, where there are two', async () => {
  const two = struckAs({
    ticks: 3840,
    streams: [
      {
        name: 'strum',
        strokes: [
          { at: 0, division: 3, zone: 'high' },
          { at: 320, division: 3, zone: 'high' },
        ],
      },
      { name: 'bass', strokes: [{ at: 0, division: 1, zone: 'bass' }] },
    ],
  }) as unknown as BreakdownDocument
  const { store } = showOnBench(<HandStation />, { document: two })
  await screen.findByText(/slot 1, counted/)
  key('h')
  await waitFor(() => expect(callsTo('POST compute/shape')).toMatchObject([{ exchange_beat: 0 }]))
  await waitFor(() => expect(store.getState().document.patterns[0].ticks).toBe(7680))
})

it('asks the core to lay the pattern out anew, and takes what it gives as one step', async () => {
  const { store } = showOnBench(<HandStation />)
  await screen.findByText(/slot 1, counted/)
  fireEvent.click(screen.getByText('Arrange …'))
  await screen.findByLabelText('Bars')
  fireEvent.click(document.querySelector('[aria-label=Bars] label:nth-child(2) input') as Element)
  await waitFor(() => expect(store.getState().document.patterns[0].ticks).toBe(7680))
  expect(callsTo('POST compute/shape')[0]).toMatchObject({ bars: 2 })
  store.undo()
  expect(store.getState().document.patterns[0].ticks).toBe(3840)
})

it('takes a pattern as it is counted, and says what it could not read', async () => {
  serve({
    ...handServer,
    'POST compute/shape': (body: unknown) =>
      (body as { counted: string }).counted === '1 and'
        ? [422, { message: '"and" is not counted here.' }]
        : { document: struckAs({ ticks: 7680 }) },
  })
  const { store } = showOnBench(<HandStation />)
  const field = await screen.findByLabelText('Pattern as it is counted')
  fireEvent.change(field, { target: { value: '1 and' } })
  fireEvent.keyDown(field, { key: 'Enter' })
  expect((await screen.findByRole('alert')).textContent).toContain('"and" is not counted')
  expect(store.getState().document).toEqual(tune)
  fireEvent.keyUp(field, { key: 'Enter' })
  fireEvent.change(field, { target: { value: '1 & 2 & | 1 2' } })
  fireEvent.keyDown(field, { key: 'Enter' })
  await waitFor(() => expect(store.getState().document.patterns[0].ticks).toBe(7680))
})

it('offers the library’s patterns in this meter and takes one over with its school and feel', async () => {
  const entry = {
    slug: 'a',
    name: 'Half-time',
    meter: '4/4',
    feel: { mode: 'fixed', ratio: 2, unit: 'eighth' },
    feel_words: '67 % swing',
    tempo: [60, 120],
    school: 'all-down',
    school_words: 'all down',
    difficulty: 1,
    when: 'Under a voice.',
    caution: 'Keep rocking.',
    counted: '1 (2) 3 (4)',
    pattern: { ticks: 3840, streams: tune.patterns[0].streams },
  }
  serve({ ...handServer, 'GET patterns': [entry, { ...entry, slug: 'b', name: 'Waltz', meter: '3/4' }] })
  const { store } = showOnBench(<HandStation />)
  await screen.findByText(/slot 1, counted/)
  key('l')
  await screen.findByText('Under a voice.')
  expect(screen.queryByText('Waltz')).toBeNull()
  key('Enter')
  expect(store.getState().document).toMatchObject({ start: { feel: { ratio: 2 } }, patterns: [{ school: 'all-down' }] })
})

it('gives a stroke an ornament with its usual frets, and says what the grips cannot take', async () => {
  serve({
    ...handServer,
    'GET choices': {
      ...handServer['GET choices'],
      ornaments: [
        { kind: 'slide-in', usual_frets: -1 },
        { kind: 'hammer-on', usual_frets: -2 },
      ],
    },
  })
  const { store } = showOnBench(<HandStation />, {
    plays: {
      ...timeline,
      warnings: [{ kind: 'below-the-nut', text: 'The stroke on beat 1 slides below the nut on Am.', at: [0], fixes: [] }],
    },
  })
  await screen.findByText('The stroke on beat 1 slides below the nut on Am.')
  fireEvent.mouseDown(await screen.findByLabelText('Ornament'))
  fireEvent.click(await screen.findByText('hammer on'))
  expect(store.getState().document.patterns[0].streams[0].strokes[0]?.ornament).toEqual({ kind: 'hammer-on', frets: -2 })
})
