import { useState } from 'react'

type Kept = {
  on: string
  minutes: number | null
  hurts: boolean
  done: number[]
  played: number
  begun: { place: number; minutes: number } | null
}
const KEY = 'gravik:day'

const today = () => new Date().toDateString()
const fresh = (): Kept => ({ on: today(), minutes: null, hurts: false, done: [], played: 0, begun: null })

function kept(): Kept {
  try {
    const found = JSON.parse(localStorage.getItem(KEY) ?? 'null') as Kept | null
    return found?.on === today() ? found : fresh()
  } catch {
    return fresh()
  }
}

/** How far today's practice has come; a day that was stopped goes on where it stopped, also after the tab was closed. */
export function useDayDone() {
  const [day, setDay] = useState(kept)
  const set = (change: Partial<Kept>) => {
    const next = { ...day, ...change }
    setDay(next)
    try {
      localStorage.setItem(KEY, JSON.stringify(next))
    } catch {
      // A full store forgets the day when the tab is closed, nothing else.
    }
  }
  return {
    /** as they were chosen; null for the usual */ minutes: day.minutes,
    hurts: day.hurts,
    played: day.played,
    has: (place: number) => day.done.includes(place),
    /** Another length of the day is another plan: it begins anew. */
    setMinutes: (minutes: number) => set({ minutes, done: [], begun: null }),
    setHurts: (hurts: boolean) => set({ hurts, done: [], begun: null }),
    begin: (place: number, minutes: number) => set({ begun: { place, minutes } }),
    finish: (place: number, minutes: number) => set({ done: [...day.done, place], played: day.played + minutes, begun: null }),
  }
}
