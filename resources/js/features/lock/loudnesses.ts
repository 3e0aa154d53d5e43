/** Under the ceiling that nothing passes. */
export const LOUDNESSES = [
  { value: 1, label: 'full loudness' },
  { value: 0.5, label: 'half as loud' },
  { value: 0.25, label: 'quiet' },
  { value: 0.1, label: 'very quiet' },
]
