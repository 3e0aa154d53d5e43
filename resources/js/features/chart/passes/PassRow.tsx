import { useEffect, useRef } from 'react'
import type { PassDocument, Timeline } from '../../../api/types'
import { band } from '../../../audio/band'
import { useBandFrames } from '../../../audio/useBandFrames'
import { HandOnNeck } from './HandOnNeck'
import { PassBar } from './PassBar'
import { ordinal } from '../../../ui/words'
import { loudnessOf, type Row } from './rows'
import type { Cursor } from './usePassCursor'

type Props = {
  timeline: Timeline
  row: Row
  pass: PassDocument
  number: number
  /** whether the section comes more than once in a pass */
  again: boolean
  columns: [number, number]
  pattern: string
  cursor: Cursor | null
  notes: Map<number, string>
  figures: Map<number, string>
  onBar: (bar: number, extend: boolean) => void
  onHear: () => void
}

/** One pass under the bars of a section: who plays what, and every bar as it is played. */
export function PassRow({
  timeline,
  row,
  pass,
  number,
  again,
  columns: [from, until],
  pattern,
  cursor,
  notes,
  figures,
  onBar,
  onHear,
}: Props) {
  const line = useRef<HTMLDivElement>(null)
  usePlayingBar(line, row)
  const hand = timeline.passes.find(({ id }) => id === row.pass)?.hand ?? null
  const chosen = cursor !== null && cursor.pass === row.pass && cursor.section === row.section && cursor.time === row.time
  useEffect(() => {
    if (chosen) line.current?.querySelector('[aria-pressed=true]')?.scrollIntoView({ block: 'nearest' })
  }, [chosen, cursor?.from, cursor?.to])
  const level = row.bars[0]?.told.level ?? 3
  const here = row.bars.filter(({ column }) => column >= from && column < until)
  return (
    <div className={chosen ? 'pass-row chosen' : 'pass-row'} ref={line}>
      <div className="pass-head">
        <button type="button" className="hear-plate" aria-label={`Hear the ${ordinal(number)}`} onClick={onHear}>
          <svg width="12" height="14" viewBox="0 0 12 14" aria-hidden="true">
            <path d="M1 0l11 7L1 14z" />
          </svg>
        </button>
        <div className="pass-words">
          <b>{pass.name === '' ? ordinal(number) : pass.name}</b>
          {again && <span> · time {row.time}</span>}
          {pass.lead !== undefined && pass.lead !== '' && <span className="pass-lead">{pass.lead}</span>}
          <small>
            {roleOf(row) === '' ? pattern : roleOf(row)}
            {level < 3 ? `, level ${level}` : ''}
          </small>
        </div>
        <HandOnNeck hand={hand} />
      </div>
      <div className="pass-bars" style={{ gridTemplateColumns: `repeat(${until - from}, 1fr)` }}>
        {here.map((bar) => (
          <button
            key={bar.index}
            type="button"
            data-index={bar.index}
            style={{ gridColumn: bar.column - from + 1 }}
            aria-pressed={chosen && bar.inSection >= cursor.from && bar.inSection <= cursor.to}
            aria-label={`${pass.name === '' ? ordinal(number) : pass.name}, bar ${bar.number}: ${wordsOf(bar.told)}`}
            onClick={(event) => onBar(bar.inSection, event.shiftKey)}
          >
            <PassBar timeline={timeline} bar={bar} />
            {figures.has(bar.inSection) && <span className="bar-note figure">{figures.get(bar.inSection)}</span>}
            {notes.has(bar.inSection) && <span className="bar-note">{notes.get(bar.inSection)}</span>}
          </button>
        ))}
      </div>
      <div className="pass-end">
        {row.ending !== '' && <b>{row.ending}</b>}
        <span>{loudnessOf(row)}</span>
      </div>
    </div>
  )
}

/** What the guitar does in the band, where that is not simply to comp. */
const roleOf = ({ bars }: Row): string => bars[0]?.told.role_words ?? ''

const TEXTURES = { pattern: 'the pattern', written: 'as written', free: 'free', rings: 'rings only' }
const wordsOf = (told: Row['bars'][number]['told']): string =>
  told.pattern === null ? 'out' : told.role_words === '' ? TEXTURES[told.texture] : told.role_words

/** Marks the bar that sounds, without rendering anew. */
function usePlayingBar(line: React.RefObject<HTMLDivElement | null>, row: Row): void {
  const shown = useRef(-1)
  useBandFrames(() => {
    const at = band.position()
    const index = at === null || at.countIn !== null ? -1 : at.bar
    if (index === shown.current) return
    const find = (bar: number) => line.current?.querySelector(`[data-index="${bar}"]`)
    find(shown.current)?.classList.remove('now')
    if (row.bars.some((bar) => bar.index === index)) find(index)?.classList.add('now')
    shown.current = index
  })
}
