import type { Hand } from '../../api/types'
import { FixButtons } from '../bench/FixButtons'
import { RangeBar } from './RangeBar'

const FIGURES: [string, (hand: Hand) => string][] = [
  ['strokes a bar', (hand) => String(hand.density)],
  ['strokes a second', (hand) => hand.strokes_a_second.toFixed(1)],
  ['muted', (hand) => `${Math.round(100 * hand.muted_share)} %`],
  ['syncopation a bar', (hand) => String(hand.syncopation)],
  ['string crossings', (hand) => (hand.crossings.count === 0 ? 'none' : `${hand.crossings.count}, ${hand.crossings.around} the long way`)],
]

type Props = {
  hand: Hand | undefined
  /** another pattern's figures, kept to compare with */
  kept: Hand | null
  tempo: number
  /** strokes that the grips cannot take as they are drawn */
  faults: Hand['warnings']
}

/** What the core says of the whole pattern. */
export function PatternFigures({ hand, kept, tempo, faults }: Props) {
  return (
    <>
      <h3>The pattern</h3>
      {hand !== undefined && (
        <dl className={kept === null ? 'figures' : 'figures compared'}>
          {FIGURES.map(([name, of]) => (
            <div key={name}>
              <dt>{name}</dt>
              {kept !== null && <dd className="muted">{of(kept)}</dd>}
              <dd>{of(hand)}</dd>
            </div>
          ))}
        </dl>
      )}
      {kept !== null && <p className="muted">left: the one kept, right: this one</p>}
      {hand !== undefined && <RangeBar limit={hand.limit} tempo={tempo} />}
      {[...(hand?.warnings ?? []), ...faults].map((warning) => (
        <div key={`${warning.kind}-${warning.at.join()}`} className="finding finding-swing">
          {warning.text}
          <FixButtons fixes={warning.fixes} />
        </div>
      ))}
      {hand !== undefined && hand.density === 0 && (
        <p className="finding finding-swing">No strokes yet: press X on a slot, or click one.</p>
      )}
    </>
  )
}
