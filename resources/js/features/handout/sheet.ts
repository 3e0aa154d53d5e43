import type { HandoutWish } from '../../api/handout'

/** What is wanted on the page, as it is chosen here. */
export type Sheet = {
  order: string[]
  /** parts that are left out */
  out: string[]
  paper: string
  large: boolean
  bars: 1 | 2 | 4
  names: boolean
  who: string
}

export const USUAL: Sheet = {
  order: ['chart', 'grips', 'hand', 'figures', 'stages', 'passes', 'notes', 'marks', 'cautions'],
  out: [],
  paper: 'a4',
  large: false,
  bars: 2,
  names: true,
  who: '',
}

/** The page as it is asked for. */
export const asked = ({ order, out, paper, large, bars, names, who }: Sheet): HandoutWish => ({
  parts: order.filter((part) => !out.includes(part)).join(','),
  paper: paper === 'letter' ? 'letter' : 'a4',
  large,
  hand_bars: bars,
  names,
  for: who,
})

export function carriedPart(order: string[], part: string, by: number): string[] {
  const from = order.indexOf(part)
  const next = order.filter((each) => each !== part)
  next.splice(Math.max(0, Math.min(next.length, from + by)), 0, part)
  return next
}
