import type { VoicedChord } from '../../api/types'
import type { SheetPlace } from './NeckSheets'

export type Label = 'degrees' | 'notes' | 'fingers'

/** Threads from the dots of one grip to those of the next, string by string; straight is held. */
export function Threads({ from, to, row, dotX, dotY }: SheetPlace & { from: VoicedChord | undefined; to: VoicedChord; row: number }) {
  if (from === undefined) return null
  return (
    <g className="threads">
      {from.voicing.frets.map((a, string) => {
        const b = to.voicing.frets[string]
        if (a === null || b === null || b === undefined) return null
        const x1 = dotX(a, string)
        const y1 = dotY(row, string)
        const x2 = dotX(b, string)
        const y2 = dotY(row + 1, string)
        return (
          <path
            key={string}
            d={`M${x1} ${y1}C${x1} ${y1 + (y2 - y1) * 0.72} ${x2} ${y1 + (y2 - y1) * 0.28} ${x2} ${y2}`}
            className={a === b ? 'thread held' : 'thread'}
          />
        )
      })}
    </g>
  )
}

/** Where the fingers stand, each named as asked; roots are square, what is held from before is framed green. */
export function DotsOfGrip({
  chord,
  row,
  label,
  chosen,
  dotX,
  dotY,
  heldFrom,
}: SheetPlace & { chord: VoicedChord; row: number; label: Label; chosen: boolean; heldFrom: VoicedChord | undefined }) {
  const { voicing } = chord
  return (
    <g className={chosen ? 'dots chosen' : 'dots'}>
      {voicing.frets.map((fret, string) => {
        const y = dotY(row, string)
        if (fret === null) return <path key={string} d={`M${dotX(0, string) - 3} ${y - 3}l6 6m0 -6l-6 6`} className="mute-cross" />
        const x = dotX(fret, string)
        const text =
          label === 'degrees'
            ? voicing.degrees[string]
            : label === 'notes'
              ? voicing.notes[string]
              : voicing.fingers[string] === 0
                ? '○'
                : voicing.fingers[string]
        const wide = String(text ?? '').length > 2 ? 30 : 24
        const held = heldFrom?.voicing.frets[string] === fret
        return (
          <g key={string} className={held ? 'dot held' : 'dot'}>
            <rect x={x - wide / 2} y={y - 6.5} width={wide} height={13} rx={voicing.degrees[string] === 'R' ? 0 : 6.5} />
            <text x={x} y={y + 4}>
              {text}
            </text>
          </g>
        )
      })}
    </g>
  )
}
