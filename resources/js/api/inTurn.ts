const underWay = new Map<string, Promise<unknown>>()

/**
 * Sends requests of one kind one after the other: while something is dragged at most one is under way, and of those that
 * wait only what is still wanted (its signal not aborted) is sent, so the newest wins.
 */
export async function inTurn<T>(kind: string, signal: AbortSignal, send: () => Promise<T>): Promise<T> {
  while (underWay.has(kind)) {
    await underWay.get(kind)?.catch(() => undefined)
    if (signal.aborted) throw new DOMException('A newer one took its place.', 'AbortError')
  }
  const sent = send()
  underWay.set(kind, sent)
  try {
    return await sent
  } finally {
    underWay.delete(kind)
  }
}
