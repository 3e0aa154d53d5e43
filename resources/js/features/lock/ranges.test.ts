import { expect, it } from 'vitest'
import type { BreakdownDocument } from '../../api/types'
import { timedBar, timeline, tune } from '../../testing/page'
import { rangesOf } from './ranges'

const document: BreakdownDocument = {
  ...tune,
  sections: [
    { id: 'v', name: 'Verse', line: '| Dm |' },
    { id: 'r', name: 'Refrain', line: '| A7 |' },
  ],
  passes: [tune.passes[0], { ...tune.passes[0], id: '2' }],
}
/** Verse, refrain, verse, refrain; the same again. */
const bars = [0, 1, 2, 3, 4, 5, 6, 7].map((bar) => ({
  ...timedBar(bar),
  pass: bar < 4 ? '1' : '2',
  section: bar % 2 === 0 ? 'v' : 'r',
  time: bar % 4 < 2 ? 1 : 2,
}))

it('offers passes, each section as often as it comes, and the loop, with the bars they begin with', () => {
  const offered = rangesOf({ ...timeline, bars }, document, [5, 6])
  expect(offered.map(({ label, from, bars: many }) => [label, from, many]).slice(6)).toEqual([
    ['1st pass', 0, 4],
    ['2nd pass', 4, 4],
    ['1st pass · Verse', 0, 1],
    ['1st pass · Refrain', 1, 1],
    ['1st pass · Verse, 2nd time', 2, 1],
    ['1st pass · Refrain, 2nd time', 3, 1],
    ['2nd pass · Verse', 4, 1],
    ['2nd pass · Refrain', 5, 1],
    ['2nd pass · Verse, 2nd time', 6, 1],
    ['2nd pass · Refrain, 2nd time', 7, 1],
    ['the loop, bars 6–7', 5, 2],
  ])
})

it('offers nothing but lengths where the song is one section played once', () => {
  expect(rangesOf(timeline, tune, null).map(({ label }) => label)).toEqual(['4 bars', '8 bars', '12 bars', '16 bars', '32 bars', '64 bars'])
})
