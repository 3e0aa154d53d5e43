/** What is kept of a student at a breakdown. */
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { call, type Answer } from './client'

export type Log = Answer<'GET', '/api/breakdowns/{id}/log'>

/** @param player null: one's own, or whoever played last; @param stage null: that of the last take */
export const useLog = (id: string, player: number | null, stage: string | null) =>
  useQuery({
    queryKey: ['log', id, player, stage],
    queryFn: () =>
      call('GET', '/api/breakdowns/{id}/log', {
        path: { id },
        query: { ...(player === null ? {} : { player }), ...(stage === null ? {} : { stage }) },
      }),
    placeholderData: keepPreviousData,
  })
