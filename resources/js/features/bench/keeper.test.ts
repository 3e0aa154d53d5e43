import { beforeEach, expect, it } from 'vitest'
import type { StoredBreakdown } from '../../api/types'
import { callsTo, serve, tune } from '../../testing/page'
import { browserKeeper, refreshDraft } from './keeper'

const stored: StoredBreakdown = {
  id: 'b1',
  revision: 3,
  sitting: 'elsewhere',
  updated_at: '2026-05-09T12:00:00Z',
  mine: true,
  document: tune,
}
const older = { revision: 3, document: { ...tune, version: 1, title: 'Typed before the door closed' } as unknown as typeof tune }

beforeEach(() => {
  localStorage.clear()
  browserKeeper.draft.write('b1', older)
})

it('rewrites a draft that an older Gravik left, and keeps its revision', async () => {
  serve({ 'POST compute/upgrade': (body: unknown) => ({ document: { ...(body as { document: typeof tune }).document, version: 2 } }) })
  await refreshDraft(stored)
  expect(browserKeeper.draft.read('b1')).toEqual({ ...older, document: { ...older.document, version: 2 } })
})

it('leaves a draft of today alone', async () => {
  const draft = { revision: 3, document: tune }
  browserKeeper.draft.write('b1', draft)
  await refreshDraft(stored)
  expect(browserKeeper.draft.read('b1')).toEqual(draft)
  expect(callsTo('POST compute/upgrade')).toEqual([])
})

it('puts a draft aside that cannot be read, and loses nothing of it', async () => {
  serve({ 'POST compute/upgrade': () => [422, { message: 'Section 1 has no line.' }] })
  await refreshDraft(stored)
  expect(browserKeeper.draft.read('b1')).toBeNull()
  expect(Object.values(localStorage).some((kept: string) => kept.includes('Typed before the door closed'))).toBe(true)
})

it('keeps the draft where the server cannot be asked', async () => {
  serve({ 'POST compute/upgrade': () => [403, { message: 'Not now.' }] })
  await expect(refreshDraft(stored)).rejects.toThrow('Not now.')
  expect(browserKeeper.draft.read('b1')).toEqual(older)
})
