import { createStore, del, get, keys, set } from 'idb-keyval'

/** A take as it sounded. It stays in this browser. */
export type KeptSound = { wav: Blob; /** second at which bar 1 beat 1 lies in it, the device's delay included */ firstBeat: number }

/** The newest of them; older ones make room. Ids are in order of time. */
const MOST = 24

const store = () => createStore('gravik-sounds', 'takes')

export async function keepSound(id: string, sound: KeptSound): Promise<void> {
  try {
    await set(id, sound, store())
    const old = (await keys<string>(store())).sort().slice(0, -MOST)
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
