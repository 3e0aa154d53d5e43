/**
 * The hand wave: one curve through the moments at which the arm crosses the strings. h is +1 at the top, 0 between
 * strings 3 and 4, −1 at the bottom; x is time, in any unit. Falling and rising last as long as the crossings say, so
 * swing makes the wave lean.
 */
export type Crossing = { x: number; down: boolean }
export type Knot = { x: number; h: number; slope: number }

/** Share of the way to the next down stroke at which a hand that only strikes down has come back up. */
const RETURN = 0.58

/** Two strokes the same way have an unheard return between them. */
function withReturns(crossings: Crossing[]): Crossing[] {
  return crossings.flatMap((crossing, index) => {
    const next = crossings[index + 1]
    if (next === undefined || next.down !== crossing.down) return [crossing]
    return [crossing, { x: crossing.x + RETURN * (next.x - crossing.x), down: !crossing.down }]
  })
}

/** Knots of the wave, crossings and turning points in order. Needs crossings in order of x. */
export function waveKnots(given: Crossing[]): Knot[] {
  const crossings = withReturns(given)
  const points = crossings.flatMap((crossing, index) => {
    const next = crossings[index + 1]
    const here = { x: crossing.x, h: 0, slope: NaN }
    if (next === undefined) return [here]
    return [here, { x: turningPoint(crossings, index), h: crossing.down ? -1 : 1, slope: 0 }]
  })
  return points.map((point, index) =>
    point.h === 0 ? { ...point, slope: crossingSlope(points, index, crossings.find((each) => each.x === point.x)?.down ?? true) } : point,
  )
}

/** The top lies midway between an up and the next down; the bottom as far before the up as that top lies after it. */
function turningPoint(crossings: Crossing[], index: number): number {
  const here = crossings[index]
  const next = crossings[index + 1]
  if (here === undefined || next === undefined) return 0
  if (!here.down) return (here.x + next.x) / 2
  const after = crossings[index + 2]
  const half = after === undefined ? (next.x - here.x) / 2 : (after.x - next.x) / 2
  return Math.max(next.x - half, here.x + 0.15 * (next.x - here.x))
}

/** 1.5 times the harmonic mean of the secants to the neighbouring turning points. */
function crossingSlope(points: Knot[], index: number, down: boolean): number {
  const here = points[index]
  const before = points[index - 1]
  const after = points[index + 1]
  const sign = down ? -1 : 1
  if (here === undefined) return 0
  const left = before === undefined ? null : 1 / Math.max(1e-6, here.x - before.x)
  const right = after === undefined ? null : 1 / Math.max(1e-6, after.x - here.x)
  const a = left ?? right ?? 1
  const b = right ?? left ?? 1
  return (sign * 1.5 * (2 * a * b)) / (a + b)
}

/** An SVG path through the knots, as cubic Hermite pieces. */
export function wavePath(knots: Knot[], toX: (x: number) => number, toY: (h: number) => number): string {
  return knots
    .map((knot, index) => {
      const before = knots[index - 1]
      if (before === undefined) return `M${toX(knot.x).toFixed(2)} ${toY(knot.h).toFixed(2)}`
      const third = (knot.x - before.x) / 3
      const points = [
        [before.x + third, before.h + before.slope * third],
        [knot.x - third, knot.h - knot.slope * third],
        [knot.x, knot.h],
      ] as const
      return `C${points.map(([x, h]) => `${toX(x).toFixed(2)} ${toY(h).toFixed(2)}`).join(' ')}`
    })
    .join('')
}

/** Height of the wave at x, for the dot that runs along it. */
export function heightAt(knots: Knot[], x: number): number {
  const index = knots.findIndex((knot) => knot.x > x)
  const before = knots[index - 1]
  const after = knots[index]
  if (before === undefined || after === undefined) return 0
  const width = after.x - before.x
  const s = (x - before.x) / width
  return (
    (2 * s ** 3 - 3 * s ** 2 + 1) * before.h +
    (s ** 3 - 2 * s ** 2 + s) * width * before.slope +
    (-2 * s ** 3 + 3 * s ** 2) * after.h +
    (s ** 3 - s ** 2) * width * after.slope
  )
}

/** Slope of the curve in pixels, held back so that a blade never lies down. */
export function leanAt(knots: Knot[], x: number, pxPerX: number, pxPerH: number): number {
  const knot = knots.reduce<Knot | null>(
    (nearest, each) => (nearest === null || Math.abs(each.x - x) < Math.abs(nearest.x - x) ? each : nearest),
    null,
  )
  if (knot === null || knot.slope === 0) return 0
  return Math.max(-0.42, Math.min(0.42, -pxPerX / (knot.slope * pxPerH)))
}
