import { fireEvent, screen, waitFor } from '@testing-library/react'
import { expect, it, vi } from 'vitest'
import { withStart } from '../../api/desk'
import type { Chart } from '../../api/types'
import { callsTo, serve, showOnBench, tune } from '../../testing/page'
import ChartStation from './ChartStation'

vi.mock('../../audio/band', () => import('../../testing/silentBand'))

const chord = (symbol: string | null, typed = symbol ?? '') => ({
  at: 0,
  beats: 4,
  typed,
  symbol,
  root: symbol?.[0] ?? null,
  ending: symbol?.slice(1) ?? null,
  numeral: symbol === 'Dm' ? 'i' : 'V7',
  plain_numeral: symbol === 'Dm' ? 'i' : 'V7',
  shape: null,
  approach: null,
})
const section = { id: 's1', name: 'A', beats: 4, times: 1, bars: [], problems: [], endings: [] }
const chart = (problems: Chart['sections'][number]['problems'] = []): Chart => ({
  sections: [
    {
      ...section,
      bars: [
        { written: 0, number: 1, repeated: false, chords: [chord('Dm')] },
        { written: 1, number: 2, repeated: false, chords: [problems.length > 0 ? chord(null, 'Ebv9') : chord('A7')] },
      ],
      problems,
    },
  ],
})

it('draws bars with their strokes, and numerals when asked', async () => {
  serve({ 'POST compute/chart': chart() })
  const { container } = showOnBench(<ChartStation />)
  await waitFor(() => expect(container.querySelectorAll('.chart-bar')).toHaveLength(2))
  expect([...container.querySelectorAll('.bar-chord')].map((each) => each.textContent)).toEqual(['Dm', 'A7'])
  expect(container.querySelectorAll('[data-bar="0"] .bar-strokes .blade')).toHaveLength(1)
  fireEvent.click(await screen.findByText('Numerals'))
  expect([...container.querySelectorAll('.bar-chord')].map((each) => each.textContent)).toEqual(['i', 'V7'])
})

it('writes what the hand holds beside what sounds, where there is a capo', async () => {
  serve({
    'POST compute/chart': {
      sections: [
        {
          ...section,
          bars: [
            { written: 0, number: 1, repeated: false, chords: [{ ...chord('Dm'), shape: 'Am' }] },
            { written: 1, number: 2, repeated: false, chords: [chord('A7')] },
          ],
        },
      ],
    },
  })
  const { container } = showOnBench(<ChartStation />)
  await waitFor(() => expect([...container.querySelectorAll('.held')].map((each) => each.textContent)).toEqual(['Am']))
})

it('marks the unreadable character and puts the nearest symbol in its place, in characters and not in bytes', async () => {
  serve({ 'POST compute/chart': chart([{ at: 9, length: 2, bar: 1, message: 'Bar 2: "v9" is no chord ending.', nearest: 'E♭9' }]) })
  const { container, store } = showOnBench(<ChartStation />, {
    document: { ...tune, sections: [{ id: 's1', name: 'A', line: '| B♭ | Ebv9 | Gm |' }] },
  })
  fireEvent.click(await screen.findByText('Use E♭9'))
  expect([...container.querySelectorAll('mark')].length).toBeLessThanOrEqual(2)
  expect(store.getState().document.sections[0]?.line).toBe('| B♭ | E♭9 | Gm |')
  expect(container.querySelectorAll('.unread')).toHaveLength(1)
})

it('asks the core to take a section out by its id, and to add one', async () => {
  serve({
    'POST compute/chart': chart(),
    'POST compute/add-section': (body: unknown) => body,
    'POST compute/without-section': (body: unknown) => {
      const { document, section: id } = body as { document: typeof tune; section: string }
      return {
        document: {
          ...document,
          sections: document.sections.filter((each) => each.id !== id),
          form: document.form.filter((each) => each.section !== id),
        },
      }
    },
  })
  const sections = ['A', 'B', 'C'].map((name, at) => ({ id: `s${at + 1}`, name, line: '' })) as typeof tune.sections
  const form = sections.map(({ id }) => ({ section: id, times: 1 })) as typeof tune.form
  const { store } = showOnBench(<ChartStation />, { document: { ...tune, sections, form } })
  fireEvent.click(await screen.findByLabelText('Section B: move, split, take out'))
  fireEvent.click(await screen.findByLabelText('Take out section B'))
  await waitFor(() => expect(store.getState().document.sections.map(({ id }) => id)).toEqual(['s1', 's3']))
  fireEvent.click(screen.getByText('Add a section'))
  await waitFor(() => expect(callsTo('POST compute/add-section')).toMatchObject([{ typed: '', name: null, intro: false }]))
})

it('asks the core to split a section at one of its bars and to move it past the others', async () => {
  const halves = [
    { id: 's1', name: 'A', line: '| Dm |' },
    { id: 's2', name: 'A', line: '| A7 |' },
  ] as unknown as typeof tune.sections
  serve({
    'POST compute/chart': chart(),
    'POST compute/split-section': { document: { ...tune, sections: halves } },
    'POST compute/move-section': { document: { ...tune, sections: [...halves].reverse() } },
  })
  const { store } = showOnBench(<ChartStation />)
  fireEvent.click(await screen.findByLabelText('Section A: move, split, take out'))
  fireEvent.mouseDown(await screen.findByLabelText('Split section A'))
  fireEvent.click(await screen.findByTitle('with bar 2'))
  await waitFor(() => expect(store.getState().document.sections).toEqual(halves))
  expect(callsTo('POST compute/split-section')).toMatchObject([{ section: 's1', bar: 1 }])
  fireEvent.click(await screen.findByText('Move down'))
  await waitFor(() => expect(store.getState().document.sections.map(({ id }) => id)).toEqual(['s2', 's1']))
  expect(callsTo('POST compute/move-section')).toMatchObject([{ section: 's1', position: 1 }])
})

it('shows endings after their section, numbered, and how often it comes', async () => {
  const endings = [
    { times: [1], bars: [{ written: 1, number: 2, repeated: false, chords: [chord('A7')] }], problems: [] },
    { times: [2, 3], bars: [{ written: 2, number: 2, repeated: false, chords: [chord('Dm')] }], problems: [] },
  ]
  serve({
    'POST compute/chart': {
      sections: [{ ...section, times: 3, bars: [{ written: 0, number: 1, repeated: false, chords: [chord('Dm')] }], endings }],
    },
  })
  const { container } = showOnBench(<ChartStation />)
  await waitFor(() =>
    expect([...container.querySelectorAll('.chart-bar')].map((bar) => bar.querySelector('.bar-ending')?.textContent)).toEqual([
      undefined,
      '1st',
      '2nd',
    ]),
  )
  expect(screen.getByText(/3 bars · 3 times/)).toBeTruthy()
})

it('tells which pins could not come along to another key', async () => {
  serve({
    'POST compute/chart': chart(),
    'POST compute/key': { document: withStart(tune, { key: 'E minor' }), dropped: [{ symbol: 'A7' }] },
  })
  const { store } = showOnBench(<ChartStation />)
  fireEvent.mouseDown((await screen.findByLabelText('Key')).closest('.ant-select') as Element)
  fireEvent.change(screen.getByLabelText('Key'), { target: { value: 'E minor' } })
  fireEvent.click(await screen.findByTitle('E minor'))
  await screen.findByText(/Let go of A7/)
  expect(store.getState().document.start.key).toBe('E minor')
})

it('moves to another key what was typed while the server still worked', async () => {
  let answerFirst: () => void = () => undefined
  const first = new Promise<void>((done) => (answerFirst = done))
  let times = 0
  const movedLine = (body: unknown) => {
    const document = (body as { document: typeof tune }).document
    return {
      document: {
        ...withStart(document, { key: 'E minor' }),
        sections: document.sections.map((each) => ({ ...each, line: `moved ${each.line}` })),
      },
      dropped: [],
    }
  }
  serve({ 'POST compute/chart': chart(), 'POST compute/key': async (body: unknown) => (++times === 1 && (await first), movedLine(body)) })
  const { store } = showOnBench(<ChartStation />)
  fireEvent.mouseDown((await screen.findByLabelText('Key')).closest('.ant-select') as Element)
  fireEvent.change(screen.getByLabelText('Key'), { target: { value: 'E minor' } })
  fireEvent.click(await screen.findByTitle('E minor'))
  await waitFor(() => expect(times).toBe(1))
  store.change((d) => ({ ...d, sections: [{ id: 's1', name: 'A', line: '| Gm |' }] }))
  answerFirst()
  await waitFor(() => expect(store.getState().document.start.key).toBe('E minor'))
  expect(store.getState().document.sections[0].line).toBe('moved | Gm |')
  expect(times).toBe(2)
})

it('says what to type where there is nothing yet, and lets a student change nothing', async () => {
  serve({ 'POST compute/chart': { sections: [section] } })
  showOnBench(<ChartStation />, { mine: false, document: { ...tune, sections: [{ id: 's1', name: 'A', line: '' }] } })
  await screen.findByText('No bars yet')
  expect(((await screen.findByLabelText('Chord line')) as HTMLTextAreaElement).disabled).toBe(true)
  expect(screen.queryByText('Add a section')).toBeNull()
})
