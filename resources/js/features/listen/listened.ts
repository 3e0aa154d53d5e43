import type { FeelReading, Hearing, HeardStroke } from '../../api/types'
import { forget, recalled, remember } from '../../ui/remembered'

/** A stroke as it was heard, or as somebody set it by hand. */
export type ListenedStroke = HeardStroke & { byHand?: boolean; out?: boolean }

/** What the listener was told about the recording. */
export type Told = { tempo?: number | undefined; first_beat?: number | undefined; grid?: number | undefined }

/** Who has the bass, and the key where somebody said it. */
export type Harmony = { company: 'alone' | 'with-bass'; key: string | null }

/** A recording that lies open, with everything corrected by hand. */
export type Listened = {
  name: string
  seconds: number
  outline: number[]
  tuning: Hearing['tuning']
  remark: string | null
  strokes: ListenedStroke[]
  /** tapped along */
  beats: number[]
  told: Told
  /** which notes sounded; null for taps */
  notes: string | null
  harmony: Harmony
}

export const listenedTo = (name: string, hearing: Hearing): Listened => ({
  name,
  seconds: hearing.seconds,
  outline: hearing.outline,
  tuning: hearing.tuning,
  remark: hearing.remark,
  strokes: hearing.strokes,
  beats: [],
  told: {},
  notes: hearing.notes,
  harmony: { company: 'alone', key: null },
})

const inOrder = (strokes: ListenedStroke[]) => [...strokes].sort((a, b) => a.t - b.t)

export const withStroke = (listened: Listened, index: number, part: Partial<ListenedStroke>): Listened => ({
  ...listened,
  strokes: inOrder(listened.strokes.map((stroke, at) => (at === index ? { ...stroke, ...part, byHand: true } : stroke))),
})

export const withNewStroke = (listened: Listened, t: number): Listened => ({
  ...listened,
  strokes: inOrder([...listened.strokes, { t, direction: null, muted: false, level_db: 0, length_s: null, byHand: true }]),
})

/** Strokes that were struck out stay to be seen, but nobody counts them. */
export const counted = (listened: Listened): HeardStroke[] =>
  listened.strokes
    .filter((stroke) => stroke.out !== true)
    .map(({ t, direction, muted, level_db, length_s }) => ({ t, direction, muted, level_db, length_s }))

/** The reading's place of each stroke; none for those struck out, nor for one that was moved since it was measured. */
export function placesOf(listened: Listened, reading: FeelReading): (FeelReading['strokes'][number] | null)[] {
  const byTime = new Map(reading.strokes.map((placed) => [placed.t, placed]))
  return listened.strokes.map((stroke) => (stroke.out === true ? null : (byTime.get(stroke.t) ?? null)))
}

const CHANGED = 'gravik:listened'

const key = (id: string) => `gravik:listen:${id}`

export function kept(id: string): Listened | null {
  // What an earlier version kept knows no notes.
  const found = recalled<Listened>(key(id))
  return found === null ? null : { ...found, notes: found.notes ?? null, harmony: found.harmony ?? { company: 'alone', key: null } }
}

/** A recording too long for the browser's store is kept without its outline and notes. */
export function keep(id: string, listened: Listened | null): void {
  store(id, listened)
  window.dispatchEvent(new Event(CHANGED))
}

/** The name of the recording that lies open, as it changes. */
export const watchName = (told: () => void) => {
  window.addEventListener(CHANGED, told)
  return () => window.removeEventListener(CHANGED, told)
}

function store(id: string, listened: Listened | null): void {
  if (listened === null) {
    forget(key(id))
    return
  }
  if (!remember(key(id), JSON.stringify(listened))) remember(key(id), JSON.stringify({ ...listened, outline: [], notes: null }))
}
