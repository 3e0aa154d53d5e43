import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { call } from './client'
import { inTurn } from './inTurn'
import { usePages } from './pages'
import type { ApproachOffer, ChordName, Families, FeelReading, GripChange, HardGrip, HarmonisedNote, HeardStroke, Ladder, LibraryPattern, NeckMap, OwnGrip, Remark, RhythmReading, RiffPlace, SchoolInUse, Starter, StatedTuning, StringsPlan, Student, Tap, VoicedChord, UsualForm, Voicing } from './types'
import type { BreakdownCard, BreakdownDocument, Calibration, Chart, Choices, Hand, LockReport, Path, Person, StoredBreakdown, Take, TakeRow, Timeline, Version, Voicings } from './types'

/** What each computation depends on, so that a change elsewhere in the document asks nothing anew. */
const chartParts = (d: BreakdownDocument) => [d.sections, d.key, d.meter, d.capo, d.approaches]
const gripParts = (d: BreakdownDocument) => [...chartParts(d), d.tuning, d.company, d.pins, d.path]
const handParts = (d: BreakdownDocument) => [d.pattern, d.school, d.meter, d.feel, d.tempo]
const soundParts = (d: BreakdownDocument) => [...gripParts(d), ...handParts(d), d.band]

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

export type Starts = { forms: UsualForm[]; starters: Starter[] }

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

export const usePath = (document: BreakdownDocument, elsewhere = false) => useCompute<Path>('path', [...gripParts(document), elsewhere], { document, elsewhere })

export const useNeckMap = (document: BreakdownDocument, symbol: string, scale: string, position: number) =>
  useCompute<NeckMap>('neck-map', [document.key, document.tuning, document.capo, symbol, scale, position], { document, symbol, scale, position })

export const useStringsPlan = (document: BreakdownDocument, from: string) => useCompute<StringsPlan>('strings-plan', [...gripParts(document), from], { document, from })

/** @param divided a beat that is shown in a division of its own, though no stroke needs it yet */
export const useHand = (document: BreakdownDocument, tempo: number, grid: number | null, level: number, divided: { beat: number; division: number } | null = null) =>
  useCompute<Hand>('strokes', [...handParts(document), tempo, grid, level, divided], { document, tempo, grid, level, ...divided })

type LadderWish = { start: number; goal: number; minutes: number; bars: number; mode: string; meter: string; clean: boolean[]; hurts: boolean; played: number; rested: number; rest_after: number }

export const useLadder = (wish: LadderWish) => useCompute<Ladder>('ladder', [wish], wish)

type Errors = { tempo: number; bars: number; bias_ms?: number; off_beat_ms?: number; spread_ms?: number; drift_bpm_per_min?: number; missed?: number }

export const simulate = (document: BreakdownDocument, errors: Errors) => call<{ timeline: Timeline; report: LockReport }>('POST', 'compute/simulate', { document, ...errors })

/** @param told what is known of the recording beforehand */
export const useFeelReading = (document: BreakdownDocument, strokes: HeardStroke[], beats: number[], told: { tempo?: number | undefined; first_beat?: number | undefined; grid?: number | undefined }) =>
  useCompute<FeelReading>('listen', [document.meter, document.tempo, document.feel, document.pattern, strokes, beats, told], { document, strokes, beats, ...told }, strokes.length + beats.length > 0)

export const useSchools = (document: BreakdownDocument, tempo: number) => useCompute<SchoolInUse[]>('schools', [...handParts(document), tempo], { document, tempo })

export const readFeel = (typed: string, unit: BreakdownDocument['feel']['unit']) => call<{ feel: BreakdownDocument['feel'] }>('POST', 'compute/feel', { typed, unit })

export const readTapped = (document: BreakdownDocument, tapped: { taps: Tap[]; tempo: number; bars: number }) => call<RhythmReading[]>('POST', 'compute/tapped', { document, ...tapped })

export const useTimeline = (document: BreakdownDocument, tempo: number, level: number) => useCompute<Timeline>('timeline', [...soundParts(document), tempo, level], { document, tempo, level })

export const usePatterns = (enabled: boolean) => useQuery({ queryKey: ['patterns'], queryFn: () => call<LibraryPattern[]>('GET', 'patterns'), staleTime: Infinity, enabled })

const inLine = (chord: VoicedChord | undefined) => (chord === undefined ? null : { symbol: chord.symbol, frets: chord.voicing.frets })

export const useVoicings = (document: Pick<BreakdownDocument, 'tuning' | 'capo' | 'company' | 'path'>, symbol: string | null, kind = '', beside: { before: VoicedChord | undefined; after: VoicedChord | undefined } = { before: undefined, after: undefined }) => {
  const { tuning, capo, company, path } = document
  const asked = { symbol, tuning, capo, company, frets: path?.window ?? '0-15', ...(path?.strings ? { strings: path.strings } : {}), ...(kind === '' ? {} : { kind }), before: inLine(beside.before), after: inLine(beside.after), limit: 24 }
  return useQuery({
    queryKey: ['compute', 'voicings', asked],
    queryFn: ({ signal }) => inTurn('voicings', signal, () => call<Voicings>('POST', 'compute/voicings', asked)),
    enabled: symbol !== null,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  })
}

export const useApproaches = (document: BreakdownDocument, chord: number, steps: number, slot_ticks: number) =>
  useCompute<ApproachOffer[]>('approaches', [...gripParts(document), chord, steps, slot_ticks], { document, chord, steps, slot_ticks })

export const useChanges = (document: BreakdownDocument, tempo: number) => useCompute<GripChange[]>('changes', [...soundParts(document), tempo], { document, tempo })

export const useFamilies = (document: BreakdownDocument, symbol: string, frets: string) => useCompute<Families>('families', [...gripParts(document), symbol, frets], { document, symbol, frets })

export const useRemarks = (document: BreakdownDocument) => useCompute<Remark[]>('proofread', gripParts(document), { document })

export const useHarmony = (document: BreakdownDocument, melody: string, bar: number) =>
  useCompute<HarmonisedNote[]>('harmonise', [...chartParts(document), document.tuning, melody, bar], { document, melody, bar }, melody.trim() !== '')

export const useRiff = (document: BreakdownDocument, figure: string) => useCompute<RiffPlace[]>('riff', [document.tuning, document.capo, figure], { document, figure }, figure.trim() !== '')

export const useEasier = (document: BreakdownDocument, hand: string) => useCompute<HardGrip[]>('easier', [...gripParts(document), hand], { document, hand }, hand !== '')

export const useStatedTuning = (stated: string, typed: string) => useCompute<StatedTuning>('stated-tuning', [stated, typed], { stated, typed }, stated.trim() !== '')

export const useStudents = (enabled: boolean) => useQuery({ queryKey: ['students'], queryFn: () => call<Student[]>('GET', 'students'), enabled })

export const saveHand = (student: number, hand: string) => call<Student>('PUT', `students/${student}/hand`, { hand })

export const useOwnGrips = (document: BreakdownDocument, symbol: string) =>
  useQuery({
    queryKey: ['grips', symbol, document.tuning, document.capo],
    queryFn: () => call<OwnGrip[]>('GET', `grips?${new URLSearchParams({ symbol, tuning: document.tuning, capo: String(document.capo) })}`),
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

export const reshape = (document: BreakdownDocument, shape: { meter?: string; bars?: number; grid?: number; beat?: number; division?: number; accents?: string; lengths?: string; counted?: string; line?: number }) =>
  call<{ document: BreakdownDocument }>('POST', 'compute/shape', { document, ...shape })

export const takeSectionOut = (document: BreakdownDocument, section: number) => call<{ document: BreakdownDocument }>('POST', 'compute/without-section', { document, section })

export const convertTuning = (document: BreakdownDocument, tuning: string) => call<{ document: BreakdownDocument }>('POST', 'compute/tuning', { document, tuning })
