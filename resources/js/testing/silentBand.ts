import { vi } from 'vitest'

const stopped = {
  status: 'stopped',
  muted: { drums: false, bass: false, guitar: false, 'second-guitar': false, keys: false, horns: false, lead: false },
  heardFrom: null,
  clickOn: [1, 3],
  countInBars: 1,
  countAloud: false,
  loop: null,
}

/** In place of the page's band, which needs a worker and an audio clock. */
export const band = {
  position: () => null,
  beatsIntoBar: () => 0,
  subscribe: () => () => undefined,
  snapshot: () => stopped,
  set: vi.fn(),
  stop: vi.fn(),
  setTimeline: vi.fn(),
  mute: vi.fn(),
  start: vi.fn(),
  punctuality: () => ({ scheduled: 0, late: 0, smallestMarginMs: null }),
  playing: false,
}
export const playbackLevel = (): number => 1
export const setPlaybackLevel = vi.fn()
export const playbackCeiling = (): number => 0
export const setPlaybackCeiling = vi.fn()
export const output = {
  now: () => 0,
  resume: async () => true,
  prepare: vi.fn(),
  play: vi.fn(),
  click: vi.fn(),
  count: vi.fn(),
  silence: vi.fn(),
}
export const tapClock = { audioTimeOf: (time: number) => time / 1000, compare: () => undefined }
