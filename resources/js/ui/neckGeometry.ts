/** Fret wires lie at 1 − 2^(−n/12) of the string, as on a real neck. */
const wire = (fret: number): number => 1 - 2 ** (-fret / 12)

export type NeckWindow = { first: number; last: number }

/** The stretch of neck worth drawing for some grips: at least five frets, and the nut when it is near. */
export function neckWindow(grips: (number | null)[][], widest = 15): NeckWindow {
  const frets = grips.flat().filter((fret): fret is number => fret !== null && fret > 0)
  const lowest = frets.length === 0 ? 1 : Math.min(...frets)
  const highest = frets.length === 0 ? 5 : Math.max(...frets)
  const first = lowest <= 4 ? 0 : lowest - 2
  return { first, last: Math.min(widest + 1, Math.max(highest + 1, first + 5)) }
}

/** Maps a fret's wire and the place of a fingertip behind it to px. */
export function neckScale({ first, last }: NeckWindow, width: number) {
  const left = wire(first)
  const span = wire(last) - left
  const wireX = (fret: number) => ((wire(fret) - left) / span) * width
  return { wireX, tipX: (fret: number) => (fret <= first ? 0 : (wireX(fret) + wireX(fret - 1)) / 2) }
}
