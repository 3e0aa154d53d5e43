import type { Hand, HandSlot, PatternDocument, StrokeDocument } from '../../api/types'

export type Kind = NonNullable<StrokeDocument['articulation']>

/** What a new stroke of a line plays, and with what. */
export type Habit = Hand['habits'][number]

/**
 * Edits one line (stream) of the pattern and leaves the other as it is.
 *
 * @param habit of the line; where it is not known yet, a new stroke is plain
 */
export function lineEditor(line: number, habit?: Habit) {
  const onLine = (pattern: PatternDocument, edit: (strokes: StrokeDocument[]) => StrokeDocument[]): PatternDocument => ({
    ...pattern,
    streams: pattern.streams.map((stream, index) =>
      index === line ? { ...stream, strokes: edit(stream.strokes).sort((a, b) => a.at - b.at) } : stream,
    ) as PatternDocument['streams'],
  })

  const strokeAt = (pattern: PatternDocument, at: number | null): StrokeDocument | undefined =>
    pattern.streams[line]?.strokes.find((stroke) => stroke.at === at)

  const withoutStroke = (pattern: PatternDocument, at: number): PatternDocument =>
    strokeAt(pattern, at) === undefined ? pattern : onLine(pattern, (strokes) => strokes.filter((stroke) => stroke.at !== at))

  /** Sets what a slot sounds; a new stroke belongs to the division it was set on. */
  const withKind = (pattern: PatternDocument, slot: HandSlot, kind: Kind): PatternDocument =>
    onLine(pattern, (strokes) => {
      const before = strokes.find((stroke) => stroke.at === slot.at) ?? (habit as Partial<StrokeDocument> | undefined) ?? {}
      const { division, accent }: Partial<StrokeDocument> = before
      return [
        ...strokes.filter((stroke) => stroke.at !== slot.at),
        {
          ...before,
          at: slot.at,
          division: division ?? (slot.division as StrokeDocument['division']),
          accent: kind === 'ghost' ? 0 : (accent ?? 1),
          articulation: kind,
        },
      ]
    })

  const changed = (pattern: PatternDocument, at: number, part: Partial<StrokeDocument>): PatternDocument =>
    onLine(pattern, (strokes) => strokes.map((stroke) => (stroke.at === at ? { ...stroke, ...part } : stroke)))

  /** Fixes a direction by hand, or gives it back to the school. */
  const fixedDirection = (pattern: PatternDocument, at: number, direction: 'down' | 'up' | null): PatternDocument => {
    const others = (strokeAt(pattern, at)?.fixed ?? []).filter((field) => field !== 'direction')
    return changed(pattern, at, { direction, fixed: direction === null ? others : [...others, 'direction'] })
  }

  return { strokeAt, withoutStroke, withKind, changed, fixedDirection }
}

/** With a second line to write in; an empty one that was left is taken away again. */
export function withLines(pattern: PatternDocument, lines: 1 | 2): PatternDocument {
  const [first, second] = pattern.streams
  const streams =
    lines === 2
      ? [first, second ?? { name: 'bass', strokes: [] }]
      : second !== undefined && second.strokes.length > 0
        ? [first, second]
        : [first]
  return streams.length === pattern.streams.length ? pattern : { ...pattern, streams: streams as PatternDocument['streams'] }
}
