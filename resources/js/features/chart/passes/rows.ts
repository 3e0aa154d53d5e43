import type { ChartBar, ChartSection, Timeline } from '../../../api/types'
import { ordinal } from '../../../ui/words'

/** Written bars that stand in one column: a bar of the line, or one of each ending, one over the other. */
export type Column = { number: number; bars: { written: number; bar: ChartBar; ending: number | null }[] }

/** One time that a section comes in a pass. */
export type Row = { pass: string; section: string; time: number; ending: string; bars: PlayedBar[] }
export type PlayedBar = {
  index: number
  inSection: number
  column: number
  at: { ending: number | null; bar: number }
  told: Timeline['bars'][number]
}

/** @param first number of the section's first written bar, from 0 */
export function columnsOf(section: ChartSection, first: number): Column[] {
  const line = section.bars.map((bar, place): Column => ({ number: first + place, bars: [{ written: first + place, bar, ending: null }] }))
  const length = Math.max(0, ...section.endings.map((ending) => ending.bars.length))
  const endings = Array.from({ length }, (_, place): Column => {
    let before = first + section.bars.length
    const bars: Column['bars'] = []
    section.endings.forEach(({ bars: own }, ending) => {
      const bar = own[place]
      if (bar !== undefined) bars.push({ written: before + place, bar, ending })
      before += own.length
    })
    return { number: first + section.bars.length + place, bars }
  })
  return [...line, ...endings]
}

/** Each time the section comes, pass by pass, with its bars in the columns they stand in. */
export function rowsOf(timeline: Timeline, section: ChartSection, columns: Column[]): Row[] {
  const places = new Map(columns.flatMap(({ bars }, column) => bars.map(({ written, ending }) => [written, { column, ending }] as const)))
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
    row.bars.push({ index, inSection, column, at: { ending, bar }, told })
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
