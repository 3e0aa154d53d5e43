import type { Backing } from '../../../api/types'
import { band } from '../../../audio/band'

/** Sets the clicks, and gives back what puts them as they were. */
export function withClicks(backing: Backing | undefined): () => void {
  const { clickOn, clickOffBeats, clickRests } = band.snapshot()
  const before = { clickOn, clickOffBeats, clickRests }
  if (backing !== undefined && backing.id !== 'band') {
    const [sounds, rests] = backing.click_rests ?? []
    band.set({
      clickOn: backing.click_on,
      clickOffBeats: backing.click_off_beats,
      clickRests: sounds === undefined || rests === undefined ? null : [sounds, rests],
    })
  }
  return () => band.set(before)
}
