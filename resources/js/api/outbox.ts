/**
 * Takes that were played and are not judged yet. Each waits in this browser's store until it was delivered, whatever becomes
 * of the connection or the tab; its id makes sure that it is judged once.
 */
import { createStore as idbStore, del, entries, set } from 'idb-keyval'
import { create } from 'zustand'
import { ApiError, call, type Body } from './client'
import { untilHeard, type Told } from './hearings'
import type { Take } from './types'

type Taps = Omit<Body<'POST', '/api/breakdowns/{id}/takes'>, 'id' | 'waited'>
type SoundQuery = {
  tempo: number
  bars: number
  from: number
  level: number
  stage?: string | undefined
  arrangement: 'with-band' | 'alone'
  first_beat?: number | undefined
  latency_ms?: number | undefined
  /** whether the sound is kept with the take */ keep_sound: 0 | 1
}
export type Played = { taps: Taps } | { sound: Blob; query: SoundQuery }
export type Waiting = {
  /** of the take */
  id: string
  /** id of the player: on a shared device nobody's takes are sent as another's */
  player: number
  breakdown: string
  title: string
  /** when it was played, ms of this device's clock */
  at: number
  played: Played
  /** why the server does not take it; kept until its player lets it go */
  refused?: string
}

const store = () => idbStore('gravik-waiting', 'takes')

/** kept: whether it will still be there when the tab was closed */
type Outbox = { waiting: Waiting[]; kept: boolean }
export const useOutbox = create<Outbox>(() => ({ waiting: [], kept: true }))

const put = (waiting: Waiting) =>
  useOutbox.setState(({ waiting: others }) => ({
    waiting: [...others.filter(({ id }) => id !== waiting.id), waiting].sort((a, b) => a.at - b.at),
  }))
const takeOut = (id: string) => useOutbox.setState(({ waiting }) => ({ waiting: waiting.filter((each) => each.id !== id) }))

async function write(waiting: Waiting): Promise<void> {
  put(waiting)
  try {
    await set(waiting.id, waiting, store())
    useOutbox.setState({ kept: true })
  } catch {
    // A store that is full or refused: it is kept while the page is open, and the page says so.
    useOutbox.setState({ kept: false })
  }
}

export async function letGo(id: string): Promise<void> {
  takeOut(id)
  try {
    await del(id, store())
  } catch {
    // Where nothing can be kept nothing is left behind.
  }
}

/** What waited when the page was opened. */
export async function recallWaiting(): Promise<void> {
  try {
    for (const [, waiting] of await entries<string, Waiting>(store())) put(waiting)
  } catch {
    // Then nothing was kept.
  }
}

/** Whether trying again later is of use: no connection, no session, a server that is looked after, too many at once. */
export const isPassing = (problem: unknown): boolean =>
  !(problem instanceof ApiError) || [0, 401, 408, 419, 429].includes(problem.status) || problem.status >= 500

/** @throws ApiError as the server refused it; it stays here either way, unless it was judged */
export async function deliver(waiting: Waiting, told: Told = () => undefined): Promise<Take> {
  await write(waiting)
  try {
    const take = await send(waiting, told)
    await letGo(waiting.id)
    return take
  } catch (problem) {
    if (!isPassing(problem)) await write({ ...waiting, refused: problem instanceof Error ? problem.message : 'It was not taken.' })
    throw problem
  }
}

/** Delivers what waits, the oldest first, one tab at a time; told of each that was judged. */
export async function deliverAll(player: number, judged: (take: Take, waiting: Waiting) => void): Promise<void> {
  const all = async () => {
    for (const waiting of useOutbox.getState().waiting) {
      if (waiting.player !== player || waiting.refused !== undefined) continue
      try {
        judged(await deliver(waiting), waiting)
      } catch (problem) {
        if (isPassing(problem)) return
      }
    }
  }
  // Where the browser has no locks, two tabs may send the same take: the server judges it once.
  await ('locks' in navigator ? navigator.locks.request('gravik-outbox', all) : all())
}

async function send({ id, breakdown, at, played }: Waiting, told: Told): Promise<Take> {
  const waited = Math.max(0, Math.round((Date.now() - at) / 1000))
  if ('taps' in played) return call('POST', '/api/breakdowns/{id}/takes', { path: { id: breakdown }, body: { id, waited, ...played.taps } })
  const asked = await call('POST', '/api/breakdowns/{id}/recordings', {
    path: { id: breakdown },
    query: { id, waited, ...played.query },
    body: played.sound,
  })
  const { take } = await untilHeard(asked, told)
  if (take === null) throw new ApiError('The take is not here any more. Play it again.', 404, {})
  return take
}
