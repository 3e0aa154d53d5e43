import type { BreakdownDocument } from '../../../api/types'

export type FigurePlace = { pass: string; section: string; ending: number | null; bar: number }

export type PlacedFigure = Extract<BreakdownDocument['placed'][number], { instead?: boolean }>

/** The figures that are played in a section of a pass. */
export function figuresAt({ placed, figures }: BreakdownDocument, { pass, section }: { pass: string; section: string }): PlacedFigure[] {
  const known = new Set(figures?.map(({ id }) => id))
  return placed.filter(
    (each): each is PlacedFigure =>
      known.has(each.what) && each.at.section === section && (each.passes == null || each.passes.includes(pass)),
  )
}

/** The figure that is played at a place of a pass. */
export const playedAt = (document: BreakdownDocument, { ending, bar, ...place }: FigurePlace): PlacedFigure | undefined =>
  figuresAt(document, place).findLast(({ at }) => at.ending === ending && at.bar === bar)
