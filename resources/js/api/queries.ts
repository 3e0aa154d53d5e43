import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { call } from './client'
import type { Desk } from './desk'
import { inTurn } from './inTurn'
import { usePages } from './pages'
import type { ApproachOffer, ChordName, Families, FeelReading, GripChange, HardGrip, HarmonisedNote, HeardStroke, Ladder, LibraryPattern, NeckMap, OwnGrip, Remark, PatternReading, RiffPlace, SchoolInUse, Starter, StatedTuning, StringsPlan, Student, Tap, VoicedChord, UsualForm, Voicing, Feel, LineDocument, SongPlace } from './types'
import type { BreakdownCard, BreakdownDocument, Calibration, Chart, Choices, Hand, LockReport, Path, Person, StoredBreakdown, Take, TakeRow, Timeline, Version, Voicings } from './types'

/** What each computation depends on, so that a change elsewhere in the document asks nothing anew. */
const chartParts = (d: BreakdownDocument) => [d.sections, d.form, d.start.key, d.start.meter, d.guitar.capo, d.placed, d.moves]
const gripParts = ({ document: d, line }: Desk) => [...chartParts(d), d.guitar.tuning, line]
const handParts = ({ document: d, place, pattern }: Desk) => [pattern, d.start.meter, d.start.feel, d.start.tempo, d.sections.find(({ id }) => id === place.section)?.from]
const soundParts = ({ document: d, place }: Desk) => [...chartParts(d), d.start, d.guitar, d.patterns, d.lines, d.parts, d.passes, d.cells, place]
/** What every question about a place of the song says. */
const asked = ({ document, place }: Desk) => ({ document, ...place })

export const keys = {
  person: ['person'] as const,
  shelf: ['shelf'] as const,
  breakdown: (id: string) => ['breakdown', id] as const,
  takes: (id: string) => ['takes', id] as const,
  versions: (id: string) => ['versions', id] as const,
  calibration: (device: string) => ['calibration', device] as const,
}

export const usePerson = () => useQuery({ queryKey: keys.person, queryFn: () => call<Person>('GET', 'session'), retry: false, staleTime: Infinity })

/** @param search words of title, genre, key, feel or meter */
export const useShelf = (search = '') => usePages<BreakdownCard>(keys.shelf, 'breakdowns', search.trim() === '' ? {} : { search: search.trim() })

export const useChoices = () => useQuery({ queryKey: ['choices'], queryFn: () => call<Choices>('GET', 'choices'), staleTime: Infinity })

export type Starts = { blank: BreakdownDocument; forms: UsualForm[]; starters: Starter[] }

export const useStarts = (key: string) => useQuery({ queryKey: ['starts', key], queryFn: () => call<Starts>('GET', `starts?${new URLSearchParams({ key })}`), staleTime: Infinity, placeholderData: keepPreviousData })

export const fetchBreakdown = (id: string) => call<StoredBreakdown>('GET', `breakdowns/${id}`)

/** Newest first. */
export const useTakes = (id: string) => usePages<TakeRow>(keys.takes(id), `breakdowns/${id}/takes`)

/** One take with its report; it never changes. */
export const useTake = (id: string, take: string | null) =>
  useQuery({ queryKey: ['take', id, take], queryFn: () => call<Take>('GET', `breakdowns/${id}/takes/${take ?? ''}`), enabled: take !== null, staleTime: Infinity, placeholderData: keepPreviousData })

export const useVersions = (id: string) => usePages<Version>(keys.versions(id), `breakdowns/${id}/versions`)

export const fetchVersion = (id: string, version: number) => call<{ document: BreakdownDocument }>('GET', `breakdowns/${id}/versions/${version}`)

export const useCalibration = (device: string) =>
  useQuery({ queryKey: keys.calibration(device), queryFn: () => call<{ calibration: Calibration | null }>('GET', `calibrations/${device}`) })

function useCompute<T>(what: string, parts: unknown[], body: Record<string, unknown>, enabled = true) {
  return useQuery({
    queryKey: ['compute', what, ...parts],
    queryFn: ({ signal }) => inTurn(what, signal, () => call<T>('POST', `compute/${what}`, body)),
    enabled,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  })
}

export const useChart = (document: BreakdownDocument) => useCompute<Chart>('chart', chartParts(document), { document })

export const usePath = (desk: Desk, elsewhere = false) => useCompute<Path>('path', [...gripParts(desk), elsewhere], { ...asked(desk), elsewhere })

/** @param enabled where there is one pattern and one line, everywhere is alike */
export const usePlaces = (d: BreakdownDocument, enabled: boolean) =>
  useCompute<SongPlace[]>('places', [d.start.meter, d.sections.map(({ id, name, from }) => [id, name, from?.meter]), d.patterns.map(({ id, meter }) => [id, meter]), d.lines.map(({ id }) => id), d.parts, d.passes, d.cells], { document: d }, enabled)

export const useNeckMap = (document: BreakdownDocument, symbol: string, scale: string, position: number) =>
  useCompute<NeckMap>('neck-map', [document.start.key, document.guitar, symbol, scale, position], { document, symbol, scale, position })

export const useStringsPlan = (desk: Desk, from: string) => useCompute<StringsPlan>('strings-plan', [...gripParts(desk), from], { ...asked(desk), from })

/** @param divided a beat that is shown in a division of its own, though no stroke needs it yet */
export const useHand = (desk: Desk, tempo: number, grid: number | null, level: number, divided: { beat: number; division: number } | null = null) =>
  useCompute<Hand>('strokes', [...handParts(desk), tempo, grid, level, divided], { ...asked(desk), tempo, grid, level, ...divided })

type LadderWish = { start: number; goal: number; minutes: number; bars: number; mode: string; meter: string; clean: boolean[]; hurts: boolean; played: number; rested: number; rest_after: number }

export const useLadder = (wish: LadderWish) => useCompute<Ladder>('ladder', [wish], wish)

type Errors = { tempo: number; bars: number; bias_ms?: number; off_beat_ms?: number; spread_ms?: number; drift_bpm_per_min?: number; missed?: number }

export const simulate = (document: BreakdownDocument, errors: Errors) => call<{ timeline: Timeline; report: LockReport }>('POST', 'compute/simulate', { document, ...errors })

/** @param told what is known of the recording beforehand */
export const useFeelReading = (desk: Desk, strokes: HeardStroke[], beats: number[], told: { tempo?: number | undefined; first_beat?: number | undefined; grid?: number | undefined }) =>
  useCompute<FeelReading>('listen', [...handParts(desk), strokes, beats, told], { ...asked(desk), strokes, beats, ...told }, strokes.length + beats.length > 0)

export const useSchools = (desk: Desk, tempo: number) => useCompute<SchoolInUse[]>('schools', [...handParts(desk), tempo], { ...asked(desk), tempo })

export const readFeel = (typed: string, unit: Feel['unit']) => call<{ feel: Feel }>('POST', 'compute/feel', { typed, unit })

export const readTapped = (desk: Desk, tapped: { taps: Tap[]; tempo: number; bars: number }) => call<PatternReading[]>('POST', 'compute/tapped', { ...asked(desk), ...tapped })

export const useTimeline = (desk: Desk, tempo: number, level: number) => useCompute<Timeline>('timeline', [...soundParts(desk), tempo, level], { ...asked(desk), tempo, level })

export const usePatterns = (enabled: boolean) => useQuery({ queryKey: ['patterns'], queryFn: () => call<LibraryPattern[]>('GET', 'patterns'), staleTime: Infinity, enabled })

const inLine = (chord: VoicedChord | undefined) => (chord === undefined ? null : { symbol: chord.symbol, frets: chord.voicing.frets })

export type NeckAsked = { tuning: string; capo: number; company: LineDocument['company']; wishes?: LineDocument['wishes'] }

export const useVoicings = ({ tuning, capo, company, wishes }: NeckAsked, symbol: string | null, kind = '', beside: { before: VoicedChord | undefined; after: VoicedChord | undefined } = { before: undefined, after: undefined }) => {
  const asked = { symbol, tuning, capo, company, frets: wishes?.window ?? '0-15', ...(wishes?.strings ? { strings: wishes.strings } : {}), ...(kind === '' ? {} : { kind }), before: inLine(beside.before), after: inLine(beside.after), limit: 24 }
  return useQuery({
    queryKey: ['compute', 'voicings', asked],
    queryFn: ({ signal }) => inTurn('voicings', signal, () => call<Voicings>('POST', 'compute/voicings', asked)),
    enabled: symbol !== null,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  })
}

export const useApproaches = (desk: Desk, chord: number, steps: number, slot_ticks: number) =>
  useCompute<ApproachOffer[]>('approaches', [...gripParts(desk), chord, steps, slot_ticks], { ...asked(desk), chord, steps, slot_ticks })

export const useChanges = (desk: Desk, tempo: number) => useCompute<GripChange[]>('changes', [...soundParts(desk), tempo], { ...asked(desk), tempo })

export const useFamilies = (desk: Desk, symbol: string, frets: string) => useCompute<Families>('families', [...gripParts(desk), symbol, frets], { ...asked(desk), symbol, frets })

export const useRemarks = (document: BreakdownDocument) => useCompute<Remark[]>('proofread', [...chartParts(document), document.guitar, document.lines], { document })

export const useHarmony = (document: BreakdownDocument, melody: string, bar: number) =>
  useCompute<HarmonisedNote[]>('harmonise', [...chartParts(document), document.guitar, melody, bar], { document, melody, bar }, melody.trim() !== '')

export const useRiff = (document: BreakdownDocument, figure: string) => useCompute<RiffPlace[]>('riff', [document.guitar, figure], { document, figure }, figure.trim() !== '')

export const useEasier = (desk: Desk, hand: string) => useCompute<HardGrip[]>('easier', [...gripParts(desk), hand], { ...asked(desk), hand }, hand !== '')

export const useStatedTuning = (stated: string, typed: string) => useCompute<StatedTuning>('stated-tuning', [stated, typed], { stated, typed }, stated.trim() !== '')

export const useStudents = (enabled: boolean) => useQuery({ queryKey: ['students'], queryFn: () => call<Student[]>('GET', 'students'), enabled })

export const saveHand = (student: number, hand: string) => call<Student>('PUT', `students/${student}/hand`, { hand })

export const useOwnGrips = (document: BreakdownDocument, symbol: string) =>
  useQuery({
    queryKey: ['grips', symbol, document.guitar],
    queryFn: () => call<OwnGrip[]>('GET', `grips?${new URLSearchParams({ symbol, tuning: document.guitar.tuning, capo: String(document.guitar.capo) })}`),
    placeholderData: keepPreviousData,
  })

export const keepGrip = (grip: { name: string; symbol: string; frets: string; tuning: string }) => call<OwnGrip>('POST', 'grips', grip)

export const forgetGrip = (id: string) => call<null>('DELETE', `grips/${id}`)

export const useGripNames = (frets: (number | null)[], neck: { key: string; tuning: string; capo: number }) =>
  useQuery({
    queryKey: ['compute', 'name', frets, neck],
    queryFn: ({ signal }) => inTurn('name', signal, () => call<{ names: ChordName[]; voicing: Voicing | null }>('POST', 'compute/name', { frets, ...neck })),
    enabled: frets.filter((fret) => fret !== null).length >= 2,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  })

export const moveToKey = (document: BreakdownDocument, key: string) =>
  call<{ document: BreakdownDocument; dropped: { symbol: string }[] }>('POST', 'compute/key', { document, key })

export const moveCapo = (document: BreakdownDocument, capo: number) =>
  call<{ document: BreakdownDocument; dropped: { symbol: string }[] }>('POST', 'compute/capo', { document, capo })

export const reshape = (desk: Desk, shape: { meter?: string; bars?: number; grid?: number; beat?: number; division?: number; accents?: string; lengths?: string; copy_bar?: number; exchange_beat?: number; counted?: string; line?: number }) =>
  call<{ document: BreakdownDocument }>('POST', 'compute/shape', { ...asked(desk), ...shape })

/** @param move null takes out what leads to the chord */
export const placeMove = (document: BreakdownDocument, chord: number, move: { move: string; steps: number; slot_ticks: number } | null) =>
  call<{ document: BreakdownDocument }>('POST', 'compute/move', { document, chord, ...move })

/** A document that an older Gravik left in this browser, as it is written today. */
export const upgraded = (document: unknown) => call<{ document: BreakdownDocument }>('POST', 'compute/upgrade', { document })

export const takeSectionOut = (document: BreakdownDocument, section: string) => call<{ document: BreakdownDocument }>('POST', 'compute/without-section', { document, section })

/** @param bar of its line that the second part begins with, from 0 */
export const splitSection = (document: BreakdownDocument, section: string, bar: number) =>
  call<{ document: BreakdownDocument }>('POST', 'compute/split-section', { document, section, bar })

export const moveSection = (document: BreakdownDocument, section: string, position: number) =>
  call<{ document: BreakdownDocument }>('POST', 'compute/move-section', { document, section, position })

/** @param named id of the pattern or line; null for one of its own, a copy of what is played there now */
export const playHere = (desk: Desk, what: 'pattern' | 'line', named: string | null) =>
  call<{ document: BreakdownDocument }>('POST', 'compute/played-here', { ...asked(desk), what, named })

export const convertTuning = (document: BreakdownDocument, tuning: string) => call<{ document: BreakdownDocument }>('POST', 'compute/tuning', { document, tuning })
