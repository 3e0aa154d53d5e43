import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiError } from '../../api/client'
import { withStart } from '../../api/desk'
import type { BreakdownDocument, StoredBreakdown } from '../../api/types'
import { openDocument, type Draft, type Keeper } from './documentStore'

const blank = { title: 'Tide Table', start: { tempo: 120 }, notes: '' } as BreakdownDocument

const stored = (document: BreakdownDocument = blank, revision = 1, mine = true): StoredBreakdown => ({
  id: 'b1',
  revision,
  sitting: 'another page',
  updated_at: '2026-05-09T12:00:00Z',
  mine,
  document,
})

/** A server that counts saves, and a browser that keeps drafts. */
class FakeKeeper implements Keeper {
  sitting = 'this page'
  saves: { document: BreakdownDocument; revision: number }[] = []
  drafts = new Map<string, Draft>()
  answer: (document: BreakdownDocument, revision: number) => Promise<StoredBreakdown> = async (document, revision) =>
    stored(document, revision + 1)
  put = (_id: string, document: BreakdownDocument, revision: number) => {
    this.saves.push({ document, revision })
    return this.answer(document, revision)
  }
  draft = {
    read: (id: string) => this.drafts.get(id) ?? null,
    write: (id: string, draft: Draft) => this.drafts.set(id, draft).has(id),
    clear: (id: string) => void this.drafts.delete(id),
  }
}

let keeper: FakeKeeper
const titled = (title: string) => (document: BreakdownDocument) => ({ ...document, title })

beforeEach(() => {
  vi.useFakeTimers()
  keeper = new FakeKeeper()
})
afterEach(() => void vi.useRealTimers())

describe('saving', () => {
  it('saves once, a second after the last change', async () => {
    const store = openDocument(stored(), keeper)
    store.change(titled('A'))
    await vi.advanceTimersByTimeAsync(700)
    store.change(titled('B'))
    await vi.advanceTimersByTimeAsync(999)
    expect(keeper.saves).toHaveLength(0)
    expect(store.getState().save.status).toBe('waiting')
    await vi.advanceTimersByTimeAsync(1)
    expect(keeper.saves.map((save) => [save.document.title, save.revision])).toEqual([['B', 1]])
    expect(store.getState()).toMatchObject({ revision: 2, save: { status: 'saved' } })
  })

  it('saves again what was changed while a save was on its way', async () => {
    let finish: () => void = () => undefined
    keeper.answer = (document, revision) => new Promise((resolve) => (finish = () => resolve(stored(document, revision + 1))))
    const store = openDocument(stored(), keeper)
    store.change(titled('A'))
    await vi.advanceTimersByTimeAsync(1000)
    store.change(titled('B'))
    finish()
    await vi.advanceTimersByTimeAsync(1000)
    expect(keeper.saves.map((save) => [save.document.title, save.revision])).toEqual([
      ['A', 1],
      ['B', 2],
    ])
  })

  it('keeps every change in the browser at once, until it is saved', async () => {
    const store = openDocument(stored(), keeper)
    store.change(titled('A'))
    expect(keeper.drafts.get('b1')).toEqual({ document: { ...blank, title: 'A' }, revision: 1, sitting: 'this page' })
    await vi.advanceTimersByTimeAsync(1000)
    expect(keeper.drafts.size).toBe(0)
  })

  it('brings a draft back after a crash and saves it, and undo goes to what was saved', async () => {
    keeper.drafts.set('b1', { document: { ...blank, title: 'Unsaved' }, revision: 1 })
    const store = openDocument(stored(), keeper)
    expect(store.getState().document.title).toBe('Unsaved')
    await vi.advanceTimersByTimeAsync(1000)
    expect(keeper.saves).toHaveLength(1)
    store.undo()
    expect(store.getState().document.title).toBe('Tide Table')
  })

  it('brings back what was changed while a save was on its way, though the page was left before the next one', async () => {
    keeper.drafts.set('b1', { document: { ...blank, title: 'Changed while saving' }, revision: 1, sitting: 'the page before' })
    const store = openDocument({ ...stored({ ...blank, title: 'On its way' }, 2), sitting: 'the page before' }, keeper)
    expect(store.getState().document.title).toBe('Changed while saving')
    await vi.advanceTimersByTimeAsync(1000)
    expect(keeper.saves.map((save) => [save.document.title, save.revision])).toEqual([['Changed while saving', 2]])
  })

  it('shows both versions where the server has gone on from somewhere else', () => {
    keeper.drafts.set('b1', { document: { ...blank, title: 'Mine' }, revision: 1, sitting: 'the page before' })
    const store = openDocument(stored({ ...blank, title: 'Theirs' }, 5), keeper)
    expect(store.getState()).toMatchObject({
      document: { title: 'Mine' },
      save: { status: 'stale', saved: { document: { title: 'Theirs' } } },
    })
    store.takeSaved()
    expect(store.getState().document.title).toBe('Theirs')
  })

  it('tries again by itself, with growing pauses, until the server answers', async () => {
    keeper.answer = () => Promise.reject(new ApiError('Gravik cannot be reached.', 503, {}))
    const store = openDocument(stored(), keeper)
    store.change(titled('A'))
    await vi.advanceTimersByTimeAsync(1000 + 2000 + 4000 + 8000)
    expect(keeper.saves).toHaveLength(4)
    keeper.answer = async (document, revision) => stored(document, revision + 1)
    await vi.advanceTimersByTimeAsync(16_000)
    expect(store.getState().save.status).toBe('saved')
  })

  it('does not try again what was refused', async () => {
    keeper.answer = () => Promise.reject(new ApiError('A title has at most 120 characters.', 422, {}))
    const store = openDocument(stored(), keeper)
    store.change(titled('A'))
    await vi.advanceTimersByTimeAsync(100_000)
    expect(keeper.saves).toHaveLength(1)
  })

  it('saves after signing in again, though the save before that was still on its way to being refused', async () => {
    let refuse: (problem: ApiError) => void = () => undefined
    keeper.answer = () => new Promise((_, reject) => (refuse = reject))
    const store = openDocument(stored(), keeper)
    store.change(titled('Signed out'))
    await vi.advanceTimersByTimeAsync(1000)
    keeper.answer = async (document, revision) => stored(document, revision + 1)
    void store.saveNow()
    refuse(new ApiError('You are signed out.', 401, {}))
    await vi.advanceTimersByTimeAsync(0)
    expect(keeper.saves.map(({ document }) => document.title)).toEqual(['Signed out', 'Signed out'])
    expect(store.getState().save.status).toBe('saved')
  })

  it('says that a save failed, keeps the draft, and saves on the next try', async () => {
    const store = openDocument(stored(), keeper)
    keeper.answer = () => Promise.reject(new ApiError('Gravik cannot be reached.', 0, {}))
    store.change(titled('A'))
    await vi.advanceTimersByTimeAsync(1000)
    expect(store.getState().save).toEqual({ status: 'failed', message: 'Gravik cannot be reached.' })
    expect(keeper.drafts.get('b1')?.document.title).toBe('A')
    keeper.answer = async (document, revision) => stored(document, revision + 1)
    await store.saveNow()
    expect(store.getState().save.status).toBe('saved')
  })

  it('stops at a stale revision, keeps its own version, and can go on with the saved one', async () => {
    const theirs = stored({ ...blank, title: 'Theirs' }, 7)
    keeper.answer = () => Promise.reject(new ApiError('Saved from somewhere else.', 409, { saved: theirs }))
    const store = openDocument(stored(), keeper)
    store.change(titled('Mine'))
    await vi.advanceTimersByTimeAsync(1000)
    expect(store.getState()).toMatchObject({ document: { title: 'Mine' }, save: { status: 'stale' } })
    store.change(titled('Mine, still'))
    await vi.advanceTimersByTimeAsync(5000)
    expect(keeper.saves).toHaveLength(1)
    store.takeSaved()
    expect(store.getState()).toMatchObject({ document: { title: 'Theirs' }, revision: 7, save: { status: 'saved' } })
    store.undo()
    expect(store.getState().document.title).toBe('Mine, still')
  })

  it('changes and saves nothing that belongs to somebody else', async () => {
    const store = openDocument(stored(blank, 1, false), keeper)
    store.change(titled('Not mine'))
    await vi.advanceTimersByTimeAsync(2000)
    expect([store.getState().document.title, keeper.saves.length]).toEqual(['Tide Table', 0])
  })

  it('saves what is left when the page goes', async () => {
    const store = openDocument(stored(), keeper)
    store.change(titled('Last words'))
    store.close()
    await vi.advanceTimersByTimeAsync(0)
    expect(keeper.saves).toHaveLength(1)
  })
})

describe('undo', () => {
  it('goes back and forth through every change', () => {
    const store = openDocument(stored(), keeper)
    for (const title of ['A', 'B', 'C']) store.change(titled(title))
    store.undo()
    store.undo()
    expect(store.getState().document.title).toBe('A')
    store.redo()
    expect(store.getState().document.title).toBe('B')
    store.change(titled('D'))
    store.redo()
    expect(store.getState().document.title).toBe('D')
  })

  it('takes typing and dragging as one step', async () => {
    const store = openDocument(stored(), keeper)
    for (const tempo of [121, 122, 123]) store.change((document) => withStart(document, { tempo }), { together: 'tempo' })
    await vi.advanceTimersByTimeAsync(1500)
    store.change((document) => withStart(document, { tempo: 140 }), { together: 'tempo' })
    store.undo()
    expect(store.getState().document.start.tempo).toBe(123)
    store.undo()
    expect(store.getState().document.start.tempo).toBe(120)
  })

  it('is no step where nothing changed, and does nothing at the ends', () => {
    const store = openDocument(stored(), keeper)
    store.change((document) => document)
    expect(store.getState().past).toHaveLength(0)
    store.undo()
    store.redo()
    expect(store.getState().document).toBe(blank)
  })
})
