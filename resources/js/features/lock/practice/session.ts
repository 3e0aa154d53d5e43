import { useState } from 'react'
import { recalled, remember } from '../../../ui/remembered'
import type { Backing, Choices, LessonStage } from '../../../api/types'

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
  /** per cent of a step, as the stage has it; the usual where nothing is said */
  step?: number
}
export type Cycle = { take: string; bpm: number; clean: boolean; seconds: number }
export type Session = { settings: Settings; cycles: Cycle[] }

export const playedSeconds = (cycles: Cycle[]): number => cycles.reduce((sum, cycle) => sum + cycle.seconds, 0)

const key = (id: string) => `gravik:practice:${id}`

/** @param stage whose ladder it is; null: a ladder over the song */
export function readSession(
  id: string,
  tempo: number,
  { startShare, minutes, bars, restAfter }: Choices['practice'],
  stage: LessonStage | null = null,
): Session {
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
  if (stage === null) return { settings: { ...usual, ...kept?.settings }, cycles: kept?.cycles ?? [] }
  const { start: from, goal, minutes: given, percent, mode, bars: cycle } = stage.ladder
  const staged = { start: from, goal, minutes: given, step: percent, mode, bars: cycle, from: stage.loop?.[0] ?? 0 }
  const same = OTHER_LADDER.every((name) => name === 'from' || kept?.settings?.[name] === staged[name])
  return { settings: { ...usual, backing: stage.backing.id, ...kept?.settings, ...staged }, cycles: same ? (kept?.cycles ?? []) : [] }
}

export const writeSession = (id: string, session: Session): void => void remember(key(id), JSON.stringify(session))

/** Settings that make another ladder, which begins at its foot. */
const OTHER_LADDER = ['start', 'goal', 'mode', 'minutes', 'bars', 'from'] as const satisfies (keyof Settings)[]

/** The practice of one breakdown on this device: kept with every change. */
export function useSession(breakdown: string, tempo: number, usual: Choices['practice'], stage: LessonStage | null) {
  const id = stage === null ? breakdown : `${breakdown}:${stage.key}`
  const [session, setSession] = useState<Session>(() => readSession(id, tempo, usual, stage))
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
