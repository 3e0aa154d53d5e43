import type { NeckView } from './neckView'

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

/**
 * Maps frets and strings to px, turned as somebody wants to see a neck: `wireX` of a fret's wire, `tipX` of a fingertip
 * behind it, `openX` of what stands beyond the nut, `between` two wires whichever lies left, `row` of a string counted
 * from the lowest.
 */
export function neckScale({ first, last }: NeckWindow, width: number, view: NeckView) {
  const left = wire(first)
  const span = wire(last) - left
  const turned = (x: number) => (view.left_handed ? width - x : x)
  const plain = (fret: number) => ((wire(fret) - left) / span) * width
  const wireX = (fret: number) => turned(plain(fret))
  return {
    wireX,
    tipX: (fret: number) => turned(fret <= first ? 0 : (plain(fret) + plain(fret - 1)) / 2),
    openX: (beyond: number) => turned(-beyond),
    between: (one: number, other: number) => ({ x: Math.min(wireX(one), wireX(other)), width: Math.abs(wireX(other) - wireX(one)) }),
    row: (string: number, strings: number) => (view.high_on_top ? strings - 1 - string : string),
  }
}
