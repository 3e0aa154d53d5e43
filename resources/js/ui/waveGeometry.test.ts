import { describe, expect, it } from 'vitest'
import { heightAt, leanAt, waveKnots, wavePath, type Crossing } from './waveGeometry'

/** Down on every beat, up at p of it. */
const rocking = (p: number, beats = 4): Crossing[] =>
  Array.from({ length: beats + 2 }, (_, beat) => [
    { x: beat - 1, down: true },
    { x: beat - 1 + p, down: false },
  ]).flat()

/** The wave by its definition: knots of one beat, joined by cubic Hermite curves. */
function byDefinition(p: number, t: number): number {
  const knots: [number, number, number][] = [
    [-(1 - p) / 2, 1, 0],
    [0, 0, -3 / p],
    [(3 * p - 1) / 2, -1, 0],
    [p, 0, 3 / (1 - p)],
    [(1 + p) / 2, 1, 0],
  ]
  const index = Math.max(
    1,
    knots.findIndex(([x]) => x > t),
  )
  const [x0, h0, m0] = knots[index - 1] ?? [0, 0, 0]
  const [x1, h1, m1] = knots[index] ?? [1, 0, 0]
  const d = x1 - x0
  const s = (t - x0) / d
  return (
    (2 * s ** 3 - 3 * s ** 2 + 1) * h0 + (s ** 3 - 2 * s ** 2 + s) * d * m0 + (3 * s ** 2 - 2 * s ** 3) * h1 + (s ** 3 - s ** 2) * d * m1
  )
}

describe('the hand wave', () => {
  it.each([0.5, 0.6, 2 / 3, 0.75])('is the curve of its definition at p = %f', (p) => {
    const knots = waveKnots(rocking(p))
    for (let t = -(1 - p) / 2 + 0.01; t < (1 + p) / 2; t += 0.02) expect(heightAt(knots, 1 + t)).toBeCloseTo(byDefinition(p, t), 2)
  })

  it('crosses the strings exactly at the strokes, falling for down and rising for up', () => {
    const knots = waveKnots(rocking(2 / 3))
    for (const beat of [0, 1, 2]) {
      expect(heightAt(knots, beat + 1e-9)).toBeCloseTo(0, 6)
      expect(heightAt(knots, beat + 0.05)).toBeLessThan(0)
      expect(heightAt(knots, beat + 2 / 3 + 0.05)).toBeGreaterThan(0)
    }
  })

  it.each([0.42, 0.5, 0.58, 2 / 3, 0.75])('falls without turning back from top to bottom at p = %f, and rises the same way', (p) => {
    const knots = waveKnots(rocking(p))
    const turns = []
    let rising: boolean | null = null
    for (let x = 0; x < 3; x += 0.002) {
      const up = heightAt(knots, x + 0.002) > heightAt(knots, x)
      if (rising !== null && up !== rising) turns.push(x)
      rising = up
    }
    expect(turns).toHaveLength(6)
  })

  it('stays between the top and the bottom', () => {
    const knots = waveKnots([
      { x: 0, down: true },
      { x: 0.5, down: false },
      { x: 0.62, down: true },
      { x: 1.9, down: false },
      { x: 2, down: true },
    ])
    for (let x = 0; x < 2; x += 0.01) expect(Math.abs(heightAt(knots, x))).toBeLessThanOrEqual(1.0001)
  })

  it('lets a hand that only strikes down come back up unheard', () => {
    const knots = waveKnots([
      { x: 0, down: true },
      { x: 1, down: true },
      { x: 2, down: true },
    ])
    expect(knots.filter((knot) => knot.h === 0)).toHaveLength(5)
    expect(Math.max(...[0.7, 0.8, 0.9].map((x) => heightAt(knots, x)))).toBeGreaterThan(0.5)
  })

  it('draws one path through all knots', () => {
    const knots = waveKnots(rocking(0.5, 1))
    expect(
      wavePath(
        knots,
        (x) => x * 10,
        (h) => -h,
      ).match(/[MC]/g),
    ).toHaveLength(knots.length)
  })

  it('leans a blade along the curve, but never lays it down', () => {
    const knots = waveKnots(rocking(2 / 3))
    expect(leanAt(knots, 1, 220, 100)).toBeGreaterThan(0)
    expect(leanAt(knots, 1 + 2 / 3, 220, 100)).toBeLessThan(0)
    expect(Math.abs(leanAt(knots, 1, 2000, 10))).toBeLessThanOrEqual(0.42)
  })
})
