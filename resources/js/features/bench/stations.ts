/** The stations in the order of work. */
export const STATIONS = [
  { id: 'listen', name: 'Listen' },
  { id: 'chart', name: 'Chart' },
  { id: 'shapes', name: 'Shapes' },
  { id: 'hand', name: 'Hand' },
  { id: 'band', name: 'Band' },
  { id: 'steps', name: 'Steps' },
  { id: 'lock', name: 'Lock' },
  { id: 'log', name: 'Log' },
  { id: 'handout', name: 'Handout' },
] as const

export type Station = (typeof STATIONS)[number]['id']

export const isStation = (name: string | undefined): name is Station => STATIONS.some((station) => station.id === name)
