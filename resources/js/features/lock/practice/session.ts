import { useState } from 'react'
import { recalled, remember } from '../../../ui/remembered'
import type { Backing, Choices } from '../../../api/types'

export type Settings = {
  start: number
  goal: number
  minutes: number
  mode: 'gated' | 'ramp' | 'bursts'
  bars: number
  /** bar of the song each cycle begins with, from 0 */
  from: number
  input: 'keys' | 'microphone'
  backing: Backing['id']
  /** beats that one swing of the pulse takes; 0: by the tempo */
  swing: 0 | 1 | 4 | 8
  hideBeats: boolean
  hurts: boolean
  /** minutes of playing after which a rest is proposed */
  restAfter: number
}
export type Cycle = { take: string; bpm: number; clean: boolean; seconds: number }
export type Session = { settings: Settings; cycles: Cycle[] }

export const playedSeconds = (cycles: Cycle[]): number => cycles.reduce((sum, cycle) => sum + cycle.seconds, 0)

const key = (id: string) => `gravik:practice:${id}`

export function readSession(id: string, tempo: number, { startShare, minutes, bars, restAfter }: Choices['practice']): Session {
  const start = Math.max(20, Math.round(tempo * startShare))
  const usual: Settings = {
    start,
    goal: Math.round(tempo),
    minutes,
    mode: 'gated',
    bars,
    from: 0,
    input: 'keys',
    backing: 'band',
    swing: 0,
    hideBeats: false,
    hurts: false,
    restAfter,
  }
  const kept = recalled<Partial<Session>>(key(id))
  return { settings: { ...usual, ...kept?.settings }, cycles: kept?.cycles ?? [] }
}

export const writeSession = (id: string, session: Session): void => void remember(key(id), JSON.stringify(session))

/** Settings that make another ladder, which begins at its foot. */
const OTHER_LADDER = ['start', 'goal', 'mode', 'minutes', 'bars', 'from'] as const satisfies (keyof Settings)[]

/** The practice of one breakdown on this device: kept with every change. */
export function useSession(id: string, tempo: number, usual: Choices['practice']) {
  const [session, setSession] = useState<Session>(() => readSession(id, tempo, usual))
  const keep = (next: Session) => {
    writeSession(id, next)
    setSession(next)
  }
  const { settings, cycles } = session
  return {
    ...session,
    add: (cycle: Cycle) => keep({ settings, cycles: [...cycles, cycle] }),
    set: (part: Partial<Settings>) =>
      keep({ settings: { ...settings, ...part }, cycles: OTHER_LADDER.some((name) => name in part) ? [] : cycles }),
    forget: () => keep({ settings, cycles: [] }),
  }
}
