import { useEffect, useRef } from 'react'
import type { Path, VoicedChord } from '../../api/types'
import { gripText } from '../../ui/gripText'
import { Drawing } from '../../ui/Drawing'
import { neckScale, neckWindow } from '../../ui/neckGeometry'
import { useNeckView } from '../../ui/neckView'
import { DotsOfGrip, Threads, type Label } from './sheetMarks'

type Props = {
  chords: VoicedChord[]
  moves: Path['moves']
  chosen: number
  onChoose: (index: number) => void
  label: Label
  tuning: string
}

const WIDTH = 830
const LEFT = 150
const NECK = 520
const ROW = 116
const TOP = 14
const STRING_GAP = 13.5
const SHEAR = 8.5
const FRETS_HEIGHT = 20

type Window = { first: number; last: number }
export type SheetPlace = { dotX: (fret: number, string: number) => number; dotY: (row: number, string: number) => number }

/** Necks laid one under the other, each sheared so that threads can run from sheet to sheet. */
export function NeckSheets({ chords, moves, chosen, onChoose, label, tuning }: Props) {
  const strings = chords[0]?.voicing.frets.length ?? 6
  const window = neckWindow(chords.map((chord) => chord.voicing.frets))
  const scale = neckScale(window, NECK, useNeckView())
  const scroller = useRef<HTMLDivElement>(null)
  const lane = (string: number) => scale.row(string, strings)
  const dotX = (fret: number, string: number) => LEFT + (fret === 0 ? scale.openX(9) : scale.tipX(fret)) + lane(string) * SHEAR
  const dotY = (row: number, string: number) => TOP + row * ROW + lane(string) * STRING_GAP

  useEffect(() => {
    const box = scroller.current
    if (box === null) return
    const top = chosen * ROW
    if (top < box.scrollTop || top + 1.6 * ROW > box.scrollTop + box.clientHeight)
      box.scrollTo({ top: Math.max(0, top - ROW), behavior: 'instant' })
  }, [chosen])

  return (
    <div ref={scroller} className="sheets" role="region" aria-label="Sheets of the neck" tabIndex={0}>
      <svg width={WIDTH} height={FRETS_HEIGHT} viewBox={`0 0 ${WIDTH} ${FRETS_HEIGHT}`} className="fret-names" aria-hidden="true">
        {fretsOf(window)
          .slice(1)
          .map((fret) => (
            <text key={fret} x={LEFT + scale.tipX(fret)} y={14} className={[3, 5, 7, 9, 12, 15].includes(fret) ? 'marked' : ''}>
              {fret}
            </text>
          ))}
      </svg>
      <Drawing name="the grips">
        <svg
          width={WIDTH}
          height={TOP + chords.length * ROW}
          viewBox={`0 0 ${WIDTH} ${TOP + chords.length * ROW}`}
          role="group"
          aria-label={`Grips in ${tuning} tuning`}
        >
          {chords.map((chord, row) => (
            <Sheet
              key={row}
              chord={chord}
              row={row}
              window={window}
              strings={strings}
              chosen={row === chosen}
              onChoose={() => onChoose(row)}
              scale={scale}
              dotX={dotX}
              dotY={dotY}
            />
          ))}
          <g aria-hidden="true">
            {chords.slice(1).map((chord, index) => (
              <Threads key={index} from={chords[index]} to={chord} row={index} dotX={dotX} dotY={dotY} />
            ))}
            {chords.map((chord, row) => (
              <DotsOfGrip
                key={row}
                chord={chord}
                row={row}
                label={label}
                chosen={row === chosen}
                dotX={dotX}
                dotY={dotY}
                heldFrom={chords[row - 1]}
              />
            ))}
          </g>
          {moves.slice(0, chords.length - 1).map((move, index) => (
            <text key={index} x={WIDTH - 6} y={TOP + index * ROW + (strings - 1) * STRING_GAP + 26} className="move-words">
              {move.frets === 0 ? 'hand stays' : `hand ${move.frets > 0 ? 'up' : 'down'} ${Math.abs(move.frets)}`}
              {move.held > 0 ? `, ${move.held} held` : ''}
            </text>
          ))}
          {chords.map((chord, row) => chord.walk !== null && <Walk key={row} walk={chord.walk} y={TOP + row * ROW - 14} />)}
        </svg>
      </Drawing>
    </div>
  )
}

type SheetProps = SheetPlace & {
  chord: VoicedChord
  row: number
  window: Window
  strings: number
  chosen: boolean
  onChoose: () => void
  scale: ReturnType<typeof neckScale>
}

function Sheet({ chord, row, window, strings, chosen, onChoose, scale, dotX, dotY }: SheetProps) {
  const { voicing } = chord
  const top = TOP + row * ROW - 5
  const bottom = TOP + row * ROW + (strings - 1) * STRING_GAP + 5
  const x = (at: number, lane: number) => LEFT + at + lane * SHEAR
  const fretted = voicing.frets.filter((fret): fret is number => fret !== null && fret > 0)
  const hand = fretted.length === 0 ? null : ([Math.max(Math.min(...fretted) - 1, window.first), Math.max(...fretted)] as const)
  const edge = (at: number, end: 'top' | 'bottom') => `${x(at, end === 'top' ? -0.4 : strings - 0.6)},${end === 'top' ? top : bottom}`
  const slab = (from: number, to: number) =>
    `${edge(scale.wireX(from), 'top')} ${edge(scale.wireX(to), 'top')} ${edge(scale.wireX(to), 'bottom')} ${edge(scale.wireX(from), 'bottom')}`
  const { root } = voicing
  const imagined =
    root !== null && root !== undefined && !voicing.degrees.includes('R') && root.fret <= window.last && root.fret > window.first
      ? root
      : null
  return (
    <g className={chosen ? 'sheet chosen' : 'sheet'}>
      <g role="button" aria-pressed={chosen} aria-label={sheetWords(chord)} onClick={onChoose}>
        <polygon className="sheet-name" points={`4,${top - 4} 104,${top - 4} 146,${bottom + 4} 4,${bottom + 4}`} />
        <polygon className="sheet-paper" points={slab(window.first, window.last)} />
        {hand !== null && <polygon className="sheet-hand" points={slab(...hand)} />}
        {fretsOf(window).map((fret) => (
          <line
            key={fret}
            x1={x(scale.wireX(fret), -0.4)}
            y1={top}
            x2={x(scale.wireX(fret), strings - 0.6)}
            y2={bottom}
            className={fret === 0 ? 'nut' : 'fret'}
          />
        ))}
        {voicing.frets.map((fret, string) => {
          const lane = scale.row(string, strings)
          return (
            <line
              key={string}
              x1={x(0, lane)}
              x2={x(NECK, lane)}
              y1={dotY(row, string)}
              y2={dotY(row, string)}
              className={fret === null ? 'string muted' : 'string'}
              strokeWidth={1.7 - (string * 1.1) / strings}
            />
          )
        })}
        {voicing.barres.map((barre) => (
          <line
            key={`${barre.fret}-${barre.from}`}
            x1={dotX(barre.fret, strings - barre.from)}
            y1={dotY(row, strings - barre.from)}
            x2={dotX(barre.fret, strings - barre.to)}
            y2={dotY(row, strings - barre.to)}
            className="barre"
          />
        ))}
        {imagined !== null && (
          <rect
            x={dotX(imagined.fret, strings - imagined.string) - 6}
            y={dotY(row, strings - imagined.string) - 6}
            width={12}
            height={12}
            className="imagined-root"
          />
        )}
      </g>
      <g aria-hidden="true">
        <text x={14} y={top + 17} className="sheet-chord">
          {chord.symbol}
          {chord.shape !== null && (
            <tspan className="sheet-shape" dx={6}>
              {chord.shape}
            </tspan>
          )}
        </text>
        <text x={14} y={top + 34} className="sheet-line">
          {sheetPlace(chord)}
        </text>
        <text x={14} y={top + 52} className="sheet-line frets">
          {gripText(chord.voicing.frets)}
        </text>
        <text x={14} y={top + 68} className="sheet-line">
          {chord.linked ? '◆ leads · ' : chord.pinned ? '◆ pinned · ' : chord.follows ? '◇ follows · ' : ''}
          top {voicing.top.note} = {voicing.top.degree}
        </text>
      </g>
    </g>
  )
}

/** The grips a placed walk goes through, on the way to its chord. */
function Walk({ walk, y }: { walk: NonNullable<VoicedChord['walk']>; y: number }) {
  return (
    <text x={LEFT} y={y} className="walk-words">
      ↠ {walk.grips.map((grip) => `${grip.symbol} ${gripText(grip.voicing.frets)}`).join(' → ')} →
    </text>
  )
}

const sheetPlace = (chord: VoicedChord): string =>
  `bar ${chord.form_bar + 1}${chord.beat > 1 ? `, beat ${chord.beat}` : ''} · ${chord.numeral}`

/** Everything the drawing of a sheet shows, for who does not see it. */
function sheetWords(chord: VoicedChord): string {
  const { voicing } = chord
  const strings = voicing.frets
    .map(
      (fret, string) =>
        `string ${voicing.frets.length - string} ${fret === null ? 'muted' : `${fret === 0 ? 'open' : `fret ${fret} finger ${voicing.fingers[string]}`}, ${voicing.notes[string]} ${voicing.degrees[string]}`}`,
    )
    .join('; ')
  return `${chord.symbol}${chord.shape === null ? '' : `, held as ${chord.shape}`}, ${sheetPlace(chord)}${chord.pinned ? ', pinned' : ''}: ${strings}`
}

const fretsOf = (window: Window): number[] => Array.from({ length: window.last - window.first + 1 }, (_, index) => window.first + index)
