import type { BreakdownCard } from '../../api/types'

/** Boards of the shelf by what the hand does; on each, straight stands left of swung and slow left of fast. */
export function boards(cards: BreakdownCard[]): { name: string; cards: BreakdownCard[] }[] {
  const sorted = [...cards].sort((a, b) => a.sketch.p - b.sketch.p || a.tempo - b.tempo)
  const inFour = (card: BreakdownCard) => card.meter === '4/4'
  const sixteenths = (card: BreakdownCard) => card.sketch.strokes.filter((stroke) => stroke.direction === 'up').length > card.sketch.beats
  return [
    { name: 'In four, eighths', cards: sorted.filter((card) => inFour(card) && !sixteenths(card)) },
    { name: 'In four, sixteenths', cards: sorted.filter((card) => inFour(card) && sixteenths(card)) },
    { name: 'In three, in twelve and the rest', cards: sorted.filter((card) => !inFour(card)) },
  ].filter((row) => row.cards.length > 0)
}
