import type { ChartBar, ChartSection, Timeline } from '../../../api/types'
import { ordinal } from '../../../ui/words'

/** Written bars that stand in one column: a bar of the line, or one of each ending, one over the other. */
export type Column = { number: number; bars: { bar: ChartBar; ending: number | null }[] }

/** One time that a section comes in a pass. */
export type Row = { pass: string; section: string; time: number; ending: string; bars: PlayedBar[] }
export type PlayedBar = {
  index: number
  inSection: number
  column: number
  /** as bars are numbered on paper */
  number: number
  at: { ending: number | null; bar: number }
  told: Timeline['bars'][number]
}

export function columnsOf({ bars, endings }: ChartSection): Column[] {
  const columns = bars.map((bar): Column => ({ number: bar.number, bars: [{ bar, ending: null }] }))
  endings.forEach((each, ending) =>
    each.bars.forEach((bar) => {
      const column = columns.find(({ number }) => number === bar.number)
      if (column === undefined) columns.push({ number: bar.number, bars: [{ bar, ending }] })
      else column.bars.push({ bar, ending })
    }),
  )
  return columns
}

/** Each time the section comes, pass by pass, with its bars in the columns they stand in. */
export function rowsOf(timeline: Timeline, section: ChartSection, columns: Column[]): Row[] {
  const places = new Map(columns.flatMap(({ bars }, column) => bars.map(({ bar, ending }) => [bar.written, { column, ending }] as const)))
  const rows: Row[] = []
  timeline.bars.forEach((told, index) => {
    if (told.section !== section.id) return
    let row = rows.at(-1)
    if (row?.pass !== told.pass || row.time !== told.time) {
      row = { pass: told.pass, section: section.id, time: told.time, ending: '', bars: [] }
      rows.push(row)
    }
    const { column = 0, ending = null } = places.get(told.written) ?? {}
    if (ending !== null) row.ending = ordinal(ending + 1)
    const inSection = row.bars.length
    const bar = ending === null ? inSection : inSection - section.bars.length
    row.bars.push({ index, inSection, column, number: columns[column]?.number ?? 0, at: { ending, bar }, told })
  })
  return rows
}

const LOUDNESS = ['hush', 'soft', 'firm', 'full']

/** How loud a row is, in a word: that of its first bar, or that it grows or fades. */
export function loudnessOf({ bars }: Row): string {
  const from = bars[0]?.told.loud[0] ?? 3
  const to = bars.at(-1)?.told.loud[1] ?? from
  if (to > from + 0.5) return 'grows'
  if (to < from - 0.5) return 'fades'
  return LOUDNESS[Math.min(3, Math.max(0, Math.round(from) - 1))] ?? 'firm'
}
