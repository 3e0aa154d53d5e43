import type { Take } from '../../api/types'
import { countOf } from '../../ui/words'

/** How long a take is, where it begins unless that is the top, and that it was played alone. */
export const barsOfTake = ({ bars, from_bar: from, arrangement }: Pick<Take, 'bars' | 'from_bar' | 'arrangement'>): string =>
  (from === 0 ? countOf(bars, 'bar') : bars === 1 ? `bar ${from + 1}` : `bars ${from + 1}–${from + bars}`) +
  (arrangement === 'alone' ? ', alone' : '')
