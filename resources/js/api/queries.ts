import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { call, compute, type Body, type Computed } from './client'
import type { Desk } from './desk'
import { inTurn } from './inTurn'
import { usePages } from './pages'
import type { BreakdownDocument, Feel, HeardStroke, LineDocument, Tap, VoicedChord } from './types'

/** What each computation depends on, so that a change elsewhere in the document asks nothing anew. */
export const chartParts = (d: BreakdownDocument) => [d.sections, d.form, d.start.key, d.start.meter, d.guitar.capo, d.placed, d.moves]
const gripParts = ({ document: d, line }: Desk) => [...chartParts(d), d.guitar.tuning, line]
const handParts = ({ document: d, place, pattern }: Desk) => [
  pattern,
  d.start.meter,
  d.start.feel,
  d.start.tempo,
  d.sections.find(({ id }) => id === place.section)?.from,
]
const soundParts = ({ document: d, place }: Desk) => [
  ...chartParts(d),
  d.start,
  d.guitar,
  d.patterns,
  d.lines,
  d.parts,
  d.passes,
  d.cells,
  d.figures,
  place,
]
/** What every question about a place of the song says. */
export const asked = ({ document, place, figure, arrangement }: Desk) => ({
  document,
  ...place,
  ...(arrangement === undefined ? {} : { arrangement }),
  ...(figure === undefined ? {} : { strokes_of: figure }),
})

export const keys = {
  person: ['person'] as const,
  shelf: ['shelf'] as const,
  breakdown: (id: string) => ['breakdown', id] as const,
  moves: ['moves'] as const,
  profiles: ['profiles'] as const,
  takes: (id: string) => ['takes', id] as const,
  versions: (id: string) => ['versions', id] as const,
  calibration: (device: string) => ['calibration', device] as const,
}

export const usePerson = () =>
  useQuery({ queryKey: keys.person, queryFn: () => call('GET', '/api/session', {}), retry: false, staleTime: Infinity })

/** @param search words of title, genre, key, feel or meter */
export const useShelf = (search = '') => usePages(keys.shelf, '/api/breakdowns', {}, search.trim() === '' ? {} : { search: search.trim() })

export const useChoices = () => useQuery({ queryKey: ['choices'], queryFn: () => call('GET', '/api/choices', {}), staleTime: Infinity })

export const fetchStarts = (key: string) => call('GET', '/api/starts', { query: { key } })

export const useStarts = (key: string) =>
  useQuery({ queryKey: ['starts', key], queryFn: () => fetchStarts(key), staleTime: Infinity, placeholderData: keepPreviousData })

export const fetchBreakdown = (id: string) => call('GET', '/api/breakdowns/{id}', { path: { id } })

/** Newest first. */
export const useTakes = (id: string) => usePages(keys.takes(id), '/api/breakdowns/{id}/takes', { id })

/** One take with its report; it never changes. */
export const useTake = (id: string, take: string | null) =>
  useQuery({
    queryKey: ['take', id, take],
    queryFn: () => call('GET', '/api/breakdowns/{id}/takes/{take}', { path: { id, take: take ?? '' } }),
    enabled: take !== null,
    staleTime: Infinity,
    placeholderData: keepPreviousData,
  })

export const useVersions = (id: string) => usePages(keys.versions(id), '/api/breakdowns/{id}/versions', { id })

export const fetchVersion = (id: string, version: number) =>
  call('GET', '/api/breakdowns/{id}/versions/{version}', { path: { id, version } })

export const useCalibration = (device: string) =>
  useQuery({ queryKey: keys.calibration(device), queryFn: () => call('GET', '/api/calibrations/{device}', { path: { device } }) })

export function useCompute<P extends Computed>(path: P, parts: unknown[], body: Body<'POST', P>, enabled = true) {
  return useQuery({
    queryKey: ['compute', path, ...parts],
    queryFn: ({ signal }) => inTurn(path, signal, () => compute(path, body, signal)),
    enabled,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  })
}

export const useChart = (document: BreakdownDocument) => useCompute('/api/compute/chart', chartParts(document), { document })

export const usePath = (desk: Desk, elsewhere = false) =>
  useCompute('/api/compute/path', [...gripParts(desk), elsewhere], { ...asked(desk), elsewhere })

/** @param enabled where there is one pattern and one line, everywhere is alike */
export const usePlaces = (d: BreakdownDocument, enabled: boolean) =>
  useCompute(
    '/api/compute/places',
    [
      d.start.meter,
      d.sections.map(({ id, name, from }) => [id, name, from?.meter]),
      d.patterns.map(({ id, meter }) => [id, meter]),
      d.lines.map(({ id }) => id),
      d.parts,
      d.passes,
      d.cells,
    ],
    { document: d },
    enabled,
  )

export type NeckWish = Required<Body<'POST', '/api/compute/neck-map'>>

export const useNeckMap = (document: BreakdownDocument, symbol: string, scale: NeckWish['scale'], position: number) =>
  useCompute('/api/compute/neck-map', [document.start.key, document.guitar, symbol, scale, position], { document, symbol, scale, position })

export const useStringsPlan = (desk: Desk, from: string) =>
  useCompute('/api/compute/strings-plan', [...gripParts(desk), from], { ...asked(desk), from })

/** @param divided a beat that is shown in a division of its own, though no stroke needs it yet */
export const useHand = (
  desk: Desk,
  tempo: number,
  grid: number | null,
  level: number,
  divided: { beat: number; division: number } | null = null,
) =>
  useCompute('/api/compute/strokes', [...handParts(desk), tempo, grid, level, divided], { ...asked(desk), tempo, grid, level, ...divided })

type Wish = Body<'POST', '/api/compute/ladder'>
type LadderWish = Required<Omit<Wish, 'step'>> & Pick<Wish, 'step'>

export const useLadder = (wish: LadderWish) => useCompute('/api/compute/ladder', [wish], wish)

type Errors = Omit<Body<'POST', '/api/compute/simulate'>, 'document'>

export const simulate = (document: BreakdownDocument, errors: Errors) => compute('/api/compute/simulate', { document, ...errors })

/** @param told what is known of the recording beforehand */
export const useFeelReading = (
  desk: Desk,
  strokes: HeardStroke[],
  beats: number[],
  told: { tempo?: number | undefined; first_beat?: number | undefined; grid?: number | undefined },
) =>
  useCompute(
    '/api/compute/listen',
    [...handParts(desk), strokes, beats, told],
    { ...asked(desk), strokes, beats, ...told },
    strokes.length + beats.length > 0,
  )

/** @param notes that were heard; null where none were */
export const useSketch = (
  desk: Desk,
  strokes: HeardStroke[],
  beats: number[],
  told: { tempo?: number | undefined; first_beat?: number | undefined; grid?: number | undefined },
  notes: string | null,
  harmony: { company: 'alone' | 'with-bass'; key: string | null },
) =>
  useCompute(
    '/api/compute/sketch',
    [desk.document.guitar, desk.document.parts, desk.document.start.meter, strokes, beats, told, harmony],
    { ...asked(desk), strokes, beats, ...told, notes: notes ?? '', ...harmony },
    notes !== null && strokes.length > 0,
  )

export const useSchools = (desk: Desk, tempo: number) =>
  useCompute('/api/compute/schools', [...handParts(desk), tempo], { ...asked(desk), tempo })

export const readFeel = (typed: string, unit: Feel['unit']) => compute('/api/compute/feel', { typed, unit })

/** A melody hummed over a click, as it is typed; the beat's one lies so many seconds into the sound. */
export const hearHummed = (sound: Blob, over: { first_beat: number; tempo: number; meter: string; key: string }) =>
  call('POST', '/api/compute/hummed', { query: over, body: sound })

/** Syllables of a sung rhythm, seconds into the sound. */
export const hearSung = (sound: Blob) => call('POST', '/api/compute/sung', { body: sound })

export const readTapped = (desk: Desk, tapped: { taps: (Pick<Tap, 't'> & Partial<Tap>)[]; tempo: number; bars: number; from?: number }) =>
  compute('/api/compute/tapped', { ...asked(desk), ...tapped })

/** What of a song sounds: a stage of its lesson, with the band or alone, with one thing wrong to hear. */
export type Played = Pick<Body<'POST', '/api/compute/timeline'>, 'stage' | 'arrangement' | 'flaw'>

export const useTimeline = (desk: Desk, tempo: number, level: number, played: Played) =>
  useCompute(
    '/api/compute/timeline',
    [...soundParts(desk), ...(played.stage == null ? [] : [desk.document.lesson]), tempo, level, played],
    { ...asked(desk), ...played, tempo, level },
  )

export const fetchTimeline = (desk: Desk, tempo: number, level: number, played: Played) =>
  compute('/api/compute/timeline', { ...asked(desk), ...played, tempo, level })

export const usePatterns = (enabled: boolean) =>
  useQuery({ queryKey: ['patterns'], queryFn: () => call('GET', '/api/patterns', {}), staleTime: Infinity, enabled })

const inLine = (chord: VoicedChord | undefined) => (chord === undefined ? null : { symbol: chord.symbol, frets: chord.voicing.frets })

export type NeckAsked = { tuning: string; capo: number; company: LineDocument['company']; wishes?: LineDocument['wishes'] }

export const useVoicings = (
  { tuning, capo, company, wishes }: NeckAsked,
  symbol: string | null,
  kind = '',
  beside: { before: VoicedChord | undefined; after: VoicedChord | undefined } = { before: undefined, after: undefined },
) => {
  const asked = {
    symbol: symbol ?? '',
    tuning,
    capo,
    company,
    frets: wishes?.window ?? '0-15',
    ...(wishes?.strings ? { strings: wishes.strings } : {}),
    ...(kind === '' ? {} : { kind }),
    before: inLine(beside.before),
    after: inLine(beside.after),
    limit: 24,
  }
  return useQuery({
    queryKey: ['compute', 'voicings', asked],
    queryFn: ({ signal }) => inTurn('voicings', signal, () => compute('/api/compute/voicings', asked)),
    enabled: symbol !== null,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  })
}

export const useApproaches = (desk: Desk, chord: number, steps: number, slot_ticks: number) =>
  useCompute('/api/compute/approaches', [...gripParts(desk), chord, steps, slot_ticks], { ...asked(desk), chord, steps, slot_ticks })

export const useChanges = (desk: Desk, tempo: number) =>
  useCompute('/api/compute/changes', [...soundParts(desk), tempo], { ...asked(desk), tempo })

export const useFamilies = (desk: Desk, symbol: string, frets: string) =>
  useCompute('/api/compute/families', [...gripParts(desk), symbol, frets], { ...asked(desk), symbol, frets })

export const useRemarks = (document: BreakdownDocument) =>
  useCompute('/api/compute/proofread', [...chartParts(document), document.guitar, document.lines], { document })

export const useHarmony = (document: BreakdownDocument, melody: string, bar: number) =>
  useCompute(
    '/api/compute/harmonise',
    [...chartParts(document), document.guitar, melody, bar],
    { document, melody, bar },
    melody.trim() !== '',
  )

export const useRiff = (document: BreakdownDocument, figure: string) =>
  useCompute('/api/compute/riff', [document.guitar, figure], { document, figure }, figure.trim() !== '')

export const useEasier = (desk: Desk, hand: string) =>
  useCompute('/api/compute/easier', [...gripParts(desk), hand], { ...asked(desk), hand }, hand !== '')

export const useStatedTuning = (stated: string, typed: string) =>
  useCompute('/api/compute/stated-tuning', [stated, typed], { stated, typed }, stated.trim() !== '')

export const useStudents = (enabled: boolean) =>
  useQuery({ queryKey: ['students'], queryFn: () => call('GET', '/api/students', {}), enabled })

export const saveHand = (student: number, hand: string) =>
  call('PUT', '/api/students/{student}/hand', { path: { student }, body: { hand } })

export const useOwnGrips = (document: BreakdownDocument, symbol: string) =>
  useQuery({
    queryKey: ['grips', symbol, document.guitar],
    queryFn: () => call('GET', '/api/grips', { query: { symbol, tuning: document.guitar.tuning, capo: document.guitar.capo } }),
    placeholderData: keepPreviousData,
  })

export const keepGrip = (grip: { name: string; symbol: string; frets: string; tuning: string }) =>
  call('POST', '/api/grips', { body: grip })

export const forgetGrip = (id: string) => call('DELETE', '/api/grips/{grip}', { path: { grip: id } })

export const useGripNames = (frets: (number | null)[], neck: { key: string; tuning: string; capo: number }) =>
  useQuery({
    queryKey: ['compute', 'name', frets, neck],
    queryFn: ({ signal }) => inTurn('name', signal, () => compute('/api/compute/name', { frets, ...neck })),
    enabled: frets.filter((fret) => fret !== null).length >= 2,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  })

export const moveToKey = (document: BreakdownDocument, key: string) => compute('/api/compute/key', { document, key })

export const moveCapo = (document: BreakdownDocument, capo: number) => compute('/api/compute/capo', { document, capo })

/** What is done to a pattern as a whole. */
export type Shape = Omit<Body<'POST', '/api/compute/shape'>, 'document'>

export const reshape = (desk: Desk, shape: Shape) => compute('/api/compute/shape', { ...asked(desk), ...shape })

/** @param move null takes out what leads to the chord */
export const placeMove = (document: BreakdownDocument, chord: number, move: { move: string; steps: number; slot_ticks: number } | null) =>
  compute('/api/compute/move', { document, chord, ...move })

/** A document that an older Gravik left in this browser, as it is written today. */
export const upgraded = (document: object) => compute('/api/compute/upgrade', { document: document as BreakdownDocument })

export const convertTuning = (document: BreakdownDocument, tuning: string) => compute('/api/compute/tuning', { document, tuning })
