/** Recordings wait their turn on the server; here one waits for them. */
import { ApiError, call } from './client'
import type { AskedHearing, Hearing } from './types'

const FIRST_MS = 250
const EVERY_MS = 700
const REFUSED = 422

/** Told the share that is heard; null while the recording waits its turn. */
export type Told = (share: number | null) => void

/** How far a hearing is, as far as it is known. */
export const heardWords = (share: number | null): string => (share === null ? 'Hearing …' : `Heard ${Math.round(100 * share)} %`)

/** Asks now and then until it is over; a refusal is thrown with its words. */
export async function untilHeard(asked: AskedHearing, told: Told): Promise<AskedHearing> {
  let hearing = asked
  for (let wait = FIRST_MS; ; wait = EVERY_MS) {
    if (hearing.state === 'refused') throw new ApiError(hearing.message ?? 'This recording could not be heard.', REFUSED, {})
    if (hearing.state === 'done') return hearing
    told(hearing.state === 'waits' ? null : hearing.done)
    await new Promise((resolve) => setTimeout(resolve, wait))
    hearing = await call('GET', '/api/hearings/{hearing}', { path: { hearing: hearing.id } })
  }
}

/** A whole recording, of which nothing is kept. */
export async function hearWhole(sound: Blob, told: Told): Promise<Hearing> {
  const { heard } = await untilHeard(await call('POST', '/api/hearings', { body: sound }), told)
  if (heard === null) throw new ApiError('What was heard is not here any more. Open the recording again.', REFUSED, {})
  return heard
}
