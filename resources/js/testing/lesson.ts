import type { Lesson, LessonStage } from '../api/types'

const ladder = { start: 60, goal: 90, minutes: 8, percent: 5, mode: 'gated' as const, bars: 4 }
/** A stage of a lesson; only what a test is about needs to be said. */
export const stageOf = (name: string, part: Partial<LessonStage> = {}): LessonStage => ({
  key: name,
  stage: name,
  of: '',
  number: 1,
  proposed: true,
  own: false,
  name,
  changes: `new in ${name}`,
  proposal: `${name}, 60 to 90`,
  settled_for: null,
  ladder,
  usual: ladder,
  climb: { steps: [{ bpm: 60, bars: 4, cycles: 3, seconds: 48, pulse_beats: 1 }], added: 4, minutes: 7.9, fits: true, goal: 90 },
  backing: { id: 'all', name: 'click on every beat', click_on: [0, 1, 2, 3], click_off_beats: false, click_rests: null },
  loop: [0, 1],
  level: 3,
  waits: [],
  gate: { biasMs: 15, spreadMs: 20, swingPoints: 4, missedShare: 0.03 },
  sketch: {
    beats: 4,
    beats_a_bar: 4,
    p: 0.5,
    strokes: [{ at: 0, slot: 0, direction: 'down', beats: 0, kind: 'ring', accent: 1, stream: 0 }],
  },
  tails: [{ at: 0, beats: 0, until: 2, strings: [5, 4], ends: [2, 2], cut: true }],
  ...part,
})
/** A lesson with these stages, and one of them opened. */
export const lessonOf = (stages: LessonStage[], open: string | null): Lesson => ({
  stages,
  minutes: 24,
  waits: [{ id: 'names', words: 'the names' }],
  kinds: [{ stage: 'answer', words: 'an answer of your own' }],
  open:
    open === null
      ? null
      : {
          key: open,
          say: 'Only the weight goes.',
          mistakes: ['The arm stops.'],
          own_say: false,
          own_mistakes: false,
          p: 0.5,
          figures: [{ at: 0, line: 0, count: '1', beats: 0, dry: true, rings_ms: 148, full_ms: 101, share: 0.4, level_db: -4 }],
          postponed: [{ what: 'the accents', stage: 3 }],
          flaws: [{ flaw: 'ringing', good: 'let go in time', bad: 'left ringing' }],
        },
})
