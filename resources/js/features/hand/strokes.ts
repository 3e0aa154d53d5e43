import type { BreakdownDocument, HandSlot, StrokeDocument } from '../../api/types'

export type Kind = NonNullable<StrokeDocument['articulation']>

/** The editor works on the first stream; a second one is kept as it is. */
const onFirstStream = (document: BreakdownDocument, edit: (strokes: StrokeDocument[]) => StrokeDocument[]): BreakdownDocument => {
  const [first, ...rest] = document.pattern.streams
  const strokes = edit(first.strokes).sort((a, b) => a.at - b.at)
  return { ...document, pattern: { ...document.pattern, streams: [{ ...first, strokes }, ...rest] as BreakdownDocument['pattern']['streams'] } }
}

export const strokeAt = (document: BreakdownDocument, at: number | null): StrokeDocument | undefined => document.pattern.streams[0].strokes.find((stroke) => stroke.at === at)

export const withoutStroke = (document: BreakdownDocument, at: number): BreakdownDocument =>
  strokeAt(document, at) === undefined ? document : onFirstStream(document, (strokes) => strokes.filter((stroke) => stroke.at !== at))

/** Sets what a slot sounds; a new stroke belongs to the grid it was set on. */
export const withKind = (document: BreakdownDocument, slot: HandSlot, grid: number, kind: Kind): BreakdownDocument =>
  onFirstStream(document, (strokes) => {
    const before = strokes.find((stroke) => stroke.at === slot.at)
    const division = (before?.division ?? grid) as StrokeDocument['division']
    const accent = before?.accent ?? 1
    return [...strokes.filter((stroke) => stroke.at !== slot.at), { ...before, at: slot.at, division, accent: kind === 'ghost' ? 0 : accent, articulation: kind }]
  })

export const changed = (document: BreakdownDocument, at: number, part: Partial<StrokeDocument>): BreakdownDocument =>
  onFirstStream(document, (strokes) => strokes.map((stroke) => (stroke.at === at ? { ...stroke, ...part } : stroke)))

/** Fixes a direction by hand, or gives it back to the school. */
export const fixedDirection = (document: BreakdownDocument, at: number, direction: 'down' | 'up' | null): BreakdownDocument => {
  const others = (strokeAt(document, at)?.fixed ?? []).filter((field) => field !== 'direction')
  return changed(document, at, { direction, fixed: direction === null ? others : [...others, 'direction'] })
}

/** The bar that a place lies in, copied to every other bar of the pattern. */
export const copiedBar = (document: BreakdownDocument, bars: number, at: number): BreakdownDocument => {
  const length = document.pattern.ticks / bars
  const from = Math.floor(at / length) * length
  return onFirstStream(document, (strokes) => {
    const model = strokes.filter((stroke) => stroke.at >= from && stroke.at < from + length)
    return Array.from({ length: bars }, (_, bar) => model.map((stroke) => ({ ...stroke, at: stroke.at - from + bar * length }))).flat()
  })
}
