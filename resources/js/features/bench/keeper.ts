import { ulid } from 'ulid'
import { call } from '../../api/client'
import type { BreakdownDocument, StoredBreakdown } from '../../api/types'
import type { Draft, Keeper } from './documentStore'

/** One sitting: the saves of one open page become one version to go back to. */
export const sitting = ulid().toLowerCase()

const key = (id: string) => `gravik:draft:${id}`

export const browserKeeper: Keeper = {
  put: (id, document, revision) => call<StoredBreakdown>('PUT', `breakdowns/${id}`, { document, revision, sitting }),
  draft: {
    read(id) {
      try {
        return JSON.parse(localStorage.getItem(key(id)) ?? 'null') as Draft | null
      } catch {
        return null
      }
    },
    write(id, draft) {
      try {
        localStorage.setItem(key(id), JSON.stringify(draft))
      } catch {
        // A full or forbidden store must not stop the work: the autosave still runs.
      }
    },
    clear: (id) => localStorage.removeItem(key(id)),
  },
}

export const putOnShelf = (document: BreakdownDocument, id: string = ulid().toLowerCase()) => call<StoredBreakdown>('POST', 'breakdowns', { id, document, sitting })
