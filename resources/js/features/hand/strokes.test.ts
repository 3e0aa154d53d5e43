import { expect, it } from 'vitest'
import type { HandSlot, PatternDocument } from '../../api/types'
import { lineEditor, withLines } from './strokes'

const { changed, fixedDirection, strokeAt, withKind, withoutStroke } = lineEditor(0)

const slot = (at: number): HandSlot => ({ slot: at / 480, at, division: 2, beats: at / 960, syllable: '', on_beat: at % 960 === 0 })

const pattern = {
  ticks: 3840,
  streams: [
    {
      name: 'strum',
      strokes: [
        { at: 0, division: 2 },
        { at: 960, division: 4, accent: 3, articulation: 'ring', offsetMs: 12 },
      ],
    },
    { name: 'bass', strokes: [{ at: 0, division: 1 }] },
  ],
} as unknown as PatternDocument

it('sets a new stroke on the grid that is shown, in order of time', () => {
  const edited = withKind(pattern, slot(480), 'chuck')
  expect(edited.streams[0].strokes.map((stroke) => [stroke.at, stroke.division, stroke.articulation])).toEqual([
    [0, 2, undefined],
    [480, 2, 'chuck'],
    [960, 4, 'ring'],
  ])
})

it('changes the kind of a stroke and keeps all else about it', () => {
  expect(strokeAt(withKind(pattern, slot(960), 'short'), 960)).toEqual({
    at: 960,
    division: 4,
    accent: 3,
    articulation: 'short',
    offsetMs: 12,
  })
  expect(strokeAt(withKind(pattern, slot(960), 'ghost'), 960)?.accent).toBe(0)
})

it('leaves the second stream and the pattern it was given alone', () => {
  const before = structuredClone(pattern)
  const edited = withoutStroke(withKind(pattern, slot(480), 'ring'), 0)
  expect(edited.streams[1]).toBe(pattern.streams[1])
  expect(pattern).toEqual(before)
  expect(withoutStroke(pattern, 480)).toBe(pattern)
})

it('fixes a direction and gives it back to the school', () => {
  const fixed = fixedDirection(changed(pattern, 0, { fixed: ['accent'] }), 0, 'up')
  expect(strokeAt(fixed, 0)).toMatchObject({ direction: 'up', fixed: ['accent', 'direction'] })
  expect(strokeAt(fixedDirection(fixed, 0, null), 0)).toMatchObject({ direction: null, fixed: ['accent'] })
})

it('writes the bass under the first line, and leaves that alone', () => {
  const bass = lineEditor(1, { zone: 'bass', action: 'pick', by: 'thumb' })
  const edited = bass.withKind(pattern, slot(960), 'ring')
  expect(bass.strokeAt(edited, 960)).toEqual({
    at: 960,
    division: 2,
    accent: 1,
    articulation: 'ring',
    zone: 'bass',
    action: 'pick',
    by: 'thumb',
  })
  expect(edited.streams[0]).toBe(pattern.streams[0])
})

it('adds a second line, and takes an empty one away again', () => {
  const one = { ...pattern, streams: [pattern.streams[0]] } as PatternDocument
  const two = withLines(one, 2)
  expect(two.streams.map((stream) => stream.name)).toEqual(['strum', 'bass'])
  expect(withLines(two, 1).streams).toHaveLength(1)
  expect(withLines(pattern, 1)).toBe(pattern)
})
