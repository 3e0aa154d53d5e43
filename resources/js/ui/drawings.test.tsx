import { cleanup, fireEvent, render } from '@testing-library/react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { HandSketch, HandSlot, Take, Voicing } from '../api/types'
import { FeelDial } from '../features/transport/FeelDial'
import { LockStrip } from '../features/lock/LockStrip'
import { SwingGauge } from '../features/lock/SwingGauge'
import { HandWave } from './HandWave'
import { MiniNeck } from './MiniNeck'

const swung: HandSketch = {
  beats: 4,
  beats_a_bar: 4,
  p: 2 / 3,
  strokes: [0, 1, 2, 3].flatMap((beat) => [
    { at: beat * 960, slot: 2 * beat, direction: 'down' as const, beats: beat, kind: beat === 0 ? ('air' as const) : ('chuck' as const), accent: 1 },
    { at: beat * 960 + 480, slot: 2 * beat + 1, direction: 'up' as const, beats: beat + 2 / 3, kind: 'ring' as const, accent: 2 },
  ]),
}
const slots: HandSlot[] = swung.strokes.map((stroke) => ({ slot: stroke.slot, at: stroke.at, beats: stroke.beats, syllable: stroke.slot % 2 === 0 ? String(stroke.slot / 2 + 1) : '&', on_beat: stroke.slot % 2 === 0 }))

afterEach(cleanup)

describe('the hand wave', () => {
  const draw = (onSlot = vi.fn()) => ({ onSlot, ...render(<HandWave sketch={swung} slots={slots} fromBeat={0} toBeat={4} width={852} height={220} onSlot={onSlot} selectedAt={480} />) })

  it('has a blade for every stroke, shaped by its kind', () => {
    const { container } = draw()
    const count = (kind: string) => container.querySelectorAll(`.blade-${kind}`).length
    expect([count('ring'), count('chuck'), count('air')]).toEqual([4, 3, 1])
  })

  it('puts swung slots where they sound and shows where swing took them from', () => {
    const { container } = draw()
    const marks = [...container.querySelectorAll('.slot-mark')]
    const x = (index: number) => Number(marks[index]?.querySelector('line')?.getAttribute('x1'))
    expect((x(1) - x(0)) / (x(2) - x(0))).toBeCloseTo(2 / 3, 3)
    expect(container.querySelectorAll('.swing-mark')).toHaveLength(4)
    expect(marks.map((mark) => mark.textContent)).toEqual(['1', '&', '2', '&', '3', '&', '4', '&'])
  })

  it('hands over the slot that is pressed', () => {
    const { container, onSlot } = draw()
    const hit = container.querySelector('[data-slot="3"]')
    if (hit !== null) fireEvent.click(hit)
    expect(onSlot).toHaveBeenCalledWith(slots[3])
  })

  it('says in words what it draws', () => {
    expect(draw().getByRole('img').getAttribute('aria-label')).toContain('up at beat 1.67, chuck down at beat 2.00')
  })
})

describe('the lock strip', () => {
  const slotOf = (slot: number, bias: number | null, part = {}) => ({ slot, name: String(slot), n: bias === null ? 0 : 4, bias_ms: bias, spread_ms: bias === null ? null : 5, level_db: null, length_share: null, muted_ok: null, missed: 0, extra: 0, ...part })
  const take = {
    tempo: 120,
    bars: 4,
    report: {
      gate: { bias_ms: 15 },
      findings: [],
      slots: [slotOf(1, -38), slotOf(2, 4), slotOf(3, -20), slotOf(4, null, { missed: 4 }), slotOf(5, 2), slotOf(6, 1), slotOf(7, 3, { extra: 2 })],
      hits: [0, 1, 2, 3].map((bar) => ({ slot: 1, bar, ms: -38 + bar })),
    },
  } as unknown as Take

  it('has a lens for every slot, marks those outside the gate and hatches air', () => {
    const { container } = render(<LockStrip take={take} sketch={swung} />)
    expect(container.querySelectorAll('.lens')).toHaveLength(7)
    expect(container.querySelectorAll('.lens.off')).toHaveLength(3)
    expect(container.querySelectorAll('.lens-air')).toHaveLength(1)
    expect(container.textContent).toContain('38 ms early')
    expect(container.textContent).toContain('4 missed')
    expect(container.textContent).toContain('2 extra')
  })

  it('puts early strokes left of the line, bar under bar', () => {
    const { container } = render(<LockStrip take={take} sketch={null} />)
    const lens = container.querySelector('.lens')
    const line = Number(lens?.querySelector('.lens-plan')?.getAttribute('x1'))
    const hits = [...(lens?.querySelectorAll('.lens-hit') ?? [])].map((hit) => ({ x: Number(hit.getAttribute('x')), y: Number(hit.getAttribute('y')) }))
    expect(hits).toHaveLength(4)
    expect(hits.every((hit) => hit.x < line)).toBe(true)
    expect(hits.every((hit, index) => index === 0 || hit.y > (hits[index - 1]?.y ?? 0))).toBe(true)
  })

  it('draws the arm as played in front of the arm as planned', () => {
    const { container } = render(<LockStrip take={take} sketch={swung} />)
    const [planned, played] = [container.querySelector('.lock-wave .wave-rise'), container.querySelector('.lock-wave .played')]
    expect(played?.getAttribute('d')).not.toBe(planned?.getAttribute('d'))
  })
})

describe('gauges', () => {
  it('says the swing played against the swing planned', () => {
    const { getByRole } = render(<SwingGauge swing={{ planned: 2, played: 1.38, low: 1.3, high: 1.5 }} />)
    expect(getByRole('img').getAttribute('aria-label')).toBe('Off-beats played at 58 percent of the beat, planned at 67 percent')
  })

  it('turns the feel dial by keys within its range, unless it is somebody else\'s', () => {
    const onChange = vi.fn()
    const { getByRole, rerender } = render(<FeelDial p={2 / 3} words="67 % swing" disabled={false} onChange={onChange} />)
    const dial = getByRole('slider')
    expect([dial.getAttribute('aria-valuenow'), dial.getAttribute('aria-valuetext')]).toEqual(['67', '67 % swing'])
    fireEvent.keyDown(dial, { key: 'ArrowLeft' })
    const p = 2 / 3 - 0.01
    expect(onChange).toHaveBeenLastCalledWith(Math.round((p / (1 - p)) * 1000) / 1000)
    rerender(<FeelDial p={0.75} words="" disabled={false} onChange={onChange} />)
    fireEvent.keyDown(dial, { key: 'ArrowRight' })
    expect(onChange).toHaveBeenLastCalledWith(3)
    rerender(<FeelDial p={0.75} words="" disabled onChange={onChange} />)
    fireEvent.keyDown(dial, { key: 'ArrowLeft' })
    expect(onChange).toHaveBeenCalledTimes(2)
  })
})

describe('a grip in small', () => {
  it('has squares for roots, dots for the rest, crosses for muted strings and a bar for a barre', () => {
    const voicing = { frets: [null, 1, 3, 3, 3, 1], degrees: [null, 'R', '5', 'R', '3', '5'], barres: [{ fret: 1, from: 5, to: 1 }] } as unknown as Voicing
    const { container } = render(<MiniNeck voicing={voicing} />)
    expect([container.querySelectorAll('rect.dot').length, container.querySelectorAll('circle.dot').length, container.querySelectorAll('.mute-cross').length, container.querySelectorAll('.barre').length]).toEqual([2, 3, 1, 1])
  })
})
