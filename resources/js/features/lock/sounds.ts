import { createStore, del, entries, get, keys, set } from 'idb-keyval'

/** A take as it sounded. It stays in this browser until it is deleted or newer ones need the room. */
export type KeptSound = {
  wav: Blob
  /** second at which bar 1 beat 1 lies in it, the device's delay included */
  firstBeat: number
  bars?: number
  tempo?: number
  at?: string
}
export type FreePlayKept = { id: string; bars: number; tempo: number; at: string }

/** The newest of them; older ones make room. Ids are in order of time. */
const MOST = 24

const store = () => createStore('gravik-sounds', 'takes')

export async function keepSound(id: string, sound: KeptSound): Promise<void> {
  try {
    await set(id, sound, store())
    const old = (await keys<string>(store())).sort((a, b) => (a.slice(-26) < b.slice(-26) ? -1 : 1)).slice(0, -MOST)
    await Promise.all(old.map((each) => del(each, store())))
  } catch {
    // A browser without room for it still has the report.
  }
}

export async function soundOf(id: string): Promise<KeptSound | null> {
  try {
    return (await get<KeptSound>(id, store())) ?? null
  } catch {
    return null
  }
}

export const forgetSound = (id: string): Promise<void> => del(id, store())

/** What was played freely over a breakdown, the newest first. */
export async function freePlays(breakdown: string): Promise<FreePlayKept[]> {
  try {
    const all = await entries<string, KeptSound>(store())
    return all
      .filter(([id]) => id.startsWith(`free-${breakdown}-`))
      .map(([id, { bars = 0, tempo = 0, at = '' }]) => ({ id, bars, tempo, at }))
      .sort((a, b) => (a.id < b.id ? 1 : -1))
  } catch {
    return []
  }
}
