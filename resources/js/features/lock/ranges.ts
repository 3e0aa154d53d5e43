import type { BreakdownDocument, Timeline } from '../../api/types'
import { countOf, ordinal } from '../../ui/words'

/** Bars of the song that can be asked for: from the bar it begins with, counted from 0 */
export type Range = { value: string; label: string; from: number; bars: number }

const LENGTHS = [4, 8, 12, 16, 32, 64]
/** The longest take that is judged. */
const MOST_BARS = 160

export const lengthOf = (bars: number): Range => ({ value: String(bars), label: countOf(bars, 'bar'), from: 0, bars })

/** So many bars from the start, one pass, one section of a pass, or the bars that are looped. */
export function rangesOf(
  timeline: Timeline | undefined,
  { passes, sections }: BreakdownDocument,
  loop: [number, number] | null | undefined,
): Range[] {
  const bars = timeline?.bars ?? []
  const range = (value: string, label: string, at: number[]): Range[] =>
    at[0] === undefined ? [] : [{ value, label, from: at[0], bars: Math.min(MOST_BARS, at.length) }]
  const nameOf = (id: string) => {
    const place = passes.findIndex((pass) => pass.id === id)
    const name = passes[place]?.name ?? ''
    return name === '' ? `${ordinal(place + 1)} pass` : name
  }
  const byPass = passes.flatMap(({ id }) =>
    range(
      `pass ${id}`,
      nameOf(id),
      bars.flatMap((bar, index) => (bar.pass === id ? [index] : [])),
    ),
  )
  const visits = bars.flatMap((bar, index) => {
    const before = bars[index - 1]
    const goesOn = before !== undefined && before.pass === bar.pass && before.section === bar.section && before.time === bar.time
    return goesOn ? [] : [index]
  })
  const bySection = visits.flatMap((from, visit) => {
    const { pass, section, time } = bars[from] as Timeline['bars'][number]
    const until = visits[visit + 1] ?? bars.length
    const name = sections.find(({ id }) => id === section)?.name ?? section
    return range(
      `${pass} ${section} ${time}`,
      [...(passes.length > 1 ? [nameOf(pass)] : []), time > 1 ? `${name}, ${ordinal(time)} time` : name].join(' · '),
      Array.from({ length: until - from }, (_, by) => from + by),
    )
  })
  const looped =
    loop == null
      ? []
      : range(
          'loop',
          loopWords(loop),
          Array.from({ length: loop[1] - loop[0] + 1 }, (_, by) => loop[0] + by),
        )
  return [
    ...LENGTHS.map(lengthOf),
    ...(passes.length > 1 ? byPass : []),
    ...(new Set(bars.map(({ section, time }) => `${section} ${time}`)).size > 1 ? bySection : []),
    ...looped,
  ]
}

const loopWords = ([first, last]: [number, number]): string =>
  first === last ? `the loop, bar ${first + 1}` : `the loop, bars ${first + 1}–${last + 1}`
