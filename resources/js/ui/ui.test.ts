import { renderHook } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { splitSymbol } from './ChordText'
import { neckScale, neckWindow } from './neckGeometry'
import { useTapTempo } from './useTapTempo'
import { ago, lateness } from './words'

describe('the neck', () => {
  it('spaces frets as a real neck does', () => {
    const { wireX } = neckScale({ first: 0, last: 12 }, 500, { left_handed: false, high_on_top: false })
    expect([wireX(0), wireX(12)]).toEqual([0, 500])
    // Half of the octave's length lies before the fret where the string has lost a quarter of it.
    expect(wireX(5) / 500).toBeCloseTo((1 - 2 ** (-5 / 12)) / 0.5, 9)
    for (let fret = 2; fret <= 12; fret++) expect(wireX(fret) - wireX(fret - 1)).toBeLessThan(wireX(fret - 1) - wireX(fret - 2))
  })

  it('is turned for a left hand, and for who wants the high string on top', () => {
    const [right, left] = [false, true].map((turned) =>
      neckScale({ first: 0, last: 5 }, 500, { left_handed: turned, high_on_top: turned }),
    ) as [ReturnType<typeof neckScale>, ReturnType<typeof neckScale>]
    expect([left.wireX(0), left.wireX(5), left.openX(9)]).toEqual([500, 0, 509])
    expect(left.tipX(3)).toBeCloseTo(500 - right.tipX(3), 9)
    expect(left.between(1, 3).width).toBeCloseTo(right.between(1, 3).width, 9)
    expect([0, 5].map((string) => [right.row(string, 6), left.row(string, 6)])).toEqual([
      [0, 5],
      [5, 0],
    ])
  })

  it.each([
    ['open grips show the nut', [[null, 3, 2, 0, 1, 0]], { first: 0, last: 5 }],
    ['high grips do not', [[null, null, 6, 8, 6, 8]], { first: 4, last: 9 }],
    [
      'all grips of a line fit in',
      [
        [1, 3, 3, 2, 1, 1],
        [null, 10, 12, 12, 12, 10],
      ],
      { first: 0, last: 13 },
    ],
    ['nothing fretted', [[0, 0, 0, 0, 0, 0]], { first: 0, last: 6 }],
  ])('draws the stretch that is needed: %s', (_, grips, window) => {
    expect(neckWindow(grips)).toEqual(window)
  })
})

describe('words', () => {
  it('say how late, how long ago, and split a symbol', () => {
    expect([lateness(-12.4), lateness(0.3), lateness(8)]).toEqual(['12 ms early', 'on time', '8 ms late'])
    const noon = Date.UTC(2026, 4, 9, 12)
    expect([ago('2026-05-09T01:00:00Z', noon), ago('2026-05-08T23:00:00Z', noon), ago('2026-05-01T00:00:00Z', noon)]).toEqual([
      'today',
      'yesterday',
      '8 days ago',
    ])
    expect([splitSymbol('B♭m7'), splitSymbol('F'), splitSymbol('C♯7♭9')]).toEqual([
      { root: 'B♭', ending: 'm7' },
      { root: 'F', ending: '' },
      { root: 'C♯', ending: '7♭9' },
    ])
  })
})

describe('tapping a tempo', () => {
  beforeEach(() => void vi.useFakeTimers({ toFake: ['performance'] }))
  afterEach(() => void vi.useRealTimers())

  const taps = (times: number[]): number[] => {
    const tempos: number[] = []
    const { result } = renderHook(() => useTapTempo((bpm) => tempos.push(bpm)))
    let at = 0
    for (const time of times) {
      vi.advanceTimersByTime(time - at)
      at = time
      result.current()
    }
    return tempos
  }

  it('needs two taps and follows the last ones', () => {
    expect(taps([0])).toEqual([])
    expect(taps([0, 500, 1000, 1500])).toEqual([120, 120, 120])
  })

  it('forgets what came before a pause', () => {
    expect(taps([0, 500, 9000, 9400])).toEqual([120, 150])
  })

  it('offers no tempo that nobody plays', () => {
    expect(taps([0, 60, 120])).toEqual([])
  })
})
