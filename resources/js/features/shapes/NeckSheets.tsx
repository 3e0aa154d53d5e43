import { useEffect, useRef } from 'react'
import type { Path, VoicedChord } from '../../api/types'
import { neckScale, neckWindow } from '../../ui/neckGeometry'

export type Label = 'degrees' | 'notes' | 'fingers'

type Props = { chords: VoicedChord[]; moves: Path['moves']; chosen: number; onChoose: (index: number) => void; label: Label; tuning: string }

const WIDTH = 830
const LEFT = 150
const NECK = 520
const ROW = 116
const STRING_GAP = 13.5
const SHEAR = 8.5

/** Necks laid one under the other, each sheared so that threads can run from sheet to sheet. */
export function NeckSheets({ chords, moves, chosen, onChoose, label, tuning }: Props) {
  const strings = chords[0]?.voicing.frets.length ?? 6
  const window = neckWindow(chords.map((chord) => chord.voicing.frets))
  const scale = neckScale(window, NECK)
  const scroller = useRef<HTMLDivElement>(null)
  const dotX = (fret: number, string: number) => LEFT + (fret === 0 ? -9 : scale.tipX(fret)) + string * SHEAR
  const dotY = (row: number, string: number) => 30 + row * ROW + string * STRING_GAP

  useEffect(() => {
    const box = scroller.current
    if (box === null) return
    const top = chosen * ROW
    if (top < box.scrollTop || top + 1.6 * ROW > box.scrollTop + box.clientHeight) box.scrollTo({ top: Math.max(0, top - ROW), behavior: 'instant' })
  }, [chosen])

  return (
    <div ref={scroller} className="sheets">
      <svg width={WIDTH} height={30 + chords.length * ROW} viewBox={`0 0 ${WIDTH} ${30 + chords.length * ROW}`} role="list" aria-label={`Grips in ${tuning} tuning`}>
        <g className="fret-names">
          {fretsOf(window).slice(1).map((fret) => (
            <text key={fret} x={LEFT + scale.tipX(fret)} y={14} className={[3, 5, 7, 9, 12, 15].includes(fret) ? 'marked' : ''}>
              {fret}
            </text>
          ))}
        </g>
        {chords.map((chord, row) => (
          <Sheet key={row} chord={chord} row={row} window={window} strings={strings} chosen={row === chosen} onChoose={() => onChoose(row)} wireX={scale.wireX} dotX={dotX} dotY={dotY} />
        ))}
        {chords.slice(1).map((chord, index) => (
          <Threads key={index} from={chords[index]} to={chord} row={index} dotX={dotX} dotY={dotY} strings={strings} />
        ))}
        {chords.map((chord, row) => (
          <Dots key={row} chord={chord} row={row} label={label} chosen={row === chosen} dotX={dotX} dotY={dotY} heldFrom={chords[row - 1]} />
        ))}
        {moves.slice(0, chords.length - 1).map((move, index) => (
          <text key={index} x={WIDTH - 6} y={dotY(index, strings - 1) + 26} className="move-words">
            {move.frets === 0 ? 'hand stays' : `hand ${move.frets > 0 ? 'up' : 'down'} ${Math.abs(move.frets)}`}
            {move.held > 0 ? `, ${move.held} held` : ''}
          </text>
        ))}
      </svg>
    </div>
  )
}

type Place = { dotX: (fret: number, string: number) => number; dotY: (row: number, string: number) => number }

function Sheet({ chord, row, window, strings, chosen, onChoose, wireX, dotY }: Place & { chord: VoicedChord; row: number; window: { first: number; last: number }; strings: number; chosen: boolean; onChoose: () => void; wireX: (fret: number) => number }) {
  const top = dotY(row, 0) - 5
  const bottom = dotY(row, strings - 1) + 5
  const x = (at: number, string: number) => LEFT + at + string * SHEAR
  const fretted = chord.voicing.frets.filter((fret): fret is number => fret !== null && fret > 0)
  const hand = fretted.length === 0 ? null : ([Math.min(...fretted) - 1, Math.max(...fretted)] as const)
  const corner = (at: number, end: 'top' | 'bottom') => `${x(at, end === 'top' ? -0.4 : strings - 0.6)},${end === 'top' ? top : bottom}`
  return (
    <g className={chosen ? 'sheet chosen' : 'sheet'} role="listitem" onClick={onChoose}>
      <polygon className="sheet-name" points={`4,${top - 4} 104,${top - 4} 146,${bottom + 4} 4,${bottom + 4}`} />
      <text x={14} y={top + 17} className="sheet-chord">
        {chord.symbol}
      </text>
      <text x={14} y={top + 34} className="sheet-line">
        bar {chord.form_bar + 1}
        {chord.beat > 1 ? `, beat ${chord.beat}` : ''} · {chord.numeral}
      </text>
      <text x={14} y={top + 52} className="sheet-line frets">
        {chord.voicing.frets.map((fret) => fret ?? 'x').join(' ')}
      </text>
      <text x={14} y={top + 68} className="sheet-line">
        {chord.linked ? '◆ leads · ' : chord.pinned ? '◆ pinned · ' : chord.follows ? '◇ follows · ' : ''}
        top {chord.voicing.top.note} = {chord.voicing.top.degree}
      </text>
      <polygon className="sheet-paper" points={`${corner(0, 'top')} ${corner(wireX(window.last), 'top')} ${corner(wireX(window.last), 'bottom')} ${corner(0, 'bottom')}`} />
      {hand !== null && <polygon className="sheet-hand" points={`${corner(wireX(Math.max(hand[0], window.first)), 'top')} ${corner(wireX(hand[1]), 'top')} ${corner(wireX(hand[1]), 'bottom')} ${corner(wireX(Math.max(hand[0], window.first)), 'bottom')}`} />}
      {fretsOf(window).map((fret) => (
        <line key={fret} x1={x(wireX(fret), -0.4)} y1={top} x2={x(wireX(fret), strings - 0.6)} y2={bottom} className={fret === 0 ? 'nut' : 'fret'} />
      ))}
      {Array.from({ length: strings }, (_, string) => (
        <line key={string} x1={x(0, string)} x2={x(wireX(window.last), string)} y1={dotY(row, string)} y2={dotY(row, string)} className={chord.voicing.frets[string] === null ? 'string muted' : 'string'} strokeWidth={1.7 - (string * 1.1) / strings} />
      ))}
      {chord.voicing.barres.map((barre) => (
        <line key={`${barre.fret}-${barre.from}`} x1={x(wireX(barre.fret) - 8, strings - barre.from)} y1={dotY(row, strings - barre.from)} x2={x(wireX(barre.fret) - 8, strings - barre.to)} y2={dotY(row, strings - barre.to)} className="barre" />
      ))}
      {chord.voicing.root !== null && chord.voicing.root !== undefined && !chord.voicing.degrees.includes('R') && chord.voicing.root.fret <= window.last && chord.voicing.root.fret > window.first && (
        <rect x={x((wireX(chord.voicing.root.fret) + wireX(chord.voicing.root.fret - 1)) / 2, strings - chord.voicing.root.string) - 6} y={dotY(row, strings - chord.voicing.root.string) - 6} width={12} height={12} className="imagined-root" />
      )}
    </g>
  )
}

function Threads({ from, to, row, dotX, dotY, strings }: Place & { from: VoicedChord | undefined; to: VoicedChord; row: number; strings: number }) {
  if (from === undefined) return null
  return (
    <g className="threads">
      {Array.from({ length: strings }, (_, string) => {
        const a = from.voicing.frets[string]
        const b = to.voicing.frets[string]
        if (a === null || a === undefined || b === null || b === undefined) return null
        const x1 = dotX(a, string)
        const y1 = dotY(row, string)
        const x2 = dotX(b, string)
        const y2 = dotY(row + 1, string)
        const middle = y1 + (y2 - y1) * 0.72
        return <path key={string} d={`M${x1} ${y1}C${x1} ${middle} ${x2} ${y1 + (y2 - y1) * 0.28} ${x2} ${y2}`} className={a === b ? 'thread held' : 'thread'} />
      })}
    </g>
  )
}

function Dots({ chord, row, label, chosen, dotX, dotY, heldFrom }: Place & { chord: VoicedChord; row: number; label: Label; chosen: boolean; heldFrom: VoicedChord | undefined }) {
  const { voicing } = chord
  return (
    <g className={chosen ? 'dots chosen' : 'dots'} aria-label={`${chord.symbol}: ${voicing.degrees.map((degree) => degree ?? 'muted').join(', ')}`}>
      {voicing.frets.map((fret, string) => {
        const y = dotY(row, string)
        if (fret === null) return <path key={string} d={`M${dotX(0, string) - 3} ${y - 3}l6 6m0 -6l-6 6`} className="mute-cross" />
        const x = dotX(fret, string)
        const text = label === 'degrees' ? voicing.degrees[string] : label === 'notes' ? voicing.notes[string] : voicing.fingers[string] === 0 ? '○' : voicing.fingers[string]
        const wide = String(text ?? '').length > 2 ? 30 : 24
        const held = heldFrom?.voicing.frets[string] === fret
        const root = voicing.degrees[string] === 'R'
        return (
          <g key={string} className={held ? 'dot held' : 'dot'}>
            <rect x={x - wide / 2} y={y - 6.5} width={wide} height={13} rx={root ? 0 : 6.5} />
            <text x={x} y={y + 4}>
              {text}
            </text>
          </g>
        )
      })}
    </g>
  )
}

const fretsOf = (window: { first: number; last: number }): number[] => Array.from({ length: window.last - window.first + 1 }, (_, index) => window.first + index)
