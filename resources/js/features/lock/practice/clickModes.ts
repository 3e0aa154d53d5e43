import { band } from '../../../audio/band'
import type { PlayerState } from '../../../audio/BandPlayer'

type Clicks = Pick<PlayerState, 'clickOn' | 'clickOffBeats' | 'clickRests'>

/** What is played along to, from most help to least. */
export const BACKINGS = [
  { id: 'band', name: 'the band' },
  { id: 'all', name: 'click on every beat' },
  { id: 'back', name: 'click on 2 and 4' },
  { id: 'one', name: 'click once a bar' },
  { id: 'off', name: 'click on the off-beats' },
  { id: 'rests', name: 'click that drops out' },
] as const

export type Backing = (typeof BACKINGS)[number]['id']

/** Bars with the click and bars without, where it drops out. */
const RESTS: [number, number] = [2, 2]

export function clicksOf(backing: Backing, beats: number): Clicks {
  const all = Array.from({ length: beats }, (_, beat) => beat)
  const silent: Clicks = { clickOn: [], clickOffBeats: false, clickRests: null }
  switch (backing) {
    case 'band':
      return silent
    case 'all':
      return { ...silent, clickOn: all }
    case 'back':
      return { ...silent, clickOn: beats === 3 ? [1, 2] : all.filter((beat) => beat % 2 === 1) }
    case 'one':
      return { ...silent, clickOn: [0] }
    case 'off':
      return { ...silent, clickOffBeats: true }
    case 'rests':
      return { ...silent, clickOn: all, clickRests: RESTS }
  }
}

/** Sets the clicks, and gives back what puts them as they were. */
export function withClicks(backing: Backing, beats: number): () => void {
  const { clickOn, clickOffBeats, clickRests } = band.snapshot()
  const before = { clickOn, clickOffBeats, clickRests }
  if (backing !== 'band') band.set(clicksOf(backing, beats))
  return () => band.set(before)
}
