import { ulid } from 'ulid'
import { call } from '../../api/client'
import type { BreakdownDocument, StoredBreakdown } from '../../api/types'
import { forget, recalled, remember } from '../../ui/remembered'
import type { Draft, Keeper } from './documentStore'

/** One sitting: the saves of one open page become one version to go back to. */
export const sitting = ulid().toLowerCase()

const key = (id: string) => `gravik:draft:${id}`

export const browserKeeper: Keeper = {
  put: (id, document, revision) => call<StoredBreakdown>('PUT', `breakdowns/${id}`, { document, revision, sitting }),
  sitting,
  draft: {
    read: (id) => recalled<Draft>(key(id)),
    write: (id, draft) => remember(key(id), JSON.stringify(draft)),
    clear: (id) => forget(key(id)),
  },
}

export const putOnShelf = (document: BreakdownDocument, id: string = ulid().toLowerCase()) => call<StoredBreakdown>('POST', 'breakdowns', { id, document, sitting })
