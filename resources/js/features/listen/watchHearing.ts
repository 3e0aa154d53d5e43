import { call } from '../../api/client'

const EVERY_MS = 700

/** How far a hearing is, as far as it is known. */
export const heardWords = (share: number | null): string => (share === null ? 'Hearing …' : `Heard ${Math.round(100 * share)} %`)

/**
 * Asks now and then how much of one's recording is heard, while it is being heard.
 *
 * @returns a way to stop asking
 */
export function watchHearing(told: (share: number | null) => void): () => void {
  let over = false
  const ask = async () => {
    const { done } = await call('GET', '/api/hearing', {}).catch(() => ({ done: null }))
    if (over) return
    told(done)
    timer = setTimeout(() => void ask(), EVERY_MS)
  }
  let timer = setTimeout(() => void ask(), EVERY_MS)
  return () => {
    over = true
    clearTimeout(timer)
  }
}
