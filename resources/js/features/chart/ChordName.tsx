import type { ReactNode } from 'react'
import type { ChartBar } from '../../api/types'
import { ChordText } from '../../ui/ChordText'
import type { Names } from './SectionRows'

type Props = { chord: ChartBar['chords'][number]; names: Names; size: number; children?: ReactNode }

/** A chord of a bar, as wide as it lasts: its letters, numeral or steps; what cannot be read as it was typed. */
export function ChordName({ chord, names, size, children }: Props) {
  const unread = chord.symbol === null && chord.typed !== '' && !/^n\.?c/i.test(chord.typed)
  return (
    <span className={unread ? 'bar-chord unread' : 'bar-chord'} style={{ flexGrow: chord.beats }}>
      {chord.symbol === null ? (
        <ChordText root={chord.typed === '' ? '·' : chord.typed} ending="" size={15} />
      ) : names === 'letters' ? (
        <ChordText root={chord.root ?? ''} ending={chord.ending ?? ''} size={size} />
      ) : (
        <span className="chord-text" style={{ fontSize: 0.75 * size }}>
          {names === 'steps' ? chord.plain_numeral : chord.numeral}
        </span>
      )}
      {children}
    </span>
  )
}
