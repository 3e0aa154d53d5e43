import { expect, it } from 'vitest'
import type { BreakdownCard, HandStroke } from '../../api/types'
import { boards } from './boards'

const card = (title: string, part: Partial<BreakdownCard> & { p?: number; ups?: number } = {}): BreakdownCard => ({
  id: title,
  title,
  genre: 'Harbour shuffle',
  key: 'A♭ major',
  meter: '4/4',
  tempo: 120,
  feel: '67 % swing',
  revision: 1,
  updated_at: '',
  mine: true,
  takes: 0,
  ...part,
  sketch: {
    beats: 4,
    beats_a_bar: 4,
    p: part.p ?? 0.5,
    strokes: Array.from({ length: part.ups ?? 2 }, () => ({ direction: 'up' }) as HandStroke),
  },
})

it('sorts each board from straight to hard, slow before fast', () => {
  const rows = boards([
    card('Hard', { p: 0.75 }),
    card('Fast', { tempo: 180 }),
    card('Slow', { tempo: 60 }),
    card('Sixteenths', { ups: 8 }),
    card('Waltz', { meter: '3/4' }),
  ])
  expect(rows.map((row) => [row.name, row.cards.map((each) => each.title)])).toEqual([
    ['In four, eighths', ['Slow', 'Fast', 'Hard']],
    ['In four, sixteenths', ['Sixteenths']],
    ['In three, in twelve and the rest', ['Waltz']],
  ])
})

it('shows no empty board', () => {
  expect(boards([])).toEqual([])
})
