import { act, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { expect, it, vi } from 'vitest'
import type { Band } from '../../api/types'
import { band } from '../../audio/band'
import { callsTo, key, patch, serve, showOnBench, timeline, tune } from '../../testing/page'
import BandStation from './BandStation'

vi.mock('../../audio/band', () => import('../../testing/silentBand'))

const section = tune.sections[0].id
const pass = tune.passes[0]
const change = [patch('notes', 'the keys hold back')]
const told: Band = {
  parts: [
    { id: 'guitar', instrument: 'guitar', words: 'guitar', way: null, ways: [], timbres: [], register: null, register_words: '' },
    {
      id: 'keys',
      instrument: 'keys',
      words: 'keys',
      way: 'shells',
      ways: [
        { slug: 'shells', words: 'shells' },
        { slug: 'pads', words: 'held chords' },
      ],
      timbres: ['piano', 'organ', 'accordion'],
      register: [52, 76],
      register_words: 'E3–E5',
    },
  ],
  absent: [{ slug: 'lead', words: 'lead' }],
  registers: { lowest: 21, highest: 108, narrowest: 12 },
  role_choices: [
    { slug: 'active', words: 'active' },
    { slug: 'passive', words: 'passive' },
  ],
  visits: [
    {
      pass: pass.id,
      section,
      name: 'A',
      time: 1,
      from: 0,
      bars: 2,
      lead: 'voice',
      too_many_lead: ['guitar', 'keys'],
      roles: ['active', 'active'],
    },
  ],
  window: {
    from: 0,
    bars: 2,
    beats: 8,
    bar_lines: [0, 4],
    chords: [{ beats: 0, symbol: 'Dm6' }],
    rows: [
      {
        part: 'guitar',
        strokes: [
          { beats: 0, length: 1, loud: 0.8, notes: 4, dead: false },
          { beats: 1, length: 0.1, loud: 0.4, notes: 4, dead: true },
        ],
      },
      { part: 'keys', strokes: [{ beats: 0, length: 2, loud: 0.5, notes: 3, dead: false }] },
    ],
  },
  clashes: [
    {
      kind: 'two-lead',
      title: 'Two lead at once',
      text: 'The guitar and the keys both comp actively from bar 1.',
      severity: 0.8,
      parts: ['guitar', 'keys'],
      bars: [0, 1],
      beats: [0],
      mends: [
        { words: 'Let the keys hold back', change },
        { words: 'Lay the keys out', change: [] },
      ],
    },
    { kind: 'mud', title: 'An interval too low', text: 'A♭2 under C3.', severity: 0.5, parts: ['keys'], bars: [1], beats: [], mends: [] },
  ],
  looked: ['Two lead at once', 'An interval too low'],
  unlooked: ['Too loud for the soloist: nobody leads'],
  holds: ['The guitar and the keys strike together in bar 2.'],
  suggestions: [{ part: 'keys', pass: pass.id, section, from: 0, role: 'passive', words: 'passive', why: 'the other one leads' }],
  supports: [
    { slug: 'small-group', words: 'small group' },
    { slug: 'school-band', words: 'school band' },
  ],
  soundings: {
    balance: {
      steps: [
        { gain_db: null, level: 0 },
        { gain_db: -6, level: 0.4 },
        { gain_db: 0, level: 0.8 },
      ],
      verdicts: [
        { slug: 'too-soft', words: 'too soft' },
        { slug: 'sits', words: 'sits' },
      ],
    },
    soloist: 'sung',
    parts: [
      { part: 'guitar', least: 5, most: 9, over: true },
      { part: 'keys', least: 5, most: 9, over: false },
    ],
    ranges: ['31 % of what the guitar plays lies in the soloist’s range.'],
    seats: [
      { slug: 'room', words: 'the room', gains_db: { guitar: 0, keys: 0 }, below_db: [3.4, 7.3] },
      { slug: 'guitar', words: 'the guitar’s chair', gains_db: { guitar: 0, keys: -9.5 }, below_db: [-6.1, 7.3] },
    ],
  },
}

const onBand = (answers: Record<string, unknown> = {}) => {
  serve({ 'GET profiles': [], 'POST compute/band': told, 'POST compute/timeline': timeline, ...answers })
  return showOnBench(<BandStation />, { plays: timeline })
}

it('shows who speaks when, frames who clashes, and tells the figures to who does not see them', async () => {
  const { container } = onBand()
  const picture = await screen.findByRole('img', { name: /guitar: 1.00, 2.00; keys: 1.00/ })
  expect(picture.querySelectorAll('.clash-frame')).toHaveLength(2)
  expect(picture.querySelectorAll('.stroke.dead')).toHaveLength(1)
  expect(screen.getByRole('img', { name: 'guitar 3.4 dB below, keys 7.3 dB below' })).toBeTruthy()
  expect(container.querySelectorAll('td.framed')).toHaveLength(2)
  expect(screen.getByText('Two things to settle, the worst first')).toBeTruthy()
  expect(screen.getByText(/nobody leads/)).toBeTruthy()
  expect(screen.getByText(/strike together in bar 2/)).toBeTruthy()
})

it('hears a clash as it is and mended before anything changes, then settles it by one key', async () => {
  const { store } = onBand()
  await screen.findByText('Two things to settle, the worst first')
  await act(async () => key('h'))
  expect(vi.mocked(band.set).mock.calls.at(-1)).toEqual([{ loop: [0, 1] }])
  await act(async () => key('j'))
  await waitFor(() => expect(callsTo('POST compute/timeline').at(-1)).toMatchObject({ document: { notes: 'the keys hold back' } }))
  expect(store.getState().document.notes).toBe(tune.notes)
  await screen.findByText(/it plays mended/)
  key('Enter')
  await waitFor(() => expect(store.getState().document.notes).toBe('the keys hold back'))
})

it('gives a part another role in a section of a pass, and takes somebody into the line-up', async () => {
  onBand({
    'POST compute/cell': (body: { document: unknown }) => ({ document: body.document }),
    'POST profiles': { id: 'w1', name: 'Quay shuffle', document: tune },
    'POST compute/add-part': (body: { document: unknown }) => ({ document: body.document }),
  })
  const role = await screen.findByLabelText(/keys in A/)
  fireEvent.mouseDown(role.closest('.ant-select')?.querySelector('.ant-select-selector') ?? role)
  fireEvent.click(await screen.findByTitle('passive'))
  await waitFor(() => expect(callsTo('POST compute/cell')[0]).toMatchObject({ part: 'keys', pass: pass.id, section, role: 'passive' }))
  fireEvent.click(screen.getByText('Line-up …'))
  const joins = (await screen.findByText('Take in')).parentElement
  fireEvent.click(within(joins ?? document.body).getByText('lead'))
  await waitFor(() => expect(callsTo('POST compute/add-part')[0]).toMatchObject({ instrument: 'lead' }))
  fireEvent.change(screen.getByLabelText('A word for it'), { target: { value: 'Quay shuffle' } })
  fireEvent.click(screen.getByText('Keep it'))
  await waitFor(() => expect(callsTo('POST profiles')[0]).toMatchObject({ name: 'Quay shuffle', section }))
})

it('hears the band, and plumbs it, from the room or from the guitar’s chair', async () => {
  onBand()
  fireEvent.click(await screen.findByText('the guitar’s chair'))
  expect(screen.getByText(/^31 % of what the guitar plays/)).toBeTruthy()
  expect(vi.mocked(band.set).mock.calls.at(-1)).toEqual([{ heardFrom: { seat: 'guitar', gainsDb: { guitar: 0, keys: -9.5 } } }])
})

it('tries the guitar at several gains from two seats, and notes with the song how it sits', async () => {
  const { store } = onBand()
  fireEvent.click(await screen.findByText('Balance test …'))
  const from = within(await screen.findByLabelText('Gains by seat'))
  fireEvent.click(within(from.getByText('From the guitar’s chair').closest('tr') ?? document.body).getByText('−6 dB'))
  expect(vi.mocked(band.set).mock.calls.at(-1)).toEqual([{ heardFrom: { seat: 'guitar', gainsDb: { guitar: -6, keys: -9.5 } } }])
  expect(band.start).toHaveBeenCalled()
  fireEvent.click(screen.getByText('sits'))
  expect(store.getState().document.balance).toMatchObject([{ seat: 'guitar', gainDb: -6, verdict: 'sits' }])
  fireEvent.click(screen.getByText('Keep −6 dB for the guitar'))
  expect(store.getState().document.parts.find(({ instrument }) => instrument === 'guitar')?.level).toBe(0.4)
  fireEvent.click(screen.getByLabelText('Take note 1 back'))
  expect(store.getState().document.balance).toEqual([])
  fireEvent.click(within(from.getByText('From the room').closest('tr') ?? document.body).getByText('without it'))
  expect(band.mute).toHaveBeenLastCalledWith('guitar', true)
})

it('says which roles would suit better and why, and takes them in one step', async () => {
  onBand({ 'POST compute/take-roles': (body: { document: object }) => ({ document: { ...body.document, notes: 'handed over' } }) })
  fireEvent.click(await screen.findByText('Suggested roles …'))
  const told = await screen.findByRole('region', { name: 'Suggested roles' })
  expect(told.textContent).toContain('passive the other one leads')
  fireEvent.click(within(told).getByText('school band'))
  await waitFor(() => expect(callsTo('POST compute/band').at(-1)).toMatchObject({ support: 'school-band' }))
  fireEvent.click(within(told).getByText('Take these roles'))
  await waitFor(() => expect(callsTo('POST compute/take-roles')).toMatchObject([{ support: 'school-band' }]))
})

it('lays another\u2019s part beside the guitar\u2019s, proposes a role, and practises the hits at the end of a section', async () => {
  const bar = { bar: 1, likeness: 'nearly-alike', words: 'nearly alike', share: 0.5, own: ['1', '2'], theirs: ['2', '2&'], both: ['2'] }
  onBand({
    'POST hearings': {
      id: 'h1',
      state: 'done',
      done: 1,
      message: null,
      take: null,
      heard: { seconds: 4, outline: [], tuning: null, remark: null, strokes: [{ t: 0.5, direction: null, muted: false, level_db: 0 }] },
    },
    'POST compute/beside': {
      offset_seconds: 0.5,
      alignments: [
        { offset_seconds: 0.5, first: '1' },
        { offset_seconds: 0.25, first: '1&' },
      ],
      bars: [bar],
      ends: [bar],
      proposals: [
        {
          part: 'guitar',
          pass: pass.id,
          section,
          from: 0,
          role: 'passive',
          words: 'passive',
          why: 'in 1 of 1 bars the two are nearly alike',
        },
      ],
    },
    'POST compute/cell': (body: { document: unknown }) => ({ document: body.document }),
  })
  fireEvent.click(await screen.findByText('Another’s part …'))
  const file = new File(['MThd'], 'pier.mid', { type: 'audio/midi' })
  fireEvent.change(await screen.findByLabelText('Another’s part'), { target: { files: [file] } })
  await screen.findByText('nearly alike')
  expect(callsTo('POST compute/beside')[0]).toMatchObject({ onsets: [0.5], offset: null })
  const first = screen.getByLabelText("Where the other's first stroke lies")
  fireEvent.mouseDown(first.closest('.ant-select')?.querySelector('.ant-select-selector') ?? first)
  fireEvent.click(await screen.findByTitle('1&'))
  await waitFor(() => expect(callsTo('POST compute/beside')[1]).toMatchObject({ onsets: [0.5], offset: 0.25 }))
  fireEvent.click(screen.getByText('Tap it along'))
  expect(band.start).toHaveBeenCalled()
  fireEvent.click(await screen.findByText('That is all'))
  fireEvent.click(screen.getByText('Practise this bar'))
  expect(vi.mocked(band.set).mock.calls.at(-1)).toEqual([{ loop: [1, 1] }])
  fireEvent.click(screen.getByText('Take it'))
  await waitFor(() => expect(callsTo('POST compute/cell')[0]).toMatchObject({ role: 'passive' }))
})
