import type { LaidFigure } from '../../../api/types'

const GAP = 15
const TOP = 12
const LEFT = 14
const A_BEAT = 66

/** The figure on its strings, the highest on top: frets where they are struck, degrees below; a stroke on the grip is a blade. */
export function FigureTab({ laid }: { laid: LaidFigure }) {
  const { strings } = laid
  const beats = Math.max(1, ...laid.steps.map(({ beats: at }) => Math.floor(at) + 1))
  const width = LEFT + beats * A_BEAT
  const bottom = TOP + (strings - 1) * GAP
  const x = (at: number) => LEFT + 10 + at * A_BEAT
  const words = laid.steps.map(({ notes }) =>
    notes.length === 0 ? 'the grip' : notes.map((note) => `fret ${note.fret} on string ${note.string}`).join(' and '),
  )
  return (
    <svg
      className="figure-tab"
      viewBox={`0 0 ${width} ${bottom + 24}`}
      width={width}
      height={bottom + 24}
      role="img"
      aria-label={words.join(', ')}
    >
      {Array.from({ length: strings }, (_, string) => (
        <line key={string} x1={LEFT} x2={width} y1={TOP + string * GAP} y2={TOP + string * GAP} className="string" />
      ))}
      <line x1={LEFT} x2={LEFT} y1={TOP} y2={bottom} className="fret" />
      {laid.steps.map(({ beats: at, notes, stream }) => (
        <g key={`${stream}-${at}`}>
          {notes.length === 0 && <path d={`M${x(at) - 4} ${TOP}h8L${x(at) + 2} ${bottom}h-3z`} className="on-grip" />}
          {notes.map((note) => (
            <g key={note.string}>
              <rect x={x(at) - 8} y={TOP + (note.string - 1) * GAP - 7} width={16} height={14} className="tab-ground" />
              <text x={x(at)} y={TOP + (note.string - 1) * GAP + 5} textAnchor="middle" className="tab-fret">
                {note.fret}
              </text>
            </g>
          ))}
          {notes.length > 0 && (
            <text x={x(at)} y={bottom + 20} textAnchor="middle" className="tab-degree">
              {notes.map(({ degree }) => degree).join(' ')}
            </text>
          )}
        </g>
      ))}
    </svg>
  )
}
