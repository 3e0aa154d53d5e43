import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { expect, it, vi } from 'vitest'
import type { BreakdownDocument, Chart, Timeline } from '../../../api/types'
import { band } from '../../../audio/band'
import { callsTo, key, serve, showOnBench, timedBar, timeline, tune } from '../../../testing/page'
import ChartStation from '../ChartStation'

vi.mock('../../../audio/band', () => import('../../../testing/silentBand'))

const bar = (written: number, number: number, symbol: string) => ({
  written,
  number,
  repeated: false,
  chords: [
    {
      at: 0,
      beats: 4,
      typed: symbol,
      symbol,
      root: symbol[0] ?? '',
      ending: symbol.slice(1),
      numeral: 'I',
      plain_numeral: 'I',
      shape: null,
      approach: null,
    },
  ],
})
/** Two bars, of which the second has two endings: the last pass takes the second of them. */
const chart: Chart = {
  sections: [
    {
      id: 's1',
      name: 'A',
      beats: 4,
      times: 1,
      bars: [bar(0, 1, 'Dm')],
      problems: [],
      endings: [
        { times: [1], passes: [], bars: [bar(1, 2, 'A7')], problems: [] },
        { times: [], passes: ['2'], bars: [bar(2, 2, 'Dm')], problems: [] },
      ],
    },
  ],
}
const song: BreakdownDocument = {
  ...tune,
  sections: [
    {
      id: 's1',
      name: 'A',
      line: '| Dm |',
      endings: [
        { times: [1], line: '| A7 |' },
        { times: [], passes: ['2'], line: '| Dm |' },
      ],
    },
  ],
  passes: [
    { id: '1', name: '', notes: '', cells: [{ part: 'guitar', section: 's1', bars: [0], note: 'under the voice' }] },
    { id: '2', name: 'Last', notes: 'grow', lead: 'everybody', cells: [] },
  ],
}
const plays: Timeline = {
  ...timeline,
  seconds: 8,
  bars: [
    timedBar(0),
    { ...timedBar(1), texture: 'rings' },
    { ...timedBar(2), written: 0, pass: '2' },
    { ...timedBar(3), written: 2, pass: '2', pattern: null },
  ],
  passes: [
    { id: '1', differs: '', hand: [5, 7] },
    { id: '2', differs: 'As the 1st, but bar 2 out.', hand: [5, 7] },
  ],
}
const onChart = (answers = {}) => {
  serve({ 'POST compute/chart': chart, ...answers })
  return showOnBench(<ChartStation />, { document: song, plays })
}

it('shows under the bars what each pass makes of them, with the ending it takes', async () => {
  onChart()
  expect(await screen.findByRole('button', { name: '1st, bar 1: the pattern' })).toBeTruthy()
  expect(screen.getByRole('button', { name: '1st, bar 2: rings only' })).toBeTruthy()
  expect(screen.getByRole('button', { name: 'Last, bar 2: out' })).toBeTruthy()
  expect(screen.getByText('under the voice')).toBeTruthy()
  expect(screen.getAllByRole('button', { name: /in every pass/ })).toHaveLength(2)
  expect([...document.querySelectorAll('.pass-end b')].map((each) => each.textContent)).toEqual(['1st', '2nd'])
})

it('sets bars by one key, asks for nothing but the difference, and says what is different', async () => {
  const { store } = onChart({ 'POST compute/cell': (body: { document: unknown }) => ({ document: body.document }) })
  fireEvent.click(await screen.findByRole('button', { name: 'Last, bar 1: the pattern' }))
  expect(screen.getByText('As the 1st, but bar 2 out.')).toBeTruthy()
  key('r')
  await waitFor(() => expect(callsTo('POST compute/cell')).toHaveLength(1))
  fireEvent.keyDown(window, { key: 'ArrowRight', shiftKey: true })
  key('1')
  await waitFor(() => expect(callsTo('POST compute/cell')).toHaveLength(2))
  expect(callsTo('POST compute/cell').map((each) => ({ ...(each as object), document: null }))).toEqual([
    { document: null, pass: '2', section: 's1', bars: [0], texture: 'rings', role: 'active' },
    // All its bars are the section: they are not counted up.
    { document: null, pass: '2', section: 's1', bars: null, level: 1 },
  ])
  fireEvent.change(screen.getByLabelText('Who leads'), { target: { value: 'brass' } })
  expect(store.getState().document.passes[1]?.lead).toBe('brass')
  key('Escape')
  await waitFor(() => expect(screen.queryByLabelText('Who leads')).toBeNull())
})

it('hears one pass over and over, adds one, and lets a bar of the song have words and a loudness', async () => {
  const { store } = onChart({ 'POST compute/add-pass': (body: { document: unknown }) => ({ document: body.document }) })
  fireEvent.click(await screen.findByRole('button', { name: 'Hear the 2nd' }))
  expect(vi.mocked(band.set).mock.calls.at(-1)).toEqual([{ loop: [2, 3], turns: null }])
  fireEvent.click(screen.getByRole('button', { name: 'Last, bar 1: the pattern' }))
  fireEvent.mouseDown(await screen.findByRole('combobox', { name: 'Hear by turns with' }))
  fireEvent.click(await screen.findByTitle('the 1st'))
  expect(vi.mocked(band.set).mock.calls.at(-1)).toEqual([{ loop: [2, 3], turns: [0, 1] }])
  key('Escape')
  fireEvent.click(await screen.findByText('Add a pass'))
  await waitFor(() => expect(callsTo('POST compute/add-pass')).toMatchObject([{ like: null }]))
  fireEvent.click(screen.getByRole('button', { name: 'Bar 2 in every pass' }))
  const words = await screen.findByLabelText('Words sung from here')
  fireEvent.change(words, { target: { value: 'the tide' } })
  fireEvent.blur(words)
  fireEvent.click(within(screen.getByRole('group', { name: 'How loud from here' })).getByText('hush'))
  expect(store.getState().document.sections[0]).toMatchObject({ words: [{ bar: 1, text: 'the tide' }], dynamics: [{ bar: 1, level: 1 }] })
})

const laid = {
  typed: ['1 & 2 & 3 & 4 &'],
  over: 'A7',
  strings: 6,
  near: 5,
  hands: [5, 9],
  missing: 0,
  bars: 1,
  holds: true,
  free: [3, 4],
  rooms: ['beat 3'],
  steps: [
    {
      stream: 0,
      tick: 0,
      beats: 0,
      notes: [{ string: 3, fret: 6, midi: 61, degree: '3', note: 3, tab: '6', fixed: false, way: 'by-letting-go', fingers: [] }],
    },
    { stream: 0, tick: 960, beats: 1, notes: [] },
  ],
}

it('writes a figure where the cursor stands: typed or pressed, seen at once, kept for this pass', async () => {
  onChart({
    'POST compute/figure': (body: { typed: string[] }) =>
      body.typed.some((line) => line.includes('9:')) ? [422, { message: '"9:1" is no note of a figure.', errors: {}, at: 2 }] : laid,
    'POST compute/keep-figure': (body: { document: unknown }) => ({ document: body.document }),
  })
  fireEvent.click(await screen.findByRole('button', { name: '1st, bar 2: rings only' }))
  key('i')
  expect(await screen.findByRole('button', { name: 'fret 6 on string 3' })).toBeTruthy()
  expect(screen.getByText(/While the grip of A7 is held, fingers 3 and 4 are free/).textContent).toContain('let it go for 3:6')
  expect(screen.getByText(/rests for a beat and more from beat 3/)).toBeTruthy()
  const line = screen.getByLabelText<HTMLInputElement>('Notes as they are counted')
  expect(line.value).toBe('1 & 2 & 3 & 4 &')
  fireEvent.change(line, { target: { value: '1=9:1' } })
  expect((await screen.findByRole('alert')).textContent).toContain('no note of a figure')
  fireEvent.change(line, { target: { value: '1=3:6 & 2' } })
  await waitFor(() => expect(screen.queryByRole('alert')).toBeNull())
  fireEvent.click(document.querySelector('.press-place') as Element)
  expect(line.value).toBe('1=3:6 &=6:0 2')
  fireEvent.click(screen.getByText('fret 9'))
  fireEvent.click(screen.getByText('Keep it here'))
  await waitFor(() => expect(callsTo('POST compute/keep-figure')).toHaveLength(1))
  expect(callsTo('POST compute/keep-figure')[0]).toMatchObject({
    typed: ['1=3:6 &=6:0 2'],
    pass: '1',
    passes: ['1'],
    section: 's1',
    ending: 0,
    bar: 0,
    near: 9,
    instead: true,
  })
  await waitFor(() => expect(screen.queryByLabelText('Notes as they are counted')).toBeNull())
})

it('fixes the chosen note where the neck is pressed, hands it over, and asks for chords in the gaps', async () => {
  onChart({
    'POST compute/figure': (body: object) => ('punctuate' in body ? { ...laid, typed: ['1=3:6', '(1) &.'] } : laid),
    'POST compute/keep-figure': (body: { document: unknown }) => ({ document: body.document }),
  })
  fireEvent.click(await screen.findByRole('button', { name: '1st, bar 2: rings only' }))
  key('i')
  await screen.findByRole('button', { name: 'fret 6 on string 3' })
  fireEvent.click(screen.getByText('Chords where it rests'))
  expect((await screen.findByLabelText<HTMLInputElement>('Line 2 as it is counted')).value).toBe('(1) &.')
  key('ArrowRight')
  await screen.findByRole('button', { name: 'fret 6 on string 3', pressed: true })
  fireEvent.click(document.querySelector('.press-place') as Element)
  key('x')
  await waitFor(() => expect(callsTo('POST compute/figure').at(-1)).toMatchObject({ exchange: { from: 0, until: 1 } }))
  fireEvent.click(screen.getByText('Keep it here'))
  await waitFor(() =>
    expect(callsTo('POST compute/keep-figure')[0]).toMatchObject({ fixed: [{ stream: 0, tick: 0, note: 3, string: 6, fret: 0 }] }),
  )
})

it('shows a pass for the music stand, turns by foot, and goes back by Escape', async () => {
  onChart()
  await screen.findByRole('button', { name: '1st, bar 1: the pattern' })
  key('s')
  const stand = await screen.findByRole('dialog', { name: 'Stand view' })
  expect([...stand.querySelectorAll('.stand-chords')].map((each) => each.textContent)).toEqual(['Dm', 'A7'])
  expect(stand.textContent).toContain('then everybody · grow')
  key('PageDown')
  await waitFor(() => expect([...stand.querySelectorAll('.stand-chords')].map((each) => each.textContent)).toEqual(['Dm', 'Dm']))
  expect(stand.querySelectorAll('.stand-number')[1]?.textContent).toBe('2out')
  fireEvent.click(within(stand).getByText('numerals'))
  expect(stand.querySelector('.stand-numeral')?.textContent).toBe('I')
  key('Escape')
  await waitFor(() => expect(screen.queryByRole('dialog', { name: 'Stand view' })).toBeNull())
})

it('types how a section ends, and when', async () => {
  const { store } = onChart({ 'POST compute/without-ending': (body: { document: unknown }) => ({ document: body.document }) })
  fireEvent.click(await screen.findByText('Type the lines'))
  fireEvent.change(await screen.findByLabelText('2nd ending'), { target: { value: '| Dm6 |' } })
  expect(store.getState().document.sections[0].endings?.[1]).toEqual({ times: [], passes: ['2'], line: '| Dm6 |' })
  fireEvent.click(screen.getByRole('button', { name: 'Take out the 1st ending of section A' }))
  await waitFor(() => expect(callsTo('POST compute/without-ending')).toMatchObject([{ section: 's1', ending: 0 }]))
})

it('lays down the way through the song, and fits what the core offers into a section', async () => {
  const { store } = onChart({
    'GET starts?key=D+minor': { blank: tune, forms: [], profiles: [] },
    'POST compute/forms': {
      turnarounds: [
        {
          slug: 'falling',
          name: 'Falling',
          why: 'sevenths fall',
          back: '| D7 | A7 |',
          home: '| A7 | D6 |',
          coloured_back: '| D9 | A7 |',
          coloured_home: null,
        },
      ],
      figures: [{ slug: 'sixths', name: 'Sixths down', why: 'two voices', bars: 2 }],
      ladders: [
        {
          name: 'half tones',
          line: '| F E | E♭ D |',
          rungs: [
            { symbol: 'F', other: true },
            { symbol: 'D', other: false },
          ],
        },
      ],
    },
    'POST compute/fit-turnaround': (body: { document: unknown }) => ({ document: body.document }),
    'POST compute/fit-figure': (body: { document: unknown }) => ({ document: body.document }),
    'POST compute/add-section': (body: { document: unknown }) => ({ document: body.document }),
  })
  await screen.findByRole('button', { name: '1st, bar 1: the pattern' })
  key('l')
  fireEvent.click(await screen.findByText('| D9 | A7 |'))
  await waitFor(() =>
    expect(callsTo('POST compute/fit-turnaround')).toMatchObject([{ section: 's1', slug: 'falling', home: false, coloured: true }]),
  )
  fireEvent.click(screen.getByText('home (I)'))
  expect(await screen.findByText('| A7 | D6 |')).toBeTruthy()
  fireEvent.click(screen.getByText('play it in the last 2 bars'))
  await waitFor(() => expect(callsTo('POST compute/fit-figure')).toMatchObject([{ section: 's1', slug: 'sixths', pass: null }]))
  fireEvent.click(screen.getByText('As the intro'))
  await waitFor(() => expect(callsTo('POST compute/add-section')).toMatchObject([{ typed: '| F E | E♭ D |', name: 'Intro', intro: true }]))
  fireEvent.mouseDown(screen.getByLabelText('Play one more section').closest('.ant-select') as Element)
  fireEvent.click((await screen.findAllByTitle('A')).find((each) => each.classList.contains('ant-select-item-option')) as Element)
  await waitFor(() => expect(store.getState().document.form).toHaveLength(2))
  fireEvent.click(screen.getAllByLabelText('Take A out of the way through')[1] as Element)
  expect(store.getState().document.form).toHaveLength(1)
})

it('lays a move over the chosen bars by its key and number', async () => {
  const moves = [
    { slug: 'push', words: 'push', why: '' },
    { slug: 'muted-fill', words: 'muted fill', why: '' },
  ]
  const same = (body: { document: unknown }) => ({ document: body.document })
  onChart({ 'GET choices': { moves }, 'POST compute/lay-move': same, 'POST compute/cell': same })
  fireEvent.click(await screen.findByRole('button', { name: 'Last, bar 1: the pattern' }))
  await screen.findByRole('button', { name: 'muted fill' })
  key('m')
  await within(screen.getByRole('group', { name: 'Moves' })).findByText('2')
  key('2')
  await waitFor(() => expect(callsTo('POST compute/lay-move')).toHaveLength(1))
  expect(callsTo('POST compute/lay-move')[0]).toMatchObject({ pass: '2', section: 's1', ending: null, bar: 0, move: 'muted-fill' })
  // The numbers are levels again.
  key('2')
  await waitFor(() => expect(callsTo('POST compute/cell')).toHaveLength(1))
})

it('records what a bar plays under a name, and plays it over other bars', async () => {
  const same = (body: { document: unknown }) => ({ document: body.document })
  let kept = [{ id: 'm0', name: 'High wave', meter: '4/4' }]
  onChart({
    'GET choices': { moves: [] },
    'GET moves': () => [200, kept],
    'POST moves': () => [200, (kept = [...kept, { id: 'm1', name: 'Low wave', meter: '4/4' }])[1]],
    'POST moves/m1/play': same,
  })
  fireEvent.click(await screen.findByRole('button', { name: 'Last, bar 1: the pattern' }))
  await screen.findByRole('button', { name: 'High wave' })
  fireEvent.click(screen.getByText('Record this bar …'))
  const named = screen.getByLabelText('Name of the move')
  fireEvent.change(named, { target: { value: 'Low wave' } })
  fireEvent.keyDown(named, { key: 'Enter' })
  fireEvent.click(await screen.findByRole('button', { name: 'Low wave' }))
  await waitFor(() => expect(callsTo('POST moves/m1/play')).toHaveLength(1))
  expect(callsTo('POST moves')[0]).toMatchObject({ pass: '2', section: 's1', bar: 0, name: 'Low wave' })
  expect(screen.queryByLabelText('Name of the move')).toBeNull()
})

it('jumps to a bar by its number, and says where there is none', async () => {
  onChart()
  await screen.findByText('under the voice')
  key('j')
  const asked = await screen.findByLabelText('Jump to bar')
  fireEvent.change(asked, { target: { value: '9' } })
  fireEvent.keyDown(asked, { key: 'Enter' })
  fireEvent.keyUp(asked, { key: 'Enter' })
  await screen.findByText('There is no bar 9.')
  fireEvent.change(asked, { target: { value: '2' } })
  fireEvent.keyDown(asked, { key: 'Enter' })
  await waitFor(() => expect(within(screen.getByLabelText('The 1st pass')).getByText('bar 2')).toBeTruthy())
  expect(screen.queryByLabelText('Jump to bar')).toBeNull()
})
