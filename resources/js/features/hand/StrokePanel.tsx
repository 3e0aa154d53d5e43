import type { Hand, HandSlot, StrokeDocument } from '../../api/types'
import { useDesk } from '../bench/benchContext'
import { Marking } from '../bench/Marking'
import { PatternFigures } from './PatternFigures'
import { StrokeFields } from './StrokeFields'
import type { Kind } from './strokes'

type Props = {
  hand: Hand | undefined
  /** another pattern's figures, kept to compare with */
  kept: Hand | null
  tempo: number
  /** the line of the pattern that is written in */
  line: number
  /** strokes that the grips cannot take as they are drawn */
  faults: Hand['warnings']
  slot: HandSlot | undefined
  stroke: StrokeDocument | undefined
  /** how long it sounds, the first time it comes */
  sounds: { beats: number; seconds: number } | undefined
  mine: boolean
  onKind: (kind: Kind) => void
  onAir: () => void
  onAccent: (accent: number) => void
  onPart: (part: Partial<StrokeDocument>) => void
  onDirection: (direction: 'down' | 'up') => void
}

/** What of a stroke is often left open, and what else it may be. */
const MARKED: [string, string[]][] = [
  ['direction', ['down', 'up']],
  ['length', []],
  ['articulation', []],
]

const KINDS: { kind: Kind; name: string; key: string }[] = [
  { kind: 'ring', name: 'strike', key: 'X' },
  { kind: 'short', name: 'short', key: 'S' },
  { kind: 'palm-mute', name: 'palm-mute', key: 'M' },
  { kind: 'chuck', name: 'chuck', key: 'C' },
  { kind: 'ghost', name: 'ghost', key: 'G' },
]

/** The chosen stroke, and what the core says of the whole pattern. */
export function StrokePanel({
  hand,
  faults,
  kept,
  tempo,
  line,
  slot,
  stroke,
  sounds,
  mine,
  onKind,
  onAir,
  onAccent,
  onPart,
  onDirection,
}: Props) {
  const { pattern } = useDesk()
  const planned = hand?.sketch.strokes.find((each) => each.at === slot?.at && (each.stream ?? line) === line)
  return (
    <aside className="side" aria-label="Stroke">
      <h2>
        Stroke{' '}
        <small className="muted">
          slot {(slot?.slot ?? 0) + 1}
          {slot?.syllable ? `, counted “${slot.syllable}”` : ''}
        </small>
      </h2>
      <div className="choices" role="group" aria-label="Kind">
        {KINDS.map(({ kind, name, key }) => (
          <button
            key={kind}
            type="button"
            disabled={!mine}
            aria-pressed={stroke !== undefined && (stroke.articulation ?? 'ring') === kind}
            onClick={() => onKind(kind)}
          >
            {name} <kbd>{key}</kbd>
          </button>
        ))}
        <button type="button" disabled={!mine} aria-pressed={stroke === undefined} onClick={onAir}>
          air <kbd>.</kbd>
        </button>
      </div>
      {stroke === undefined ? (
        <p className="muted">
          {planned === undefined ? 'The hand is turning here.' : `The hand passes ${planned.direction} here without touching the strings.`}
        </p>
      ) : (
        <StrokeFields
          stroke={stroke}
          planned={planned?.direction}
          sounds={sounds}
          mine={mine}
          onAccent={onAccent}
          onPart={onPart}
          onDirection={onDirection}
        />
      )}
      {stroke !== undefined && (
        <div className="button-row stroke-marks">
          <span className="muted">mark its</span>
          {MARKED.map(([field, others]) => (
            <span key={field} className="button-row">
              {field}
              <Marking
                on={{ what: 'stroke', field, id: pattern.id, stream: line, tick: stroke.at }}
                label={`${field} of this stroke`}
                others={others}
              />
            </span>
          ))}
        </div>
      )}
      <PatternFigures hand={hand} kept={kept} tempo={tempo} faults={faults} />
    </aside>
  )
}
