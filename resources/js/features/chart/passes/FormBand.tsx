import { useRef } from 'react'
import type { ChartBar } from '../../../api/types'
import { band } from '../../../audio/band'
import { useBandFrames } from '../../../audio/useBandFrames'
import { ChordName } from '../ChordName'
import { useBench } from '../../bench/benchContext'
import type { Names } from '../SectionRows'
import { ordinal } from '../../../ui/words'
import type { Column } from './rows'

const SIZES = [25, 20, 15, 13]

type Props = {
  columns: Column[]
  names: Names
  words: Map<number, string>
  /** number of the bar that is looked at in every pass */
  chosen: number | null
  onBar: (column: Column) => void
}

/** The written bars of a section as one band of chords; where it ends in several ways it forks. */
export function FormBand({ columns, names, words, chosen, onBar }: Props) {
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
  const fork = columns.at(-1)?.bars ?? []
  return (
    <>
      <div ref={row} className="form-band" style={{ gridTemplateColumns: `repeat(${columns.length}, 1fr)` }}>
        {columns.map(
          (column, place) =>
            words.has(column.number) && (
              <span
                key={`w${column.number}`}
                className="words"
                style={{ gridRow: 1, gridColumn: `${place + 1} / ${1 + nextWords(columns, words, place)}` }}
              >
                {words.get(column.number)}
              </span>
            ),
        )}
        {columns.map((column) => (
          <button
            key={column.number}
            type="button"
            aria-pressed={column.number === chosen}
            aria-label={`Bar ${column.number} in every pass`}
            className={column.bars.length > 1 ? 'form-column fork' : 'form-column'}
            style={{ gridRow: 2 }}
            onClick={() => onBar(column)}
          >
            <span className="bar-number">{column.number}</span>
            {column.bars.map(({ bar }) => (
              <div key={bar.written} className="form-bar" data-written={bar.written}>
                <Chords bar={bar} names={names} small={column.bars.length > 1} />
              </div>
            ))}
          </button>
        ))}
      </div>
      <div className="fork-names">
        {fork.length > 1 && fork.map(({ bar, ending }) => <b key={bar.written}>{ending === null ? '' : ordinal(ending + 1)}</b>)}
      </div>
    </>
  )
}

/** Words reach to the column where the next begin. */
function nextWords(columns: Column[], words: Map<number, string>, place: number): number {
  const next = columns.findIndex((column, at) => at > place && words.has(column.number))
  return next < 0 ? columns.length : next
}

function Chords({ bar, names, small }: { bar: ChartBar; names: Names; small: boolean }) {
  const size = SIZES[Math.min(3, bar.chords.length - 1 + (small ? 1 : 0))] ?? 13
  return (
    <>
      {bar.chords.map((chord) => (
        <ChordName key={chord.at} chord={chord} names={names} size={size} />
      ))}
    </>
  )
}
