import { ulid } from 'ulid'
import { ApiError, call } from '../../api/client'
import { upgraded } from '../../api/queries'
import type { BreakdownDocument, StoredBreakdown } from '../../api/types'
import { forget, recalled, remember } from '../../ui/remembered'
import type { Draft, Keeper } from './documentStore'

/** One sitting: the saves of one open page become one version to go back to. */
export const sitting = ulid().toLowerCase()

const key = (id: string) => `gravik:draft:${id}`

export const browserKeeper: Keeper = {
  put: (id, document, revision) => call('PUT', '/api/breakdowns/{id}', { path: { id }, body: { document, revision, sitting } }),
  sitting,
  draft: {
    read: (id) => recalled<Draft>(key(id)),
    write: (id, draft) => remember(key(id), JSON.stringify(draft)),
    clear: (id) => forget(key(id)),
  },
}

/**
 * A draft that an older Gravik left here is rewritten as documents are today. One that cannot be read is put aside: the
 * saved breakdown opens, and what was typed stays in the browser.
 */
export async function refreshDraft({ id, document }: StoredBreakdown): Promise<void> {
  const draft = browserKeeper.draft.read(id)
  if (draft === null || draft.document.version === document.version) return
  try {
    browserKeeper.draft.write(id, { ...draft, document: (await upgraded(draft.document)).document })
  } catch (problem) {
    if (!(problem instanceof ApiError) || problem.status !== 422) throw problem
    remember(`${key(id)}:unreadable`, JSON.stringify(draft))
    browserKeeper.draft.clear(id)
  }
}

export const putOnShelf = (document: BreakdownDocument, id: string = ulid().toLowerCase()) =>
  call('POST', '/api/breakdowns', { body: { id, document, sitting } })
