import type { LaidFigure } from '../../../api/types'
import { inOrder, type Chosen } from './useFigureDesk'

const GAP = 15
const TOP = 12
const LEFT = 14
const A_BEAT = 66

/** Half the ground under what is written at a string. */
const halfOf = (tab: string): number => 4 + 4 * tab.length

type Props = {
  laid: LaidFigure
  chosen?: Chosen | null
  /** @param extend from the strokes that are chosen up to this one */
  onStep?: (step: number, extend: boolean) => void
}

/**
 * The figure on its strings, the highest on top: frets where they are struck, degrees below; a stroke on the grip is a blade. A
 * note in a frame is fixed, one that asks the hand to let the grip go is in red.
 */
export function FigureTab({ laid, chosen = null, onStep }: Props) {
  const { strings } = laid
  const steps = inOrder(laid)
  const beats = Math.max(1, ...steps.map(({ beats: at }) => Math.floor(at) + 1))
  const width = LEFT + beats * A_BEAT
  const bottom = TOP + (strings - 1) * GAP
  const x = (at: number) => LEFT + 10 + at * A_BEAT
  const words = steps.map(({ notes }) =>
    notes.length === 0 ? 'the grip' : notes.map((note) => `fret ${note.fret} on string ${note.string}`).join(' and '),
  )
  const isChosen = (step: number) => chosen !== null && step >= chosen.from && step <= chosen.to
  return (
    <svg
      className="figure-tab"
      viewBox={`0 0 ${width} ${bottom + 24}`}
      width={width}
      height={bottom + 24}
      {...(onStep === undefined ? { role: 'img', 'aria-label': words.join(', ') } : { role: 'group', 'aria-label': 'Notes of the figure' })}
    >
      {Array.from({ length: strings }, (_, string) => (
        <line key={string} x1={LEFT} x2={width} y1={TOP + string * GAP} y2={TOP + string * GAP} className="string" />
      ))}
      <line x1={LEFT} x2={LEFT} y1={TOP} y2={bottom} className="fret" />
      {steps.map(({ beats: at, notes, stream }, step) => (
        <g
          key={`${stream}-${at}`}
          className={isChosen(step) ? 'tab-step chosen' : 'tab-step'}
          {...(onStep === undefined
            ? {}
            : {
                role: 'button',
                'aria-label': words[step],
                'aria-pressed': isChosen(step),
                onClick: (event) => onStep(step, event.shiftKey),
              })}
        >
          {onStep !== undefined && <rect x={x(at) - 11} y={0} width={22} height={bottom + 24} className="tab-hit" />}
          {notes.length === 0 && (
            <path
              d={`M${x(at) - 4} ${TOP}h8L${x(at) + 2} ${bottom}h-3z`}
              className="on-grip"
              {...(stream === 1 ? { transform: `translate(0 ${GAP * 0.2})` } : {})}
            />
          )}
          {notes.map((note) => (
            <g key={note.string} className={laid.holds && note.way === 'by-letting-go' ? 'lets-go' : ''}>
              <rect
                x={x(at) - halfOf(note.tab)}
                y={TOP + (note.string - 1) * GAP - 7}
                width={2 * halfOf(note.tab)}
                height={14}
                className={note.fixed ? 'tab-ground fixed' : 'tab-ground'}
              />
              <text x={x(at)} y={TOP + (note.string - 1) * GAP + 5} textAnchor="middle" className="tab-fret">
                {note.tab}
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
