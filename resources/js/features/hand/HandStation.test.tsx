import { fireEvent, screen, waitFor } from '@testing-library/react'
import { beforeEach, expect, it, vi } from 'vitest'
import type { BreakdownDocument } from '../../api/types'
import { callsTo, key, patch, serve, showOnBench, struckAs, tune } from '../../testing/page'
import { handServer, planned } from '../../testing/hand'
import HandStation from './HandStation'

vi.mock('../../audio/band', () => import('../../testing/silentBand'))

beforeEach(() => serve(handServer))

const strokesOf = (document: BreakdownDocument) =>
  document.patterns[0].streams[0].strokes.map((stroke) => [stroke.at, stroke.articulation ?? 'ring', stroke.accent ?? 1])

it('does with one key what a form would ask for', async () => {
  const { store, container } = showOnBench(<HandStation />)
  await waitFor(() => expect(container.querySelectorAll('.slot-mark')).toHaveLength(8))
  for (const [name, expected] of [
    ['ArrowRight', [[0, 'ring', 1]]],
    [
      'c',
      [
        [0, 'ring', 1],
        [480, 'chuck', 1],
      ],
    ],
    [
      'a',
      [
        [0, 'ring', 1],
        [480, 'chuck', 2],
      ],
    ],
    [
      'm',
      [
        [0, 'ring', 1],
        [480, 'palm-mute', 2],
      ],
    ],
    [
      's',
      [
        [0, 'ring', 1],
        [480, 'short', 2],
      ],
    ],
    [
      's',
      [
        [0, 'ring', 1],
        [480, 'ring', 2],
      ],
    ],
    [
      'g',
      [
        [0, 'ring', 1],
        [480, 'ghost', 0],
      ],
    ],
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
  await waitFor(() =>
    expect(store.getState().document.patterns[0].streams[0].strokes[0]).toMatchObject({ direction: 'up', fixed: ['direction'] }),
  )
  await screen.findByText('up, fixed')
  key('u')
  await waitFor(() => expect(store.getState().document.patterns[0].streams[0].strokes[0]).toMatchObject({ direction: null, fixed: [] }))
})

it('says of air which way the hand passes, and what the pattern amounts to', async () => {
  showOnBench(<HandStation />)
  await screen.findByText(/slot 1, counted/)
  key('ArrowRight')
  await screen.findByText('The hand passes up here without touching the strings.')
  expect(screen.getByText('syncopation a bar').nextSibling?.textContent).toBe('2')
  expect(screen.getByText('muted').nextSibling?.textContent).toBe('25 %')
})

it("shows the core's warnings, and asks for strokes where there are none", async () => {
  serve({
    ...handServer,
    'POST compute/strokes': (body: unknown) =>
      planned((body as { document: BreakdownDocument }).document, [
        {
          kind: 'same-direction',
          text: '6.7 strokes a second in one direction.',
          at: [],
          fixes: [{ text: 'Change to the pendulum', change: [patch('patterns', { ...tune.patterns[0], school: 'all-down' }, 'p1')] }],
        },
      ]),
  })
  showOnBench(<HandStation />, { document: struckAs({ ticks: 3840, streams: [{ name: 'strum', strokes: [] }] }) })
  await screen.findByText('6.7 strokes a second in one direction.')
  expect(screen.getByText(/No strokes yet: press X/)).toBeTruthy()
})

it('takes a repair of a warning over with one click', async () => {
  serve({
    ...handServer,
    'POST compute/strokes': (body: unknown) =>
      planned((body as { document: BreakdownDocument }).document, [
        {
          kind: 'same-direction',
          text: 'Too many downs.',
          at: [],
          fixes: [{ text: 'Change to the pendulum', change: [patch('patterns', { ...tune.patterns[0], school: 'alternate' }, 'p1')] }],
        },
      ]),
  })
  const { store } = showOnBench(<HandStation />)
  fireEvent.click(await screen.findByRole('button', { name: 'Change to the pendulum' }))
  expect(store.getState().document.patterns[0].school).toBe('alternate')
})

it('strikes single strings, ends some of them early and names the hand that does it', async () => {
  const { store, container } = showOnBench(<HandStation />)
  await screen.findByText(/slot 1, counted/)
  fireEvent.click(screen.getByText(/More: strings/))
  const row = (name: string) => screen.getByRole('group', { name })
  fireEvent.click(row('Single strings').querySelector('[aria-label="String 6"]') as Element)
  fireEvent.click(row('Single strings').querySelector('[aria-label="String 4"]') as Element)
  fireEvent.click(row('Strings that end early').querySelector('[aria-label="String 6"]') as Element)
  expect(store.getState().document.patterns[0].streams[0].strokes[0]).toMatchObject({
    strings: [6, 4],
    ends: [{ strings: [6], length: { share: 0.3 }, stoppedBy: 'pick-hand' }],
  })
  fireEvent.click(row('Single strings').querySelector('[aria-label="String 6"]') as Element)
  fireEvent.click(row('Single strings').querySelector('[aria-label="String 4"]') as Element)
  expect(store.getState().document.patterns[0].streams[0].strokes[0]).toMatchObject({ zone: 'all' })
  expect(container.textContent).toContain('Sounds for 4.00 of a beat, 2000 ms.')
})

it('lets a student look at every stroke and change none', async () => {
  const { store } = showOnBench(<HandStation />, { mine: false })
  await screen.findByText(/slot 1, counted/)
  key('c')
  expect(strokesOf(store.getState().document)).toEqual([[0, 'ring', 1]])
  expect((screen.getByRole('button', { name: /chuck/ }) as HTMLButtonElement).disabled).toBe(true)
  expect(screen.queryByLabelText('Picking school')).toBeNull()
})

it('pushes a stroke into the next chord, copies its bar and keeps a pattern to compare with, each by a key', async () => {
  const { store, container } = showOnBench(<HandStation />)
  await screen.findByText(/slot 1, counted/)
  key('p')
  expect(store.getState().document.patterns[0].streams[0].strokes[0]?.chord).toBe('next')
  key('=')
  await waitFor(() => expect(container.querySelector('.figures.compared')).toBeTruthy())
  key('b')
  await waitFor(() => expect(callsTo('POST compute/shape')[0]).toMatchObject({ bars: 2 }))
})

it('switches the level of what is drawn and heard by 1, 2 and 3', async () => {
  const { setLevel } = showOnBench(<HandStation />)
  await screen.findByText(/slot 1, counted/)
  key('1')
  key('3')
  expect(setLevel.mock.calls).toEqual([[1], [3]])
})

it('divides the beat at the cursor otherwise by W, each time from the strokes there were', async () => {
  let round = 0
  serve({ ...handServer, 'POST compute/shape': () => ({ document: struckAs({ streams: [{ name: `tried ${++round}`, strokes: [] }] }) }) })
  const { store } = showOnBench(<HandStation />)
  await screen.findByText(/slot 1, counted/)
  for (const tried of [1, 2]) {
    key('w')
    await waitFor(() => expect(store.getState().document.patterns[0].streams[0].name).toBe(`tried ${tried}`))
    await waitFor(() =>
      expect(callsTo('POST compute/strokes').at(-1)).toMatchObject({
        beat: 0,
        division: 3,
        document: { patterns: [{ streams: [{ name: `tried ${tried}` }] }] },
      }),
    )
  }
  expect(callsTo('POST compute/shape')).toMatchObject([1, 2].map(() => ({ beat: 0, division: 3, document: { patterns: tune.patterns } })))
})

it('works at the strokes of a figure that is played here, and leaves its notes and the pattern alone', async () => {
  const figure = {
    id: 'f1',
    name: 'knock',
    meter: '4/4' as const,
    relativeTo: 'chord' as const,
    over: 'Dm',
    key: 'D minor',
    ticks: 3840,
    streams: [{ name: 'figure', strokes: [{ at: 0, division: 2 as const, notes: [{ string: 3, fret: 2 }] }] }],
  }
  const document = {
    ...tune,
    figures: [figure],
    placed: [{ what: 'f1', at: { section: tune.sections[0].id, ending: null, bar: 0, tick: 0 } }],
  } as unknown as BreakdownDocument
  const { store, container } = showOnBench(<HandStation />, { document })
  await waitFor(() => expect(container.querySelectorAll('.slot-mark')).toHaveLength(8))
  fireEvent.click(screen.getByText('knock'))
  await waitFor(() => expect(callsTo('POST compute/strokes').at(-1)).toMatchObject({ strokes_of: 'f1' }))
  await waitFor(() => expect(container.querySelectorAll('.slot-mark')).toHaveLength(8))
  key('c')
  expect(store.getState().document.figures?.[0]?.streams[0].strokes).toMatchObject([
    { at: 0, division: 2, notes: [{ string: 3, fret: 2 }], articulation: 'chuck' },
  ])
  expect(store.getState().document.patterns).toEqual(document.patterns)
  expect(screen.queryByText('Schools')).toBeNull()
})
