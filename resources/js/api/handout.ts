/** The page on the stand, and what is open in a breakdown. */
import type { Body } from './client'
import { call, compute } from './client'
import { useCompute } from './queries'
import type { BreakdownDocument } from './types'

export type HandoutWish = Omit<Body<'POST', '/api/compute/handout'>, 'document'>

export const useHandout = (document: BreakdownDocument, wish: HandoutWish) =>
  useCompute('/api/compute/handout', [document, wish], { document, ...wish })

export const useMarks = (document: BreakdownDocument) => useCompute('/api/compute/marks', [document], { document })

export const losses = (document: BreakdownDocument, format: string) => compute('/api/compute/losses', { document, format })

/** A breakdown drafted from a file, what was read of it and what was not, and a picture of what stands in the file. */
export type Draft = { document: BreakdownDocument; read: string[]; unread: string[]; picture: string | null }

export const draftOf = (file: File): Promise<Draft> =>
  call('POST', '/api/drafts', {
    query: { name: file.name },
    body: new Blob([file], { type: 'application/octet-stream' }),
  }) as Promise<Draft>
