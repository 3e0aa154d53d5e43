import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { beforeEach, expect, it, vi } from 'vitest'
import type { Voicing, VoicedChord } from '../../api/types'
import { output } from '../../audio/band'
import { callsTo, heldAs, key, patch, placeOf, serve, showOnBench, tune, voicing } from '../../testing/page'
import ShapesStation from './ShapesStation'

vi.mock('../../audio/band', () => import('../../testing/silentBand'))

const low = voicing([null, 5, 7, 7, 6, 5])
const high = voicing([null, 7, 9, 9, 8, 7], { difficulty: 2 })
const chord = (symbol: string, bar: number, grip: Voicing = low): VoicedChord => ({
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
  voicing: grip,
})
const line = {
  cost: 1,
  travel: { frets: 2, held: 0 },
  without_open_root: [],
  chords: [chord('Dm', 0), chord('A7', 1, high)],
  moves: [{ frets: 2, held: 0, top: 2 }],
  loose: [],
}
const server = {
  'POST compute/path': line,
  'POST compute/voicings': { symbol: 'Dm', count: 2, voicings: [low, high] },
  'GET choices': { grooves: [], tunings: [], kinds: [{ slug: 'shell', name: 'shell: root, 3, 7' }] },
  'GET grips?symbol=Dm&tuning=standard&capo=0': [],
}

beforeEach(() => serve(server))

const open = async (view: string, more: Record<string, unknown> = {}) => {
  serve({ ...server, ...more })
  const bench = showOnBench(<ShapesStation />)
  await screen.findByText(/Pin this grip/)
  key(view)
  return bench
}

it('places an approach by its number, and takes it out by the same', async () => {
  const offer = {
    kind: 'walk-up',
    words: 'Walk up fret by fret',
    steps: 3,
    from: 'bar 2, beat 3',
    grips: [{ symbol: 'B♭m', voicing: low }],
  }
  const walked = {
    ...tune,
    moves: [{ id: 'm1', name: '', rule: { kind: 'walk-up' as const, steps: 3, slotTicks: 480 } }],
    placed: [{ what: 'm1', at: placeOf(0), symbol: 'Dm' }],
  }
  const { store } = await open('a', {
    'POST compute/approaches': [offer],
    'POST compute/move': (body: unknown) => ({ document: (body as { move?: string }).move === undefined ? tune : walked }),
  })
  await screen.findByText('from bar 2, beat 3')
  key('1')
  await screen.findByText(/Take it out/)
  expect(store.getState().document).toEqual(walked)
  key('1')
  await waitFor(() => expect(store.getState().document).toEqual(tune))
  expect(callsTo('POST compute/move')).toMatchObject([{ chord: 0, move: 'walk-up', steps: 3, slot_ticks: 480 }, { chord: 0 }])
})

it('shows which changes are too tight and takes a repair over', async () => {
  const tight = {
    bar: 1,
    from: 'Dm',
    to: 'A7',
    from_frets: 'x 5 7 7 6 5',
    to_frets: 'x 7 9 9 8 7',
    have_ms: 90,
    need_ms: 180,
    travel_mm: 60,
    fits: false,
    stay: [],
    slide: [1, 2],
    common: [],
    repairs: [{ text: 'Make the last stroke a dead one', change: [patch('patterns', { ...tune.patterns[0], streams: [] }, 'p1')] }],
  }
  const { store } = await open('w', {
    'POST compute/changes': [tight, { ...tight, fits: true, need_ms: 0, stay: [1], slide: [], common: [2], repairs: [] }],
  })
  await screen.findByText('1 of 2 changes are too tight at 120 bpm')
  expect(screen.getByText('fingers 1, 2 slide on their strings')).toBeTruthy()
  expect(screen.getByText(/no finger moves/).textContent).toContain('string 2 rings on')
  fireEvent.click(screen.getByText('Make the last stroke a dead one'))
  expect(store.getState().document.patterns[0].streams).toEqual([])
})

it('asks about slips and changes nothing before a fix is taken', async () => {
  const { store } = await open('p', {
    'POST compute/proofread': [
      {
        kind: 'other-chord',
        place: placeOf(1),
        text: 'Which is meant?',
        fixes: [{ text: 'Play x 0 2 0 2 0', change: [patch('lines', { ...tune.lines[0], name: 'proofread' }, 'l1')] }],
      },
    ],
  })
  await screen.findByText('Bar 2, A7')
  expect(store.getState().document).toEqual(tune)
  fireEvent.click(screen.getByText('Play x 0 2 0 2 0'))
  expect(store.getState().document.lines[0].name).toBe('proofread')
})

it('holds the tune in the grips of a family, chord by chord', async () => {
  const route = {
    way: 'one shape moved',
    frets: 14,
    travel_mm: 300,
    grips: [
      { symbol: 'Dm', voicing: low },
      { symbol: 'A7', voicing: high },
      { symbol: 'E7', voicing: high },
    ],
  }
  const { store } = await open('f', {
    'POST compute/families': { routes: [route], swaps: [high], enrich: [{ string: 1, fret: 3, degree: '11', voicing: high }] },
  })
  fireEvent.click(await screen.findByText('Hold the tune this way'))
  expect(store.getState().document.lines[0].pins.map((pin) => [pin.symbol, pin.frets])).toEqual([
    ['Dm', low.frets],
    ['A7', high.frets],
  ])
  expect(screen.getByText('+ 11')).toBeTruthy()
})

it('harmonises a melody as it is typed, sounds it, and says what it cannot read', async () => {
  const note = {
    chord: 'Dm',
    strings: [3, 2],
    frets: [5, 6],
    midi: [60, 65],
    degrees: ['♭7', '♭3'],
    chord_tone: true,
    held: true,
    shared: false,
  }
  await open('l', {
    'POST compute/harmonise': (body: unknown) =>
      (body as { melody: string }).melody === 'F4' ? [note] : [422, { message: '"H4" is no melody.' }],
  })
  fireEvent.change(await screen.findByLabelText('Notes of the melody'), { target: { value: 'F4' } })
  await screen.findByText('rings on')
  fireEvent.click(screen.getByText('Hear it'))
  await waitFor(() => expect(output.play).toHaveBeenCalledWith(expect.objectContaining({ pitch: 65 }), expect.anything()))
  fireEvent.change(screen.getByLabelText('Notes of the melody'), { target: { value: 'H4' } })
  expect((await screen.findByRole('alert')).textContent).toContain('no melody')
})

it('finds a figure in other registers', async () => {
  const notes = (fret: number) => [{ string: 6, fret, midi: 40 + fret }]
  const place = (where: string, fret: number) => ({
    where,
    way: 'the same frets one string higher',
    travel_mm: 40,
    one: notes(fret),
    four: notes(fret + 5),
    five: notes(fret + 7),
    counted: `1=6:${fret} (&) (2) (&)`,
    near: fret,
  })
  await open('l', {
    'POST compute/riff': [place('as typed', 3), place('an octave up the neck', 8)],
    'POST compute/keep-figure': (body: { document: unknown }) => ({ document: body.document }),
  })
  fireEvent.click(await screen.findByText('Figure'))
  fireEvent.change(await screen.findByLabelText('Notes of the figure'), { target: { value: '6:3' } })
  fireEvent.click(await screen.findByText(/Chorus 2/))
  expect(screen.getByText('6:15')).toBeTruthy()
  fireEvent.click(screen.getByText(/Play it from bar/))
  await waitFor(() => expect(callsTo('POST compute/keep-figure')).toHaveLength(1))
  expect(callsTo('POST compute/keep-figure')[0]).toMatchObject({ typed: ['1=6:8 (&) (2) (&)'], near: 8, passes: ['1'] })
})

it('keeps what a student’s hand can do and pins an easier grip for it', async () => {
  const { store } = await open('s', {
    'GET students': [{ id: 7, name: 'Student A', hand: 'medium' }],
    'PUT students/7/hand': (body: unknown) => ({ id: 7, name: 'Student A', hand: (body as { hand: string }).hand }),
    'POST compute/easier': [{ chord: 1, symbol: 'A7', why: 'it needs a barre', instead: low, refusal: null }],
  })
  fireEvent.click(await screen.findByLabelText('barre'))
  await waitFor(() => expect(callsTo('PUT students/7/hand')).toEqual([{ hand: 'medium,no-barre' }]))
  fireEvent.click(await screen.findByText('Pin the easier one'))
  expect(store.getState().document.lines[0].pins).toEqual([{ at: placeOf(1), symbol: 'A7', frets: low.frets }])
})

it('links a grip so that others follow, compares two, and goes round the company by key', async () => {
  const { container, store } = await open('k')
  expect(store.getState().document.lines[0].pins[0]).toMatchObject({ symbol: 'Dm', linked: true })
  key('x')
  key('ArrowRight')
  const compare = await waitFor(() => container.querySelector<HTMLElement>('.compare') ?? Promise.reject(new Error('nothing to compare')))
  await waitFor(() => expect(within(compare).getByText('2.0')).toBeTruthy())
  key('b')
  expect(store.getState().document.lines[0].company).toBe('shell')
})

it('names a grip and finds it again, and says why a name cannot be kept', async () => {
  let kept = false
  await open('n', {
    'POST grips': (body: unknown) =>
      (body as { name: string }).name === 'no' ? [422, { message: 'Give the grip another name.' }] : ((kept = true), {}),
    'GET grips?symbol=Dm&tuning=standard&capo=0': () =>
      kept ? [{ id: 'g', name: 'the pier', symbol: 'Dm', frets: low.frets, tuning: 'standard', here: high }] : [],
  })
  fireEvent.change(await screen.findByLabelText('Name of this grip'), { target: { value: 'no' } })
  fireEvent.click(screen.getByText('Keep'))
  expect((await screen.findByRole('alert')).textContent).toContain('another name')
  fireEvent.change(screen.getByLabelText('Name of this grip'), { target: { value: 'the pier' } })
  fireEvent.click(screen.getByText('Keep'))
  fireEvent.click(await screen.findByText('the pier'))
  await screen.findByText(/Pin this grip/)
})

it('says why a kind of grip is not to be had', async () => {
  await open('Escape', {
    'POST compute/voicings': (body: unknown) =>
      (body as { kind?: string }).kind === undefined ? server['POST compute/voicings'] : [422, { message: 'It has no such grip here.' }],
  })
  fireEvent.mouseDown(screen.getByLabelText('Kind of grip'))
  fireEvent.click(await screen.findByText('shell: root, 3, 7'))
  await screen.findByText('It has no such grip here.')
})

it('pins a grip as it is dictated, fret by fret, and only when it is whole', async () => {
  const { store } = await open('g')
  const field = await screen.findByLabelText('Frets for Dm, lowest string first')
  fireEvent.change(field, { target: { value: 'x x 0 2 3' } })
  expect((screen.getByText('Pin these').closest('button') as HTMLButtonElement).disabled).toBe(true)
  fireEvent.change(field, { target: { value: 'x x 0 2 3 1' } })
  fireEvent.click(screen.getByText('Pin these'))
  expect(store.getState().document.lines[0].pins).toEqual([{ at: placeOf(0), symbol: 'Dm', frets: [null, null, 0, 2, 3, 1] }])
  expect(screen.queryByLabelText('Frets for Dm, lowest string first')).toBeNull()
})

it('writes a figure down as it is pressed on the neck', async () => {
  const notes = [{ string: 6, fret: 3, midi: 43 }]
  await open('l', {
    'POST compute/riff': [{ where: 'as typed', way: 'five frets up', travel_mm: 40, one: notes, four: notes, five: notes }],
  })
  fireEvent.click(await screen.findByText('Figure'))
  const places = () => [...document.querySelectorAll('.press-place')]
  const press = (name: string) => fireEvent.click(places().find((place) => place.textContent === name) as Element)
  press('String 6, fret 3')
  await screen.findByText(/Chorus 1/)
  press('String 5, open')
  expect((screen.getByLabelText('Notes of the figure') as HTMLInputElement).value).toBe('6:3 5:0')
})

it('compares what the hand travels in both places, and says where no open string helps', async () => {
  serve({
    ...server,
    'POST compute/path': (body: unknown) =>
      (body as { elsewhere: boolean }).elsewhere ? { ...line, travel: { frets: 9, held: 4 } } : { ...line, without_open_root: ['B♭7'] },
  })
  const { store } = showOnBench(<ShapesStation />, { document: heldAs({ company: 'alone' }) })
  await screen.findByText(/a finger holds the root of B♭7/)
  key('e')
  await screen.findByText(/the hand travels 9 frets and 4 notes are held; in the first place 2 and 0/)
  fireEvent.click(screen.getByText('Pin this one instead'))
  expect(store.getState().document.lines[0].pins).toHaveLength(2)
})

it('shows a student the tools to look with, and none to change with', async () => {
  serve(server)
  const { store } = showOnBench(<ShapesStation />, { mine: false })
  await screen.findByText('Compare')
  expect([screen.queryByText('Hands'), screen.queryByText('My grips'), screen.queryByText('Link')]).toEqual([null, null, null])
  for (const name of ['k', 'b', 'g', 'n']) key(name)
  expect(store.getState().document).toEqual(tune)
})
