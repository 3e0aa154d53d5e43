import type { BreakdownDocument } from '../../../api/types'

export type FigurePlace = { pass: string; section: string; ending: number | null; bar: number }

type PlacedFigure = Extract<BreakdownDocument['placed'][number], { instead?: boolean }>

/** The figure that is played at a place of a pass. */
export function playedAt({ placed, figures }: BreakdownDocument, at: FigurePlace): PlacedFigure | undefined {
  const known = new Set(figures?.map(({ id }) => id))
  return placed.findLast(
    (each): each is PlacedFigure =>
      known.has(each.what) &&
      each.at.section === at.section &&
      each.at.ending === at.ending &&
      each.at.bar === at.bar &&
      (each.passes == null || each.passes.includes(at.pass)),
  )
}
