import { fireEvent, render, screen } from '@testing-library/react'
import { beforeEach, expect, it, vi } from 'vitest'
import type { VoicedChord } from '../../api/types'
import { placeOf, voicing } from '../../testing/page'
import { useNeckView } from '../../ui/neckView'
import { NeckSheets } from './NeckSheets'

const grip = voicing([null, 5, 7, 7, 6, 5])
const chord = (symbol: string, bar: number, part: Partial<VoicedChord> = {}): VoicedChord => ({
  symbol,
  numeral: 'i',
  shape: null,
  place: placeOf(bar),
  form_bar: bar,
  beat: 1,
  beats: 4,
  pinned: false,
  nickname: '',
  linked: false,
  follows: false,
  walk: null,
  voicing: grip,
  ...part,
})
const walk = {
  kind: 'walk-up',
  words: 'Walk up fret by fret',
  steps: 1,
  from: 'bar 1, beat 4',
  grips: [{ symbol: 'C♯m', voicing: voicing([null, 4, 6, 6, 5, 4]) }],
} as const
const draw = (chords: VoicedChord[], onChoose = vi.fn()) =>
  render(
    <NeckSheets chords={chords} moves={[{ frets: 2, held: 1, top: 2 }]} chosen={0} onChoose={onChoose} label="degrees" tuning="standard" />,
  ).container

beforeEach(() => useNeckView.setState({ left_handed: false, high_on_top: false }))

it('tells in words what each sheet shows, with the shape that is held and the pin', () => {
  const onChoose = vi.fn()
  draw([chord('Dm', 0, { pinned: true, shape: 'Am' }), chord('A7', 1)], onChoose)
  const first = screen.getByRole('button', { name: /^Dm, held as Am, bar 1 · i, pinned: string 6 muted; string 5 fret 5 finger 5, D3 R;/ })
  expect(first.getAttribute('aria-pressed')).toBe('true')
  fireEvent.click(screen.getByRole('button', { name: /^A7, bar 2/ }))
  expect(onChoose).toHaveBeenCalledWith(1)
})

it('writes a placed walk over the chord it leads to, and how the hand moves between two', () => {
  const container = draw([chord('Dm', 0), chord('A7', 1, { walk: { ...walk, grips: [...walk.grips] } })])
  expect(container.querySelector('.walk-words')?.textContent).toBe('↠ C♯m x 4 6 6 5 4 →')
  expect(container.querySelector('.move-words')?.textContent).toBe('hand up 2, 1 held')
})

it('lays low strings over high ones and the nut at the left, unless somebody turned the neck', () => {
  const dots = (container: HTMLElement) =>
    [...container.querySelectorAll('.dot rect')]
      .slice(0, 5)
      .map((dot) => [Number(dot.getAttribute('x')), Number(dot.getAttribute('y'))] as const)
  const usual = dots(draw([chord('Dm', 0)]))
  useNeckView.setState({ left_handed: true, high_on_top: true })
  const turned = dots(draw([chord('Dm', 0)]))
  expect(usual.map(([, y]) => y)).toEqual([...usual.map(([, y]) => y)].sort((a, b) => a - b))
  expect(turned.map(([, y]) => y)).toEqual([...turned.map(([, y]) => y)].sort((a, b) => b - a))
  // The fifth fret stands nearer the nut than the seventh, on whichever side the nut is.
  expect((usual[1]?.[0] ?? 0) > (usual[0]?.[0] ?? 0)).toBe(true)
  expect((turned[1]?.[0] ?? 0) < (turned[0]?.[0] ?? 0)).toBe(true)
})
