/** What the Shapes station can lay over the sheets of the line, each under a key. */
export const VIEWS = [
  { view: 'map', key: 'm', label: 'Map' },
  { view: 'strings', key: 'c', label: 'Capo' },
  { view: 'approaches', key: 'a', label: 'Approach' },
  { view: 'families', key: 'f', label: 'Families' },
  { view: 'changes', key: 'w', label: 'Changes' },
  { view: 'melody', key: 'l', label: 'Lines' },
  { view: 'proof', key: 'p', label: 'Proofread' },
  { view: 'figures', key: 'i', label: 'Figures' },
  { view: 'hands', key: 's', label: 'Hands' },
] as const

export type View = 'sheets' | (typeof VIEWS)[number]['view']
