let context: AudioContext | null = null
const listeners = new Set<() => void>()
const tell = () => listeners.forEach((listener) => listener())

/** A device that does not sound within this time does not sound at all, ms. */
const STARTS_WITHIN = 4000

/** The page's one clock, and its way to the loudspeakers; made when it is first asked for. */
export const audio = (): AudioContext => (context ??= made())

/** Told whenever the device's sound stops by itself, or does not start: with it, the clock stands still. Gives the way to unsubscribe. */
export function onSoundGone(listener: () => void): () => void {
  listeners.add(listener)
  return () => void listeners.delete(listener)
}

/** Lets the device sound; says whether it does. */
export async function sounds(): Promise<boolean> {
  const wanted = audio()
  const started = wanted.resume().catch(() => undefined)
  await Promise.race([started, new Promise((over) => setTimeout(over, STARTS_WITHIN))])
  if (wanted.state === 'running') return true
  tell()
  return false
}

function made(): AudioContext {
  const fresh = new AudioContext()
  fresh.addEventListener('statechange', () => {
    if (fresh.state !== 'running') tell()
  })
  return fresh
}
