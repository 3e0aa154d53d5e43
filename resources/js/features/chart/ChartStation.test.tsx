import { fireEvent, screen, waitFor } from '@testing-library/react'
import { expect, it, vi } from 'vitest'
import type { Chart } from '../../api/types'
import { gripFrets, serve, showOnBench, tune } from '../../testing/page'
import ChartStation from './ChartStation'

vi.mock('../../audio/band', () => import('../../testing/silentBand'))

const chord = (symbol: string | null, typed = symbol ?? '') => ({ at: 0, beats: 4, typed, symbol, root: symbol?.[0] ?? null, ending: symbol?.slice(1) ?? null, numeral: symbol === 'Dm' ? 'i' : 'V7', plain_numeral: symbol === 'Dm' ? 'i' : 'V7', shape: null, approach: null })
const chart = (problems: Chart['sections'][number]['problems'] = []): Chart => ({ beats: 4, sections: [{ name: 'A', bars: [{ repeated: false, chords: [chord('Dm')] }, { repeated: false, chords: [problems.length > 0 ? chord(null, 'Ebv9') : chord('A7')] }], problems }] })

it('draws bars with their strokes, and numerals when asked', async () => {
  serve({ 'POST compute/chart': chart() })
  const { container } = showOnBench(<ChartStation />)
  await waitFor(() => expect(container.querySelectorAll('.chart-bar')).toHaveLength(2))
  expect([...container.querySelectorAll('.bar-chord')].map((each) => each.textContent)).toEqual(['Dm', 'A7'])
  expect(container.querySelectorAll('[data-bar="0"] .bar-strokes .blade')).toHaveLength(1)
  fireEvent.click(screen.getByText('Numerals'))
  expect([...container.querySelectorAll('.bar-chord')].map((each) => each.textContent)).toEqual(['i', 'V7'])
})

it('writes what the hand holds beside what sounds, where there is a capo', async () => {
  serve({ 'POST compute/chart': { beats: 4, sections: [{ name: 'A', bars: [{ repeated: false, chords: [{ ...chord('Dm'), shape: 'Am' }] }, { repeated: false, chords: [chord('A7')] }], problems: [] }] } })
  const { container } = showOnBench(<ChartStation />)
  await waitFor(() => expect([...container.querySelectorAll('.held')].map((each) => each.textContent)).toEqual(['Am']))
})

it('marks the unreadable character and puts the nearest symbol in its place, in characters and not in bytes', async () => {
  serve({ 'POST compute/chart': chart([{ at: 9, length: 2, bar: 1, message: 'Bar 2: "v9" is no chord ending.', nearest: 'E♭9' }]) })
  const { container, store } = showOnBench(<ChartStation />, { document: { ...tune, sections: [{ name: 'A', line: '| B♭ | Ebv9 | Gm |' }] } })
  fireEvent.click(await screen.findByText('Use E♭9'))
  expect([...container.querySelectorAll('mark')].length).toBeLessThanOrEqual(2)
  expect(store.getState().document.sections[0]?.line).toBe('| B♭ | E♭9 | Gm |')
  expect(container.querySelectorAll('.unread')).toHaveLength(1)
})

it('adds sections, takes them out with their pins, and moves the pins of later ones', async () => {
  const pin = (section: number) => ({ section, bar: 0, at: 0, symbol: 'Dm', frets: gripFrets })
  serve({
    'POST compute/chart': chart(),
    'POST compute/without-section': (body: unknown) => {
      const { document, section } = body as { document: typeof tune; section: number }
      return { document: { ...document, sections: document.sections.filter((_, at) => at !== section), pins: [pin(0), pin(1)] } }
    },
  })
  const { store } = showOnBench(<ChartStation />, { document: { ...tune, sections: [{ name: 'A', line: '' }, { name: 'B', line: '' }, { name: 'C', line: '' }], pins: [pin(0), pin(1), pin(2)] } })
  fireEvent.click(await screen.findByLabelText('Take out section B'))
  await waitFor(() => expect(store.getState().document.sections.map((section) => section.name)).toEqual(['A', 'C']))
  expect(store.getState().document.pins.map((each) => each.section)).toEqual([0, 1])
  fireEvent.click(screen.getByText('Add a section'))
  expect(store.getState().document.sections.map((section) => section.name)).toEqual(['A', 'C', 'B'])
})

it('tells which pins could not come along to another key', async () => {
  serve({ 'POST compute/chart': chart(), 'POST compute/key': { document: { ...tune, key: 'E minor' }, dropped: [{ symbol: 'A7' }] } })
  const { store } = showOnBench(<ChartStation />)
  fireEvent.mouseDown((await screen.findByLabelText('Key')).closest('.ant-select') as Element)
  fireEvent.change(screen.getByLabelText('Key'), { target: { value: 'E minor' } })
  fireEvent.click(await screen.findByTitle('E minor'))
  await screen.findByText(/Let go of A7/)
  expect(store.getState().document.key).toBe('E minor')
})

it('moves to another key what was typed while the server still worked', async () => {
  let answerFirst: () => void = () => undefined
  const first = new Promise<void>((done) => (answerFirst = done))
  let times = 0
  const movedLine = (body: unknown) => {
    const document = (body as { document: typeof tune }).document
    return { document: { ...document, key: 'E minor', sections: document.sections.map((section) => ({ ...section, line: `moved ${section.line}` })) }, dropped: [] }
  }
  serve({ 'POST compute/chart': chart(), 'POST compute/key': async (body: unknown) => (++times === 1 && (await first), movedLine(body)) })
  const { store } = showOnBench(<ChartStation />)
  fireEvent.mouseDown((await screen.findByLabelText('Key')).closest('.ant-select') as Element)
  fireEvent.change(screen.getByLabelText('Key'), { target: { value: 'E minor' } })
  fireEvent.click(await screen.findByTitle('E minor'))
  await waitFor(() => expect(times).toBe(1))
  store.change((d) => ({ ...d, sections: [{ name: 'A', line: '| Gm |' }] }))
  answerFirst()
  await waitFor(() => expect(store.getState().document.key).toBe('E minor'))
  expect(store.getState().document.sections[0].line).toBe('moved | Gm |')
  expect(times).toBe(2)
})

it('says what to type where there is nothing yet, and lets a student change nothing', async () => {
  serve({ 'POST compute/chart': { beats: 4, sections: [{ name: 'A', bars: [], problems: [] }] } })
  showOnBench(<ChartStation />, { mine: false, document: { ...tune, sections: [{ name: 'A', line: '' }] } })
  await screen.findByText('No bars yet')
  expect(((await screen.findByLabelText('Chord line')) as HTMLTextAreaElement).disabled).toBe(true)
  expect(screen.queryByText('Add a section')).toBeNull()
})
