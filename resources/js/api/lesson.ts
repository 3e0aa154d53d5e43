/** The lesson of a song: its stages, its two arrangements, what was told apart by ear. */
import { useQuery } from '@tanstack/react-query'
import { call, compute, type Body } from './client'
import { fetchBreakdown, useCompute } from './queries'
import type { BreakdownDocument } from './types'

/** @param stage that is opened; none where null */
export const useLesson = (document: BreakdownDocument, stage: string | null, enabled = true) =>
  useCompute('/api/compute/lesson', [{ ...document, title: '', notes: '', marks: [], balance: [] }, stage], { document, stage }, enabled)

/** The lesson of a breakdown on the shelf; none is asked for where none is chosen. */
export const useBreakdownLesson = (id: string | undefined) =>
  useQuery({
    queryKey: ['lesson-of', id],
    enabled: id !== undefined,
    queryFn: async () => compute('/api/compute/lesson', { document: (await fetchBreakdown(id ?? '')).document, stage: null }),
  })

export const arrangeAlone = (document: BreakdownDocument) => compute('/api/compute/arrange-alone', { document })

export const useEars = (id: string) =>
  useQuery({ queryKey: ['ears', id], queryFn: () => call('GET', '/api/breakdowns/{id}/ears', { path: { id } }) })

export const noteEar = (id: string, flaw: Body<'POST', '/api/breakdowns/{id}/ears'>['flaw'], right: boolean) =>
  call('POST', '/api/breakdowns/{id}/ears', { path: { id }, body: { flaw, right } })
