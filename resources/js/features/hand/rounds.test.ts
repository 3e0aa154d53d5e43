import { expect, it } from 'vitest'
import type { Timeline } from '../../api/types'
import { firstRound, roundAt } from './rounds'

const bar = (pattern: string, pattern_bar: number, pass = '1') => ({ pattern, pattern_bar, pass, section: 'a' })
const song = {
  bars: [bar('p', 0), bar('p', 1), bar('p', 0, '2'), bar('p', 1, '2')],
  strokes: [
    { pattern: 'p', bar: 0 },
    { pattern: 'f', bar: 1, figure_bar: 1 },
    { pattern: 'f', bar: 2, figure_bar: 1 },
    { pattern: 'p', bar: 3 },
  ],
} as unknown as Timeline

it('finds the bar with which a round of a pattern or a figure begins', () => {
  expect([0, 1, 3].map((at) => roundAt(song, 'p', at))).toEqual([0, 0, 2])
  expect([0, 1, 2, 3].map((at) => roundAt(song, 'f', at))).toEqual([null, 1, 1, null])
})

it('begins where it is played in the place that is worked at, else where it is played at all', () => {
  expect(firstRound(song, 'p', { pass: '2', section: 'a' })).toBe(2)
  expect(firstRound(song, 'f', { pass: '3', section: 'a' })).toBe(1)
  expect(firstRound(song, 'nowhere', { pass: '1', section: 'a' })).toBe(0)
})
