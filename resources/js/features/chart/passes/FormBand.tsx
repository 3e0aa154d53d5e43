import { useRef } from 'react'
import type { ChartBar } from '../../../api/types'
import { band } from '../../../audio/band'
import { useBandFrames } from '../../../audio/useBandFrames'
import { ChordText } from '../../../ui/ChordText'
import { useBench } from '../../bench/benchContext'
import type { Names } from '../SectionRows'
import type { Column } from './rows'

const SIZES = [25, 20, 15, 13]

/** The written bars of a section as one band of chords; where it ends in several ways it forks. */
export function FormBand({ columns, names, words }: { columns: Column[]; names: Names; words: Map<number, string> }) {
  const row = useRef<HTMLDivElement>(null)
  const { timeline } = useBench()
  const shown = useRef(-1)
  useBandFrames(() => {
    const at = band.position()
    const written = at === null || at.countIn !== null ? -1 : (timeline?.bars[at.bar]?.written ?? -1)
    if (written === shown.current) return
    row.current?.querySelector(`[data-written="${shown.current}"]`)?.classList.remove('now')
    row.current?.querySelector(`[data-written="${written}"]`)?.classList.add('now')
    shown.current = written
  })
  return (
    <div ref={row} className="form-band" style={{ gridTemplateColumns: `repeat(${columns.length}, 1fr)` }}>
      {columns.map((column) => (
        <div key={column.number} className={column.bars.length > 1 ? 'form-column fork' : 'form-column'}>
          <span className="bar-number">
            {column.number + 1}
            {words.has(column.number) && <em>{words.get(column.number)}</em>}
          </span>
          {column.bars.map(({ written, bar, ending }) => (
            <div key={written} className="form-bar" data-written={written}>
              {ending !== '' && <span className="fork-name">{ending}</span>}
              <Chords bar={bar} names={names} small={column.bars.length > 1} />
            </div>
          ))}
        </div>
      ))}
    </div>
  )
}

function Chords({ bar, names, small }: { bar: ChartBar; names: Names; small: boolean }) {
  const size = SIZES[Math.min(3, bar.chords.length - 1 + (small ? 1 : 0))] ?? 13
  return (
    <>
      {bar.chords.map((chord) => (
        <span
          key={chord.at}
          className={chord.symbol === null && chord.typed !== '' && !/^n\.?c/i.test(chord.typed) ? 'bar-chord unread' : 'bar-chord'}
          style={{ flexGrow: chord.beats }}
        >
          {chord.symbol === null ? (
            <ChordText root={chord.typed === '' ? '·' : chord.typed} ending="" size={14} />
          ) : names === 'letters' ? (
            <ChordText root={chord.root ?? ''} ending={chord.ending ?? ''} size={size} />
          ) : (
            <span className="chord-text" style={{ fontSize: 0.75 * size }}>
              {names === 'steps' ? chord.plain_numeral : chord.numeral}
            </span>
          )}
        </span>
      ))}
    </>
  )
}
