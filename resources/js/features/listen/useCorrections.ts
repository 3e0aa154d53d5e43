import { useState } from 'react'
import type { FeelReading } from '../../api/types'
import { placesOf, withNewStroke, withStroke, type Listened, type ListenedStroke } from './listened'

const NO_STROKES: ListenedStroke[] = []

/** The chosen stroke of what was heard, and what an ear can correct of it and of the count. */
export function useCorrections(listened: Listened | null, change: (next: Listened) => void, shown: FeelReading | undefined) {
  const [chosen, setChosen] = useState(0)
  const strokes = listened?.strokes ?? NO_STROKES
  const places = listened === null || shown === undefined ? [] : placesOf(listened, shown)
  const stroke = strokes[chosen]
  const edit = (part: Partial<ListenedStroke>) =>
    listened !== null && stroke !== undefined && change(steady(withStroke(listened, chosen, part)))
  /** What is corrected by hand does not set the tempo in doubt again. */
  const steady = (next: Listened): Listened => ({ ...next, told: { ...next.told, tempo: next.told.tempo ?? shown?.tempo_bpm } })
  const nudge = (seconds: number) => stroke !== undefined && edit({ t: Math.round((stroke.t + seconds) * 1e4) / 1e4 })
  const tell = (told: Listened['told']) => listened !== null && change({ ...listened, told: { ...listened.told, ...told } })
  const faster = (times: number) => shown !== undefined && tell({ tempo: Math.round(shown.tempo_bpm * times * 10) / 10 })
  const insert = (t: number) => {
    if (listened === null) return
    const next = steady(withNewStroke(listened, t))
    change(next)
    setChosen(next.strokes.findIndex((each) => each.t === t))
  }
  const halfWay = () => {
    const next = strokes[chosen + 1]
    if (stroke !== undefined && next !== undefined) insert(Math.round(((stroke.t + next.t) / 2) * 1e4) / 1e4)
  }
  return { strokes, places, chosen, choose: setChosen, stroke, edit, nudge, tell, faster, insert, halfWay }
}
