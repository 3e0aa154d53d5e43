import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { call } from './client'
import type { ChordName, NeckMap, StringsPlan, Voicing } from './types'
import type { BreakdownCard, BreakdownDocument, Calibration, Chart, Choices, Hand, Path, Person, StoredBreakdown, Take, Timeline, Version, Voicings } from './types'

/** What each computation depends on, so that a change elsewhere in the document asks nothing anew. */
const chartParts = (d: BreakdownDocument) => [d.sections, d.key, d.meter, d.capo]
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

export const useShelf = () => useQuery({ queryKey: keys.shelf, queryFn: () => call<BreakdownCard[]>('GET', 'breakdowns') })

export const useChoices = () => useQuery({ queryKey: ['choices'], queryFn: () => call<Choices>('GET', 'choices'), staleTime: Infinity })

export const fetchBreakdown = (id: string) => call<StoredBreakdown>('GET', `breakdowns/${id}`)

export const useTakes = (id: string) => useQuery({ queryKey: keys.takes(id), queryFn: () => call<Take[]>('GET', `breakdowns/${id}/takes`) })

export const useVersions = (id: string) => useQuery({ queryKey: keys.versions(id), queryFn: () => call<Version[]>('GET', `breakdowns/${id}/versions`) })

export const useCalibration = (device: string) =>
  useQuery({ queryKey: keys.calibration(device), queryFn: () => call<{ calibration: Calibration | null }>('GET', `calibrations/${device}`) })

function useCompute<T>(what: string, parts: unknown[], body: Record<string, unknown>) {
  return useQuery({
    queryKey: ['compute', what, ...parts],
    queryFn: ({ signal }) => call<T>('POST', `compute/${what}`, body, signal),
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

export const useHand = (document: BreakdownDocument, tempo: number, grid: number | null) =>
  useCompute<Hand>('strokes', [...handParts(document), tempo, grid], { document, tempo, grid })

export const useTimeline = (document: BreakdownDocument, tempo: number) => useCompute<Timeline>('timeline', [...soundParts(document), tempo], { document, tempo })

export const useVoicings = (document: Pick<BreakdownDocument, 'tuning' | 'capo' | 'company'>, symbol: string | null) =>
  useQuery({
    queryKey: ['compute', 'voicings', symbol, document.tuning, document.capo, document.company],
    queryFn: ({ signal }) =>
      call<Voicings>('POST', 'compute/voicings', { symbol, tuning: document.tuning, capo: document.capo, company: document.company, limit: 24 }, signal),
    enabled: symbol !== null,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  })

export const useGripNames = (frets: (number | null)[], neck: { key: string; tuning: string; capo: number }) =>
  useQuery({
    queryKey: ['compute', 'name', frets, neck],
    queryFn: ({ signal }) => call<{ names: ChordName[]; voicing: Voicing | null }>('POST', 'compute/name', { frets, ...neck }, signal),
    enabled: frets.filter((fret) => fret !== null).length >= 2,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  })

export const moveToKey = (document: BreakdownDocument, key: string) =>
  call<{ document: BreakdownDocument; dropped: { symbol: string }[] }>('POST', 'compute/key', { document, key })

export const moveCapo = (document: BreakdownDocument, capo: number) =>
  call<{ document: BreakdownDocument; dropped: { symbol: string }[] }>('POST', 'compute/capo', { document, capo })

export const reshape = (document: BreakdownDocument, shape: { meter?: string; bars?: number; grid?: number }) =>
  call<{ document: BreakdownDocument }>('POST', 'compute/shape', { document, ...shape })
