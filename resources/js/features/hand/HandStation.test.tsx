import { fireEvent, screen, waitFor } from '@testing-library/react'
import { beforeEach, expect, it, vi } from 'vitest'
import type { BreakdownDocument, Hand } from '../../api/types'
import { callsTo, key, patch, serve, showOnBench, struckAs, timeline, tune } from '../../testing/page'
import HandStation from './HandStation'

vi.mock('../../audio/band', () => import('../../testing/silentBand'))

/** What the core says of a bar of eighths: struck where the document has strokes, air elsewhere. */
function planned(document: BreakdownDocument, warnings: Hand['warnings'] = []): Hand {
  const slots = Array.from({ length: 8 }, (_, slot) => ({
    slot,
    at: slot * 480,
    division: 2,
    beats: slot / 2,
    syllable: slot % 2 === 0 ? String(slot / 2 + 1) : '&',
    on_beat: slot % 2 === 0,
  }))
  const strokes = slots.map(({ slot, at, beats }) => {
    const stroke = document.patterns[0].streams[0].strokes.find((each) => each.at === at)
    return {
      slot,
      at,
      beats,
      direction: slot % 2 === 0 ? ('down' as const) : ('up' as const),
      kind: stroke === undefined ? ('air' as const) : (stroke.articulation ?? 'ring'),
      accent: stroke?.accent ?? 1,
    }
  })
  return {
    pattern: 'p1',
    runs_on: false,
    grid: 2,
    slots,
    sketch: { beats: 4, beats_a_bar: 4, p: 0.5, strokes },
    warnings,
    same_levels: [],
    habits: [
      { zone: 'all', action: 'strum', by: 'pick' },
      { zone: 'bass', action: 'pick', by: 'thumb' },
    ],
    density: strokes.filter((stroke) => stroke.kind !== 'air').length,
    muted_share: 0.25,
    syncopation: 2,
    strokes_a_second: 3.5,
    counted: ['1 & (2) &'],
    advice: { school: document.patterns[0].school, reason: 'A hand that never stops keeps the time.' },
    limit: { easy_to: 240, hard_to: 360, why: 'total' },
    crossings: { count: 0, around: 0 },
  }
}

const server = {
  'GET choices': {
    grooves: [],
    tunings: [],
    kinds: [],
    schools: [
      { slug: 'pendulum', name: 'pendulum' },
      { slug: 'all-down', name: 'all down' },
    ],
  },
  'POST compute/strokes': (body: unknown) => planned((body as { document: BreakdownDocument }).document),
  'POST compute/path': { cost: 0, chords: [], moves: [], loose: [] },
  'POST compute/shape': { document: struckAs({ ticks: 7680 }) },
}

beforeEach(() => serve(server))

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
    ...server,
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
    ...server,
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
  serve({ ...server, 'POST compute/schools': [use('pendulum', []), use('all-down', [480])] })
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

it('takes a pattern as it is counted, and says what it could not read', async () => {
  serve({
    ...server,
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
  serve({ ...server, 'GET patterns': [entry, { ...entry, slug: 'b', name: 'Waltz', meter: '3/4' }] })
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
    ...server,
    'GET choices': {
      ...server['GET choices'],
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

it('divides the beat at the cursor otherwise by W, each time from the strokes there were', async () => {
  let round = 0
  serve({ ...server, 'POST compute/shape': () => ({ document: struckAs({ streams: [{ name: `tried ${++round}`, strokes: [] }] }) }) })
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
