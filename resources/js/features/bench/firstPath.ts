import type { BreakdownDocument } from '../../api/types'
import { forget, recalled, remember } from '../../ui/remembered'
import type { Station } from './stations'

/** What a first breakdown goes through, station by station; a walk of five minutes. */
export const FIRST_STEPS: { station: Station; words: string; done?: (document: BreakdownDocument) => boolean }[] = [
  {
    station: 'chart',
    words: 'Type a line of chords, bar by bar: | Dm | A7 |',
    done: ({ sections }) => sections.some(({ line }) => line.trim() !== ''),
  },
  {
    station: 'shapes',
    words: 'Walk through the grips of a chord (← →), pin the one you teach (Enter)',
    done: ({ lines }) => lines.some(({ pins }) => pins.length > 0),
  },
  {
    station: 'hand',
    words: 'Type the strum as you count it, or choose one to start from (L)',
    done: ({ patterns }) => patterns.some(({ streams }) => streams.some(({ strokes }) => strokes.length > 0)),
  },
  { station: 'band', words: 'Hear it with the band (Space), and see who speaks where' },
  { station: 'steps', words: 'Look at the lesson that is proposed, stage by stage' },
  { station: 'lock', words: 'Play along (R, then F and J), and read where it locks' },
  { station: 'handout', words: 'Print the page for your first student' },
]

type Path = { breakdown: string | null; seen: Station[] }
const KEY = 'gravik:first-path'

/** It begins with the first breakdown that is made after this. */
export const beginFirstPath = (): void => void remember(KEY, JSON.stringify({ breakdown: null, seen: [] } satisfies Path))
export const firstPath = (): Path | null => recalled<Path>(KEY)
export const keepFirstPath = (path: Path): void => void remember(KEY, JSON.stringify(path))
export const endFirstPath = (): void => forget(KEY)
