import { expect, it } from 'vitest'
import { Recording } from './Recording'

it('begins where its latest block says, whatever the first was told', () => {
  const take = new Recording()
  expect(take.since).toBeNull()
  take.add(new Float32Array(200), 5.02, 1000)
  expect(take.since).toBe(5.02)
  take.add(new Float32Array(100), 5.2, 1000)
  take.add(new Float32Array(100), 5.3, 1000)
  expect(take.since).toBeCloseTo(5, 9)
  expect(take.blocks.map((block) => block.length)).toEqual([200, 100, 100])
})
