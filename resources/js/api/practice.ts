/** What lies on the stand while one stage is practised. */
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { call, type Answer } from './client'
import type { Day } from './school'

export type PracticeSheet = Answer<'GET', '/api/breakdowns/{id}/practice'>

const fetchSheet = (id: string, stage: string | null, tempo: number | null, hurts: boolean) =>
  call('GET', '/api/breakdowns/{id}/practice', {
    path: { id },
    query: { ...(stage === null ? {} : { stage }), ...(tempo === null ? {} : { tempo }), ...(hurts ? { hurts: 1 } : {}) },
  })

/** @param tempo null: where its ladder goes on; @param stage null: the whole song */
export const usePracticeSheet = (id: string, stage: string | null, tempo: number | null, hurts: boolean) =>
  useQuery({
    queryKey: ['practice', id, stage, tempo, hurts],
    queryFn: () => fetchSheet(id, stage, tempo, hurts),
    placeholderData: keepPreviousData,
  })

/**
 * Asks for all that today needs, one after another, so that the service worker keeps it: who is here, and what is due, at each
 * tempo of its ladder.
 *
 * @param isOver whether nobody needs it any more: another day has been planned
 */
export async function layOutForLater(items: Day['items'], hurts: boolean, isOver: () => boolean): Promise<void> {
  await call('GET', '/api/session', {})
  for (const { breakdown, stage } of items) {
    if (breakdown === null) continue
    const sheet = await fetchSheet(breakdown, stage, null, hurts)
    for (const tempo of sheet.tempos) {
      if (isOver()) return
      await fetchSheet(breakdown, stage, tempo, hurts)
    }
  }
}
