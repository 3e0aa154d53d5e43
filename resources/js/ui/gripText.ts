export type Grip = (number | null)[]

/** "x 7 8 7 8 x", the way a grip is written; null where the text is no grip of that many strings. */
export function readGrip(text: string, strings: number): Grip | null {
  const words = text.trim().split(/[\s,]+/)
  if (words.length !== strings || !words.every((word) => /^(x|-|\d{1,2})$/i.test(word))) return null
  const grip = words.map((word) => (/^\d/.test(word) ? Number(word) : null))
  return grip.every((fret) => fret === null || fret <= 24) ? grip : null
}

export const gripText = (grip: Grip): string => grip.map((fret) => fret ?? 'x').join(' ')

/** The whole grip so many frets along the neck; as it was where a finger would leave the neck or an open string would have to move. */
export function moved(grip: Grip, by: number, last: number): Grip {
  const fretted = grip.filter((fret): fret is number => fret !== null)
  if (fretted.length === 0 || fretted.some((fret) => fret === 0 || fret + by < 1 || fret + by > last)) return grip
  return grip.map((fret) => (fret === null ? null : fret + by))
}

/** A press on a string: that fret sounds, or is muted when it sounded already. */
export const pressed = (grip: Grip, string: number, fret: number): Grip =>
  grip.map((now, index) => (index === string ? (now === fret ? null : fret) : now))
