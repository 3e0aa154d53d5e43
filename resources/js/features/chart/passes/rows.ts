import type { ChartBar, ChartSection, Timeline } from '../../../api/types'

/** Written bars that stand in one column: a bar of the line, or one of each ending, one over the other. */
export type Column = { number: number; bars: { written: number; bar: ChartBar; ending: string }[] }

/** One time that a section comes in a pass. */
export type Row = { pass: string; section: string; time: number; ending: string; bars: PlayedBar[] }
export type PlayedBar = { index: number; inSection: number; column: number; told: Timeline['bars'][number] }

/** @param first number of the section's first written bar, from 0 */
export function columnsOf(section: ChartSection, first: number): Column[] {
  const line = section.bars.map((bar, place) => ({ number: first + place, bars: [{ written: first + place, bar, ending: '' }] }))
  const length = Math.max(0, ...section.endings.map((ending) => ending.bars.length))
  const endings = Array.from({ length }, (_, place): Column => {
    let before = first + section.bars.length
    const bars: Column['bars'] = []
    for (const { times, bars: own } of section.endings) {
      const bar = own[place]
      if (bar !== undefined) bars.push({ written: before + place, bar, ending: place === 0 ? times.map(ordinal).join(', ') : '' })
      before += own.length
    }
    return { number: first + section.bars.length + place, bars }
  })
  return [...line, ...endings]
}

/** Each time the section comes, pass by pass, with its bars in the columns they stand in. */
export function rowsOf(timeline: Timeline, section: ChartSection, columns: Column[]): Row[] {
  const columnOf = new Map(columns.flatMap((column, place) => column.bars.map(({ written }) => [written, place] as const)))
  const rows: Row[] = []
  timeline.bars.forEach((told, index) => {
    if (told.section !== section.id) return
    const last = rows.at(-1)
    const row = last?.pass === told.pass && last.time === told.time ? last : undefined
    const bars = row?.bars ?? []
    bars.push({ index, inSection: bars.length, column: columnOf.get(told.written) ?? 0, told })
    if (row === undefined) rows.push({ pass: told.pass, section: section.id, time: told.time, ending: endingAt(section, told.time), bars })
  })
  return rows
}

function endingAt({ endings }: ChartSection, time: number): string {
  const taken = endings.find(({ times }) => times.includes(time)) ?? endings.at(-1)
  return taken === undefined ? '' : taken.times.map(ordinal).join(', ')
}

export const ordinal = (number: number): string =>
  `${number}${[11, 12, 13].includes(number % 100) ? 'th' : (['th', 'st', 'nd', 'rd'][number % 10] ?? 'th')}`

const LOUDNESS = ['hush', 'soft', 'firm', 'full']

/** How loud a row is, in a word: that of its first bar, or that it grows or fades. */
export function loudnessOf({ bars }: Row): string {
  const from = bars[0]?.told.loud[0] ?? 3
  const to = bars.at(-1)?.told.loud[1] ?? from
  if (to > from + 0.5) return 'grows'
  if (to < from - 0.5) return 'fades'
  return LOUDNESS[Math.min(3, Math.max(0, Math.round(from) - 1))] ?? 'firm'
}
