/** Parts a beat can be divided in. */
export const GRIDS = [
  { value: 1, label: 'beats' },
  { value: 2, label: 'halves' },
  { value: 3, label: 'thirds' },
  { value: 4, label: 'quarters' },
  { value: 6, label: 'sixths' },
]

/** What the Hand station can lay over the wave, each under a key; some are for those who may change the pattern. */
export const SHEETS = [
  { sheet: 'patterns', key: 'l', label: 'Patterns', edits: true },
  { sheet: 'tap', key: 'i', label: 'Tap it in', edits: true },
  { sheet: 'schools', key: 'k', label: 'Schools', edits: false },
] as const

export type Sheet = 'wave' | (typeof SHEETS)[number]['sheet']
