import type { Arrangement, BreakdownDocument, LineDocument, Patch, PatternDocument, SongPlace } from './types'

/** A section of a pass. */
export type Place = { pass: string; section: string }

/** One place of the song that is worked at, with what the guitar plays there. */
export type Desk = {
  document: BreakdownDocument
  place: Place
  pattern: PatternDocument
  line: LineDocument
  /** whose pattern and line these are, where it is not that with the band */
  arrangement?: Arrangement
  /** id of the figure whose strokes are worked at in place of the pattern's */
  figure?: string
}

/** @param told what the core says is played where; while it is on its way, the song's first pattern and line stand */
export function deskOf(
  document: BreakdownDocument,
  asked: Partial<Place>,
  told: SongPlace[] | undefined,
  arrangement: Arrangement = 'with-band',
): Desk {
  const pass = document.passes.find(({ id }) => id === asked.pass) ?? document.passes[0]
  const section = document.sections.find(({ id }) => id === asked.section) ?? document.sections[0]
  const place = { pass: pass.id, section: section.id }
  const played = told?.find((each) => each.pass === place.pass && each.section === place.section)
  const pattern = document.patterns.find(({ id }) => id === played?.pattern) ?? document.patterns[0]
  const line = document.lines.find(({ id }) => id === played?.line) ?? document.lines[0]
  if (arrangement === 'with-band') return { document, place, pattern, line }
  return {
    document,
    place,
    arrangement,
    pattern: document.patterns.find(({ aloneOf }) => aloneOf === pattern.id) ?? pattern,
    line: document.lines.find(({ aloneOf }) => aloneOf === line.id) ?? line,
  }
}

const withEntry = <T extends { id: string }>(list: [T, ...T[]], id: string, change: (entry: T) => T): [T, ...T[]] =>
  list.map((entry) => (entry.id === id ? change(entry) : entry)) as [T, ...T[]]

/** The strokes of this id: a pattern's, or a figure's as if they were one. */
export function strokesOf({ patterns, figures }: BreakdownDocument, id: string): PatternDocument | undefined {
  const figure = figures?.find((each) => each.id === id)
  if (figure === undefined) return patterns.find((pattern) => pattern.id === id)
  const { name, meter, ticks, streams } = figure
  return { id, name, meter, ticks, streams: streams as PatternDocument['streams'], school: 'pendulum' }
}

/** The same place with the strokes of a figure that is played there. */
export function atFigure(desk: Desk, figure: string | null): Desk {
  const pattern = figure === null ? undefined : strokesOf(desk.document, figure)
  return figure === null || pattern === undefined ? desk : { ...desk, pattern, figure }
}

/** The strokes of this id changed, a pattern's or a figure's. */
export function withPattern(
  document: BreakdownDocument,
  id: string,
  change: (pattern: PatternDocument) => PatternDocument,
): BreakdownDocument {
  const now = strokesOf(document, id)
  if (document.figures?.some((figure) => figure.id === id) === true && now !== undefined) {
    const { name, ticks, streams } = change(now)
    if (streams === now.streams && name === now.name) return document
    return { ...document, figures: document.figures.map((figure) => (figure.id === id ? { ...figure, name, ticks, streams } : figure)) }
  }
  const patterns = withEntry(document.patterns, id, change)
  return patterns.every((pattern, place) => pattern === document.patterns[place]) ? document : { ...document, patterns }
}

export const withLine = (document: BreakdownDocument, id: string, change: (line: LineDocument) => LineDocument): BreakdownDocument => ({
  ...document,
  lines: withEntry(document.lines, id, change),
})

export const withStart = (document: BreakdownDocument, part: Partial<BreakdownDocument['start']>): BreakdownDocument => ({
  ...document,
  start: { ...document.start, ...part },
})

/** @returns the document as proposed; null where something that would be replaced is not there any more */
export function patched(document: BreakdownDocument, patches: Patch[]): BreakdownDocument | null {
  const next: Record<string, unknown> = { ...document }
  for (const { field, id, was, becomes } of patches) {
    const entries = next[field] as { id?: string }[]
    const now = id === null ? next[field] : entries.find((entry) => entry.id === id)
    if (!same(now, was)) return null
    next[field] = id === null ? becomes : entries.map((entry) => (entry.id === id ? becomes : entry))
  }
  return next as unknown as BreakdownDocument
}

/** Whether what stands in the document is what the core was asked about; fields that are left out there the core filled in. */
function same(now: unknown, asked: unknown): boolean {
  if (now === asked || now == null) return true
  if (typeof now !== 'object' || typeof asked !== 'object' || asked === null) return false
  if (Array.isArray(now) && now.length !== (asked as unknown[]).length) return false
  return Object.entries(now).every(([name, value]) => same(value, (asked as Record<string, unknown>)[name]))
}
