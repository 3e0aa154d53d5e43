export type Phase = 'ready' | 'tuning-in' | 'playing' | 'judging' | 'between' | 'asked' | 'over'

/** Where practice stands, and whether the ladder goes on by itself after this cycle. */
export type Practice = { phase: Phase; goesOn: boolean }

/**
 * What can happen: somebody begins or stops; the band sounds at the step's tempo; a cycle was played, was judged, or came
 * to nothing; the pause after it is over, or a question waits.
 */
export type Happening = 'begins' | 'stops' | 'sounds' | 'played' | 'judged' | 'came to nothing' | 'goes on' | 'is asked' | 'is over'

export const READY: Practice = { phase: 'ready', goesOn: false }

export function practiceAfter(now: Practice, happening: Happening): Practice {
  switch (happening) {
    case 'begins':
      return { phase: 'tuning-in', goesOn: true }
    case 'stops':
      // A cycle that is being played is judged all the same.
      return { phase: now.phase === 'playing' ? 'playing' : 'ready', goesOn: false }
    case 'sounds':
      return { ...now, phase: 'playing' }
    case 'played':
      return { ...now, phase: 'judging' }
    case 'judged':
      return { ...now, phase: now.goesOn ? 'between' : 'ready' }
    case 'came to nothing':
      return READY
    case 'goes on':
      return { ...now, phase: 'tuning-in' }
    case 'is asked':
      return { ...now, phase: 'asked' }
    case 'is over':
      return { ...now, phase: 'over' }
  }
}
