import { createStore, type StoreApi } from 'zustand'
import { ApiError } from '../../api/client'
import type { BreakdownDocument, StoredBreakdown } from '../../api/types'

export type SaveState =
  | { status: 'saved'; at: string }
  | { status: 'waiting' }
  | { status: 'saving' }
  | { status: 'failed'; message: string }
  | { status: 'stale'; message: string; saved: StoredBreakdown }

export type DocumentState = {
  id: string
  mine: boolean
  document: BreakdownDocument
  revision: number
  past: BreakdownDocument[]
  future: BreakdownDocument[]
  save: SaveState
}

export type DocumentStore = StoreApi<DocumentState> & {
  change(next: (document: BreakdownDocument) => BreakdownDocument, options?: { together?: string }): void
  undo(): void
  redo(): void
  saveNow(): Promise<void>
  /** After a stale save: go on with what the server has. */
  takeSaved(): void
  close(): void
}

/** What the store needs from outside. */
export type Keeper = {
  put(id: string, document: BreakdownDocument, revision: number): Promise<StoredBreakdown>
  /** by which the server knows the saves of this page */
  sitting: string
  /** write answers whether the draft outlives the page */
  draft: { read(id: string): Draft | null; write(id: string, draft: Draft): boolean; clear(id: string): void }
}
/** What is not saved yet: the revision it follows, and the page that made it, whose save may have been on its way. */
export type Draft = { document: BreakdownDocument; revision: number; sitting?: string }

const IDLE_MS = 1000
/** A save that did not get through is tried again after so long, then after twice that, and so on. */
const FIRST_RETRY_MS = 2000
const LONGEST_RETRY_MS = 60_000
const PARTED =
  'This browser holds changes that were never saved, and the breakdown was saved from somewhere else meanwhile. Both are kept: choose which one to go on with.'

const MOST_STEPS = 200
/** Changes of one kind (dragging, typing) within this time are one step to undo. */
const TOGETHER_MS = 900

const message = (problem: unknown): string =>
  problem instanceof Error ? problem.message : 'The save did not work. It is tried again by itself.'

/** The server or the way to it failed; the same save may work in a moment. */
const mayPass = (problem: unknown): boolean =>
  !(problem instanceof ApiError) || problem.status === 0 || problem.status === 429 || problem.status >= 500

/** The draft was made on what is saved now, or on the save before it that was on its way from the same page. */
const follows = (draft: Draft, stored: StoredBreakdown): boolean =>
  draft.revision === stored.revision ||
  (draft.sitting !== undefined && draft.sitting === stored.sitting && draft.revision + 1 === stored.revision)

/**
 * The document on the bench: every change can be undone, is kept in the browser at once and saved after a second of
 * rest, again and again until it gets through. A draft that outlived a crash comes back; where the breakdown was saved from
 * elsewhere meanwhile, both versions are there to choose from.
 */
export function openDocument(stored: StoredBreakdown, keeper: Keeper): DocumentStore {
  const left = stored.mine ? keeper.draft.read(stored.id) : null
  const usable = left !== null && follows(left, stored)
  const parted = left !== null && !usable
  const store = createStore<DocumentState>(() => ({
    id: stored.id,
    mine: stored.mine,
    document: left !== null ? left.document : stored.document,
    revision: stored.revision,
    past: left !== null ? [stored.document] : [],
    future: [],
    save: usable
      ? { status: 'waiting' }
      : parted
        ? { status: 'stale', message: PARTED, saved: stored }
        : { status: 'saved', at: stored.updated_at },
  }))
  let timer: ReturnType<typeof setTimeout> | undefined
  let retryMs = FIRST_RETRY_MS
  let running: Promise<void> | null = null
  let lastStep = { kind: '', at: 0 }

  const wait = (ms = IDLE_MS) => {
    clearTimeout(timer)
    timer = setTimeout(() => void saveNow(), ms)
  }
  const keepDraft = (document: BreakdownDocument, revision: number) =>
    keeper.draft.write(stored.id, { document, revision, sitting: keeper.sitting })
  const set = (document: BreakdownDocument, past: BreakdownDocument[], future: BreakdownDocument[]) => {
    const { revision, save } = store.getState()
    keepDraft(document, revision)
    store.setState({ document, past: past.slice(-MOST_STEPS), future, save: save.status === 'stale' ? save : { status: 'waiting' } })
    if (save.status !== 'stale') wait()
  }

  async function saveNow(): Promise<void> {
    clearTimeout(timer)
    if (running !== null) {
      await running
      // Whoever asks meanwhile may know more than the save that failed: they have signed in again, say.
      return ['waiting', 'failed'].includes(store.getState().save.status) ? saveNow() : undefined
    }
    const { id, document, revision, mine, save } = store.getState()
    if (!mine || save.status === 'saved' || save.status === 'stale') return
    store.setState({ save: { status: 'saving' } })
    running = keeper
      .put(id, document, revision)
      .then((saved) => {
        retryMs = FIRST_RETRY_MS
        const changedMeanwhile = store.getState().document !== document
        store.setState({
          revision: saved.revision,
          save: changedMeanwhile ? { status: 'waiting' } : { status: 'saved', at: saved.updated_at },
        })
        if (changedMeanwhile) {
          keepDraft(store.getState().document, saved.revision)
          wait()
        } else {
          keeper.draft.clear(id)
        }
      })
      .catch((problem: unknown) => {
        const stale = problem instanceof ApiError && problem.status === 409
        store.setState({
          save: stale
            ? { status: 'stale', message: problem.message, saved: problem.body.saved as StoredBreakdown }
            : { status: 'failed', message: message(problem) },
        })
        if (!stale && mayPass(problem)) {
          wait(retryMs)
          retryMs = Math.min(2 * retryMs, LONGEST_RETRY_MS)
        }
      })
      .finally(() => {
        running = null
      })
    return running
  }

  if (usable) wait()

  return Object.assign(store, {
    change(next: (document: BreakdownDocument) => BreakdownDocument, options: { together?: string } = {}) {
      const { document, past, mine } = store.getState()
      const changed = next(document)
      if (!mine || changed === document) return
      const kind = options.together ?? ''
      const joined = kind !== '' && kind === lastStep.kind && Date.now() - lastStep.at < TOGETHER_MS
      lastStep = { kind, at: Date.now() }
      set(changed, joined ? past : [...past, document], [])
    },
    undo() {
      const { document, past, future } = store.getState()
      const before = past.at(-1)
      lastStep = { kind: '', at: 0 }
      if (before !== undefined) set(before, past.slice(0, -1), [document, ...future])
    },
    redo() {
      const { document, past, future } = store.getState()
      const after = future[0]
      if (after !== undefined) set(after, [...past, document], future.slice(1))
    },
    saveNow,
    takeSaved() {
      const { save, id, document, past } = store.getState()
      if (save.status !== 'stale') return
      keeper.draft.clear(id)
      store.setState({
        document: save.saved.document,
        revision: save.saved.revision,
        past: [...past, document],
        future: [],
        save: { status: 'saved', at: save.saved.updated_at },
      })
    },
    close() {
      void saveNow().then(() => clearTimeout(timer))
    },
  })
}
