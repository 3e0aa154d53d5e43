import type { Timeline } from '../../api/types'

/**
 * The bar of the song with which the round of a pattern or figure begins that a bar belongs to; null where it is not played there.
 */
export function roundAt(timeline: Timeline, pattern: string, bar: number): number | null {
  const figure = timeline.strokes.find((stroke) => stroke.pattern === pattern && stroke.bar === bar)?.figure_bar
  if (figure !== undefined) return figure
  const here = timeline.bars[bar]
  return here?.pattern === pattern ? bar - here.pattern_bar : null
}

/** The first round of it in a section of a pass that is played, else anywhere in the song; the song's beginning where there is none. */
export function firstRound(timeline: Timeline, pattern: string, place: { pass: string; section: string }): number {
  const played = timeline.strokes.filter((stroke) => stroke.pattern === pattern)
  const here = played.find(({ bar }) => timeline.bars[bar]?.pass === place.pass && timeline.bars[bar]?.section === place.section)
  const first = here ?? played[0]
  return first === undefined ? 0 : (roundAt(timeline, pattern, first.bar) ?? 0)
}
