import type { Take } from '../../api/types'
import { countOf } from '../../ui/words'

/** How long a take is, and where it begins unless that is the top. */
export const barsOfTake = ({ bars, from_bar: from }: Pick<Take, 'bars' | 'from_bar'>): string =>
  from === 0 ? countOf(bars, 'bar') : bars === 1 ? `bar ${from + 1}` : `bars ${from + 1}–${from + bars}`
