import type { HandSlot, PatternDocument, StrokeDocument } from '../../api/types'

export type Kind = NonNullable<StrokeDocument['articulation']>

/** What a new stroke of a line plays, and with what: as the strokes it has; an empty second line is the bass under the first. */
function habitOf(strokes: StrokeDocument[], line: number): Partial<StrokeDocument> {
  const { zone = line === 0 ? undefined : 'bass', by, action }: Partial<StrokeDocument> = strokes[0] ?? {}
  return { ...(zone == null ? {} : { zone }), ...(by === undefined ? {} : { by }), ...(action === undefined ? {} : { action }) }
}

/** Edits one line (stream) of the pattern and leaves the other as it is. */
export function lineEditor(line: number) {
  const onLine = (pattern: PatternDocument, edit: (strokes: StrokeDocument[]) => StrokeDocument[]): PatternDocument => ({
    ...pattern,
    streams: pattern.streams.map((stream, index) =>
      index === line ? { ...stream, strokes: edit(stream.strokes).sort((a, b) => a.at - b.at) } : stream,
    ) as PatternDocument['streams'],
  })

  const strokeAt = (pattern: PatternDocument, at: number | null): StrokeDocument | undefined => pattern.streams[line]?.strokes.find((stroke) => stroke.at === at)

  const withoutStroke = (pattern: PatternDocument, at: number): PatternDocument =>
    strokeAt(pattern, at) === undefined ? pattern : onLine(pattern, (strokes) => strokes.filter((stroke) => stroke.at !== at))

  /** Sets what a slot sounds; a new stroke belongs to the division it was set on. */
  const withKind = (pattern: PatternDocument, slot: HandSlot, kind: Kind): PatternDocument =>
    onLine(pattern, (strokes) => {
      const before = strokes.find((stroke) => stroke.at === slot.at) ?? habitOf(strokes, line)
      const { division, accent }: Partial<StrokeDocument> = before
      return [...strokes.filter((stroke) => stroke.at !== slot.at), { ...before, at: slot.at, division: division ?? (slot.division as StrokeDocument['division']), accent: kind === 'ghost' ? 0 : (accent ?? 1), articulation: kind }]
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

/** The bar that a place lies in, copied to every other bar of the pattern, in both lines. */
export function copiedBar(pattern: PatternDocument, bars: number, at: number): PatternDocument {
  const length = pattern.ticks / bars
  const from = Math.floor(at / length) * length
  const streams = pattern.streams.map((stream) => {
    const model = stream.strokes.filter((stroke) => stroke.at >= from && stroke.at < from + length)
    return { ...stream, strokes: Array.from({ length: bars }, (_, bar) => model.map((stroke) => ({ ...stroke, at: stroke.at - from + bar * length }))).flat() }
  })
  return { ...pattern, streams: streams as PatternDocument['streams'] }
}

/** The beat that a place lies in, handed from each line to the other: the rhythms change places, each line keeps its strings and what plays them. */
export function withBeatExchanged(pattern: PatternDocument, beats: number, at: number): PatternDocument {
  const length = pattern.ticks / beats
  const from = Math.floor(at / length) * length
  const inBeat = (stroke: StrokeDocument) => stroke.at >= from && stroke.at < from + length
  const [first, second] = pattern.streams
  if (second === undefined) return pattern
  const strokes = (keeps: typeof first, comes: typeof first): StrokeDocument[] => {
    const { zone, strings, by, action }: Partial<StrokeDocument> = keeps.strokes[0] ?? {}
    const own = keeps.strokes.length === 0 ? {} : { zone, strings, by, action }
    return [...keeps.strokes.filter((stroke) => !inBeat(stroke)), ...comes.strokes.filter(inBeat).map((stroke) => ({ ...stroke, ...own }))].sort((a, b) => a.at - b.at)
  }
  return { ...pattern, streams: [{ ...first, strokes: strokes(first, second) }, { ...second, strokes: strokes(second, first) }] }
}

/** With a second line to write in; an empty one that was left is taken away again. */
export function withLines(pattern: PatternDocument, lines: 1 | 2): PatternDocument {
  const [first, second] = pattern.streams
  const streams = lines === 2 ? [first, second ?? { name: 'bass', strokes: [] }] : second !== undefined && second.strokes.length > 0 ? [first, second] : [first]
  return streams.length === pattern.streams.length ? pattern : { ...pattern, streams: streams as PatternDocument['streams'] }
}
