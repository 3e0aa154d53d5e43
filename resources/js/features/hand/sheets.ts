/** Parts a beat can be divided in. */
export const GRIDS = [
  { value: 1, label: 'beats' },
  { value: 2, label: 'halves' },
  { value: 3, label: 'thirds' },
  { value: 4, label: 'quarters' },
  { value: 6, label: 'sixths' },
]

/** What the Hand station can lay over the wave, each under a key; some are for those who may change the pattern, some for figures too. */
export const SHEETS = [
  { sheet: 'patterns', key: 'l', label: 'Patterns', edits: true, figures: true },
  { sheet: 'tap', key: 'i', label: 'Tap it in', edits: true, figures: true },
  { sheet: 'schools', key: 'k', label: 'Schools', edits: false, figures: false },
] as const

export type Sheet = 'wave' | (typeof SHEETS)[number]['sheet']
