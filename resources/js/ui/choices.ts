/** The keys a picker offers; any other that can be spelled may be typed in a document. */
const MAJOR = ['C', 'D♭', 'D', 'E♭', 'E', 'F', 'G♭', 'G', 'A♭', 'A', 'B♭', 'B']
const MINOR = ['C', 'C♯', 'D', 'E♭', 'E', 'F', 'F♯', 'G', 'G♯', 'A', 'B♭', 'B']

export const KEYS = [...MAJOR.map((tonic) => `${tonic} major`), ...MINOR.map((tonic) => `${tonic} minor`)]

export const METERS = ['2/4', '3/4', '4/4', '5/4', '6/8', '7/8', '9/8', '12/8']

/** "bb", "B flat" and "B♭" are one key, "f sharp min" another. */
const plainKey = (typed: string): string =>
  typed
    .toLowerCase()
    .replace(/\s*flat/, '♭')
    .replace(/\s*sharp/, '♯')
    .replace(/^\s*([a-g])b/, '$1♭')
    .replace(/#/, '♯')
    .replace(/\s+/g, ' ')
    .trim()
    .replace(/^([a-g][♭♯]?) ?m(in?)?$/, '$1 minor')

/** Whether a key of the list is what was typed so far. */
export const isKeyTyped = (typed: string, key: string | undefined): boolean => (key ?? '').toLowerCase().startsWith(plainKey(typed))
