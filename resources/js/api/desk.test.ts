import { expect, it } from 'vitest'
import { patch, struckAs, tune } from '../testing/page'
import { deskOf, patched } from './desk'

const second = { ...tune.patterns[0], id: 'p2', name: 'Bridge' }
const song = { ...tune, patterns: [...tune.patterns, second] } as typeof tune

it('works at what is played in the section of the pass, and at the first while the core has not said', () => {
  const told = [{ pass: '1', section: 's1', pattern: 'p2', line: 'l1', level: 3, role: null, meter: '4/4' }] as unknown as Parameters<
    typeof deskOf
  >[2]
  expect(deskOf(song, {}, told).pattern).toBe(second)
  expect(deskOf(song, {}, undefined).pattern).toBe(tune.patterns[0])
})

it('falls back to the first place where the one asked for is gone', () => {
  expect(deskOf(song, { pass: '9', section: 's7' }, undefined).place).toEqual({ pass: '1', section: 's1' })
})

it('puts what the core proposes in the place of what it was asked about, by id', () => {
  const slower = { ...tune.patterns[0], school: 'all-down' as const }
  const mended = patched(song, [patch('patterns', slower, 'p1'), patch('title', 'Ebb Table')])
  expect(mended).toEqual({ ...song, title: 'Ebb Table', patterns: [slower, second] })
})

it('takes no proposal where what it would replace was changed or taken out meanwhile', () => {
  const proposal = [patch('patterns', tune.patterns[0], 'p1')]
  expect(patched(struckAs({ ticks: 7680 }), proposal)).toBeNull()
})
