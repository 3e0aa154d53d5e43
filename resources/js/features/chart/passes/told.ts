import type { BreakdownDocument, PassDocument } from '../../../api/types'
import { playedAt } from '../figure/playedAt'
import type { Column, Row } from './rows'
import type { Cursor } from './usePassCursor'

const cellsOf = (document: BreakdownDocument, row: Row): PassDocument['cells'] =>
  (document.passes.find(({ id }) => id === row.pass)?.cells ?? []).filter((cell) => cell.section == null || cell.section === row.section)

/** What is played from a bar of the row on: figures by their name. */
export function figuresOf(document: BreakdownDocument, row: Row): Map<number, string> {
  return new Map(
    row.bars.flatMap(({ inSection, at }) => {
      const played = playedAt(document, { pass: row.pass, section: row.section, ...at })
      const place = document.figures?.findIndex(({ id }) => id === played?.what) ?? -1
      const name = document.figures?.[place]?.name
      return place < 0 ? [] : [[inSection, name === undefined || name === '' ? `figure ${place + 1}` : name] as const]
    }),
  )
}

/** Under which bars of the section a note stands. */
export function notesOf(document: BreakdownDocument, row: Row): Map<number, string> {
  const noted = cellsOf(document, row).filter(({ note }) => note != null && note !== '')
  return new Map(noted.flatMap(({ note, bars }) => runsOf(bars == null ? [0] : barsOf(bars)).map((bar) => [bar, note ?? ''] as const)))
}

/** The schema's tuples are lists of numbers here. */
const barsOf = (bars: PassDocument['cells'][number]['bars']): number[] => [...(bars ?? [])]

/** The first bar of each run of bars. */
const runsOf = (bars: number[]): number[] => bars.filter((bar) => !bars.includes(bar - 1))

/** The note under the chosen bars. */
export function noteAt(document: BreakdownDocument, row: Row, cursor: Cursor): string {
  const all = cursor.from === 0 && cursor.to === row.bars.length - 1
  return (
    cellsOf(document, row).find(({ bars, note }) => note != null && (all ? bars == null : barsOf(bars).includes(cursor.from)))?.note ?? ''
  )
}

/** What is sung over the columns. */
export function wordsOf({ sections }: BreakdownDocument, id: string, columns: Column[]): Map<number, string> {
  const words = sections.find((section) => section.id === id)?.words ?? []
  return new Map(words.map(({ bar, text }) => [columns[bar]?.number ?? -1, text]))
}
