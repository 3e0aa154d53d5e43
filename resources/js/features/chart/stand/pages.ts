import type { ChartBar, ChartSection, Timeline } from '../../../api/types'

/** A bar of a pass as it is played, with what is written in it. */
export type PageBar = { index: number; written: ChartBar; told: Timeline['bars'][number]; section: string; beats: number }
export type Page = { pass: string; bars: PageBar[] }

/** Twelve bars, four a row, are what can be read from two metres. */
export const BARS_A_PAGE = 12

/** Pass by pass, page by page. */
export function pagesOf(timeline: Timeline, sections: ChartSection[]): Page[] {
  const written = sections.flatMap((section) =>
    [...section.bars, ...section.endings.flatMap((ending) => ending.bars)].map((bar) => ({ bar, section })),
  )
  const pages: Page[] = []
  timeline.bars.forEach((told, index) => {
    const there = written[told.written]
    if (there === undefined) return
    const last = pages.at(-1)
    const page = last?.pass === told.pass && last.bars.length < BARS_A_PAGE ? last : { pass: told.pass, bars: [] }
    if (page !== last) pages.push(page)
    const begins = page.bars.at(-1)?.told.section !== told.section || page.bars.at(-1)?.told.time !== told.time
    page.bars.push({ index, written: there.bar, told, section: begins ? there.section.name : '', beats: there.section.beats })
  })
  return pages
}
