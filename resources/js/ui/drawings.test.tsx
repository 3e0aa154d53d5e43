import { cleanup, fireEvent, render } from '@testing-library/react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { HandSketch, HandSlot, Take, Voicing } from '../api/types'
import { FeelDial } from '../features/transport/FeelDial'
import { LockStrip } from '../features/lock/LockStrip'
import { SwingGauge } from '../features/lock/SwingGauge'
import { FretLane } from '../features/hand/FretLane'
import { RangeBar } from '../features/hand/RangeBar'
import { drawingAlone } from './drawing'
import { HandWave } from './HandWave'
import { useLean } from './lean'
import { LongNeck, longNeck } from './LongNeck'
import { MiniNeck } from './MiniNeck'

const swung: HandSketch = {
  beats: 4,
  beats_a_bar: 4,
  p: 2 / 3,
  strokes: [0, 1, 2, 3].flatMap((beat) => [
    {
      at: beat * 960,
      slot: 2 * beat,
      direction: 'down' as const,
      beats: beat,
      kind: beat === 0 ? ('air' as const) : ('chuck' as const),
      accent: 1,
    },
    { at: beat * 960 + 480, slot: 2 * beat + 1, direction: 'up' as const, beats: beat + 2 / 3, kind: 'ring' as const, accent: 2 },
  ]),
}
const slots: HandSlot[] = swung.strokes.map((stroke) => ({
  slot: stroke.slot,
  at: stroke.at,
  division: 2,
  beats: stroke.beats,
  syllable: stroke.slot % 2 === 0 ? String(stroke.slot / 2 + 1) : '&',
  on_beat: stroke.slot % 2 === 0,
}))

afterEach(cleanup)

describe('the hand wave', () => {
  const draw = (onSlot = vi.fn()) => ({
    onSlot,
    ...render(<HandWave sketch={swung} slots={slots} fromBeat={0} toBeat={4} width={852} height={220} onSlot={onSlot} selectedAt={480} />),
  })

  it('has a blade for every stroke, shaped by its kind', () => {
    const { container } = draw()
    const count = (kind: string) => container.querySelectorAll(`.blade-${kind}`).length
    expect([count('ring'), count('chuck'), count('air')]).toEqual([4, 3, 1])
  })

  it('gives each of two lines a hand of its own over the strings it meets, a thumb a round blade', () => {
    const stroke = (at: number, stream: number, by: 'thumb' | 'fingers') => ({
      at,
      slot: at / 480,
      direction: 'down' as const,
      beats: at / 960,
      kind: 'ring' as const,
      accent: 1,
      stream,
      by,
    })
    const sketch: HandSketch = {
      beats: 4,
      beats_a_bar: 4,
      p: 0.5,
      strokes: [stroke(0, 0, 'fingers'), stroke(0, 1, 'thumb'), stroke(960, 0, 'fingers')],
    }
    const hits = [
      { at: 0, strings: [1, 2], ornament: 'slide-in' },
      { at: 0, strings: [5, 6], line: 1 },
    ]
    const { container } = render(<HandWave sketch={sketch} hits={hits} fromBeat={0} toBeat={4} width={852} height={220} />)
    const top = (shape: Element) =>
      (shape as SVGGraphicsElement).getAttribute('d')?.split(' ')[1] ?? shape.getAttribute('points')?.split(' ')[0]?.split(',')[1]
    expect(container.querySelectorAll('.wave-rise')).toHaveLength(2)
    expect(container.querySelectorAll('path.blade')).toHaveLength(1)
    expect(Number.parseFloat(top(container.querySelector('path.blade') as Element) ?? '')).toBeLessThan(
      Number.parseFloat(top(container.querySelector('polygon.blade') as Element) ?? ''),
    )
    expect(container.querySelector('.ornament-mark')?.textContent).toBe('slide in')
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
  const slotOf = (slot: number, bias: number | null, part = {}) => ({
    slot,
    name: String(slot),
    n: bias === null ? 0 : 4,
    bias_ms: bias,
    spread_ms: bias === null ? null : 5,
    level_db: null,
    length_share: null,
    muted_ok: null,
    missed: 0,
    extra: 0,
    ...part,
  })
  const take = {
    tempo: 120,
    bars: 4,
    report: {
      gate: { bias_ms: 15 },
      findings: [],
      slots: [
        slotOf(1, -38),
        slotOf(2, 4),
        slotOf(3, -20),
        slotOf(4, null, { missed: 4 }),
        slotOf(5, 2),
        slotOf(6, 1),
        slotOf(7, 3, { extra: 2 }),
      ],
      hits: [0, 1, 2, 3].map((bar) => ({ slot: 1, bar, ms: -38 + bar })),
    },
  } as unknown as Take

  it('has a lens for every slot, marks those outside the gate and hatches air', () => {
    const { container } = render(<LockStrip report={take.report} bars={take.bars} tempo={take.tempo} sketch={swung} />)
    expect(container.querySelectorAll('.lens')).toHaveLength(7)
    expect(container.querySelectorAll('.lens.off')).toHaveLength(3)
    expect(container.querySelectorAll('.lens-air')).toHaveLength(1)
    expect(container.textContent).toContain('38 ms early')
    expect(container.textContent).toContain('4 missed')
    expect(container.textContent).toContain('2 extra')
  })

  it('puts early strokes left of the line, bar under bar', () => {
    const { container } = render(<LockStrip report={take.report} bars={take.bars} tempo={take.tempo} sketch={null} />)
    const lens = container.querySelector('.lens')
    const line = Number(lens?.querySelector('.lens-plan')?.getAttribute('x1'))
    const hits = [...(lens?.querySelectorAll('.lens-hit') ?? [])].map((hit) => ({
      x: Number(hit.getAttribute('x')),
      y: Number(hit.getAttribute('y')),
    }))
    expect(hits).toHaveLength(4)
    expect(hits.every((hit) => hit.x < line)).toBe(true)
    expect(hits.every((hit, index) => index === 0 || hit.y > (hits[index - 1]?.y ?? 0))).toBe(true)
  })

  it('draws the arm as played in front of the arm as planned', () => {
    const { container } = render(<LockStrip report={take.report} bars={take.bars} tempo={take.tempo} sketch={swung} />)
    const [planned, played] = [container.querySelector('.lock-wave .wave-rise'), container.querySelector('.lock-wave .played')]
    expect(played?.getAttribute('d')).not.toBe(planned?.getAttribute('d'))
  })
})

describe('gauges', () => {
  it('says the swing played against the swing planned', () => {
    const { getByRole } = render(
      <SwingGauge
        swing={{ planned: 2, played: 1.38, low: 1.3, high: 1.5 }}
        shares={{ planned: 0.6667, played: 0.5798, low: 0.5652, high: 0.6 }}
      />,
    )
    expect(getByRole('img').getAttribute('aria-label')).toBe('Off-beats played at 58 percent of the beat, planned at 67 percent')
  })

  it('lets each string of a stroke ring to its own end', () => {
    const { container } = render(
      <HandWave
        sketch={swung}
        fromBeat={0}
        toBeat={4}
        width={452}
        height={200}
        tails={[{ at: 0, beats: 0, until: 2, strings: [6, 1], ends: [0.5, 2], cut: false }]}
      />,
    )
    const [low, high] = [...container.querySelectorAll('.tail line')].map((line) => Number(line.getAttribute('x2')))
    expect([low, high]).toEqual([76, 226])
  })

  it("turns the feel dial by keys within its range, unless it is somebody else's", () => {
    const onChange = vi.fn()
    const { getByRole, rerender } = render(
      <FeelDial offBeatMs={83} onTyped={vi.fn()} p={2 / 3} words="67 % swing" disabled={false} onChange={onChange} />,
    )
    const dial = getByRole('slider')
    expect([dial.getAttribute('aria-valuenow'), dial.getAttribute('aria-valuetext')]).toEqual(['67', '67 % swing'])
    fireEvent.keyDown(dial, { key: 'ArrowLeft' })
    expect(onChange).toHaveBeenLastCalledWith(2 / 3 - 0.01)
    useLean.setState({ p: null })
    rerender(<FeelDial offBeatMs={0} onTyped={vi.fn()} p={0.75} words="" disabled={false} onChange={onChange} />)
    fireEvent.keyDown(dial, { key: 'ArrowRight' })
    expect(onChange).toHaveBeenLastCalledWith(0.75)
    rerender(<FeelDial offBeatMs={0} onTyped={vi.fn()} p={0.75} words="" disabled onChange={onChange} />)
    fireEvent.keyDown(dial, { key: 'ArrowLeft' })
    expect(onChange).toHaveBeenCalledTimes(2)
  })
})

describe('a grip in small', () => {
  it('has squares for roots, dots for the rest, crosses for muted strings and a bar for a barre', () => {
    const voicing = {
      frets: [null, 1, 3, 3, 3, 1],
      degrees: [null, 'R', '5', 'R', '3', '5'],
      barres: [{ fret: 1, from: 5, to: 1 }],
    } as unknown as Voicing
    const { container } = render(<MiniNeck voicing={voicing} />)
    expect([
      container.querySelectorAll('rect.dot').length,
      container.querySelectorAll('circle.dot').length,
      container.querySelectorAll('.mute-cross').length,
      container.querySelectorAll('.barre').length,
    ]).toEqual([2, 3, 1, 1])
  })
})

describe('the fretting hand’s lane', () => {
  const tails = [
    { at: 0, beats: 0, until: 1, strings: [1, 2], cut: false },
    { at: 960, beats: 1.5, until: 1.75, strings: [1, 2], cut: true },
    { at: 3840, beats: 4, until: 5, strings: [1], cut: false },
  ]
  const draw = () =>
    render(
      <FretLane
        tails={tails}
        dead={[1, 4.5]}
        changes={[
          { beats: 0, symbol: 'Dm' },
          { beats: 2, symbol: 'A7' },
        ]}
        fromBeat={0}
        toBeat={4}
        width={452}
      />,
    ).container

  it('presses as long as strings sound, in this row alone', () => {
    const pressed = [...draw().querySelectorAll('.pressed')]
    expect(pressed.map((rect) => [Number(rect.getAttribute('x')), Number(rect.getAttribute('width'))])).toEqual([
      [26, 99],
      [176, 24],
    ])
    expect(pressed.map((rect) => rect.classList.contains('cut'))).toEqual([false, true])
  })

  it('lies flat at dead strokes and moves where the chord changes', () => {
    const container = draw()
    expect(container.querySelectorAll('.laid')).toHaveLength(1)
    expect([...container.querySelectorAll('.moved')].map((path) => path.getAttribute('d'))).toEqual(['M226 1v20'])
  })
})

describe('the tempo range of a pattern', () => {
  it('shows to where it is easy and hard, where it is played, and says why not beyond', () => {
    const { container } = render(<RangeBar limit={{ easy_to: 170, hard_to: 235, why: 'same-direction' }} tempo={105} />)
    expect([
      container.querySelector<HTMLElement>('.easy')?.style.width,
      container.querySelector<HTMLElement>('.range b')?.style.left,
    ]).toEqual(['50%', '25%'])
    expect(container.textContent).toContain('hard to 235 bpm; then too many strokes in one direction')
  })

  it('is not there for a pattern without strokes', () => {
    expect(render(<RangeBar limit={null} tempo={100} />).container.textContent).toBe('')
  })
})

describe('the long neck', () => {
  it('spaces its frets as a neck does: each an eighteenth nearer, the twelfth half way', () => {
    const { x, wire } = longNeck(6, { left_handed: false, high_on_top: false })
    const scale = (wire(12) - wire(0)) * 2
    expect((wire(1) - wire(0)) / scale).toBeCloseTo(1 - 2 ** (-1 / 12), 3)
    expect(x(5)).toBeGreaterThan(wire(4))
    expect(x(5)).toBeLessThan(wire(5))
  })

  it('draws a string and a fret each, muted ones apart', () => {
    const { container } = render(
      <LongNeck strings={7} muted={[true]} className="neck">
        {null}
      </LongNeck>,
    )
    expect(container.querySelectorAll('.string')).toHaveLength(7)
    expect(container.querySelectorAll('.string.muted')).toHaveLength(1)
    expect(container.querySelectorAll('.fret')).toHaveLength(15)
  })
})

describe('a drawing taken along', () => {
  it('looks the same without the page’s styles', () => {
    const style = document.head.appendChild(document.createElement('style'))
    style.textContent = '.wave-string { stroke: rgb(1, 2, 3) } .wave-count { font-size: 17px }'
    const { container } = render(<HandWave sketch={swung} slots={slots} fromBeat={0} toBeat={4} width={400} height={120} />)
    const told = drawingAlone(container.querySelector('svg') as SVGSVGElement)
    style.remove()
    const alone = new DOMParser().parseFromString(told, 'image/svg+xml')

    expect(alone.querySelector('parsererror')).toBeNull()
    expect(alone.documentElement.getAttribute('viewBox')).toBe('0 0 400 120')
    expect(alone.querySelectorAll('line[style*="rgb(1, 2, 3)"]')).toHaveLength(6)
    expect(told).not.toContain('class=')
  })
})
