import { beforeEach, expect, it, vi } from 'vitest'
import { deliver, deliverAll, useOutbox, type Waiting } from './outbox'
import { callsTo, serve } from '../testing/page'

const store = vi.hoisted(() => ({ full: false, kept: new Map<string, unknown>() }))
vi.mock('idb-keyval', () => ({
  createStore: () => null,
  set: async (id: string, value: unknown) => {
    if (store.full) throw new DOMException('', 'QuotaExceededError')
    store.kept.set(id, value)
  },
  del: async (id: string) => void store.kept.delete(id),
  entries: async () => [...store.kept],
}))

const taps = { tempo: 90, bars: 4, from: 0, taps: [], latency_ms: null, stage: null, arrangement: 'with-band' as const, level: 3 }
const waiting = (id: string, player = 7): Waiting => ({
  id,
  player,
  breakdown: 'b1',
  title: 'Tide Table',
  at: Date.now() - 90_000,
  played: { taps },
})
const ids = () => useOutbox.getState().waiting.map(({ id }) => id)

beforeEach(() => {
  Object.assign(store, { full: false })
  store.kept.clear()
})

it('keeps a take until it was judged, and says for how long it waited', async () => {
  serve({})
  vi.stubGlobal('fetch', vi.fn().mockRejectedValue(new TypeError('no connection')))
  await expect(deliver(waiting('t1'))).rejects.toThrow('cannot be reached')
  expect([...store.kept.keys()]).toEqual(['t1'])
  serve({ 'POST breakdowns/b1/takes': [201, { id: 't1' }] })
  const judged: string[] = []
  await deliverAll(7, ({ id }) => judged.push(id))
  expect(judged).toEqual(['t1'])
  expect([ids(), store.kept.size]).toEqual([[], 0])
  expect(callsTo('POST breakdowns/b1/takes')[0]).toMatchObject({ id: 't1', waited: 90 })
})

it('sends nobody else’s takes, and does not send what was refused over and over', async () => {
  serve({ 'POST breakdowns/b1/takes': [404, { message: 'This is not here any more, or was never yours.' }] })
  useOutbox.setState({ waiting: [waiting('t1'), waiting('t2', 8)], kept: true })
  await deliverAll(7, () => undefined)
  await deliverAll(7, () => undefined)
  expect(callsTo('POST breakdowns/b1/takes')).toHaveLength(1)
  expect(Object.fromEntries(useOutbox.getState().waiting.map(({ id, refused }) => [id, refused]))).toEqual({
    t1: 'This is not here any more, or was never yours.',
    t2: undefined,
  })
})

it('holds a take while the page is open where the store is full, and says so', async () => {
  store.full = true
  serve({ 'POST breakdowns/b1/takes': [503, {}] })
  await expect(deliver(waiting('t1'))).rejects.toThrow()
  expect([ids(), useOutbox.getState().kept]).toEqual([['t1'], false])
})
