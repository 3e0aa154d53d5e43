import { render, screen } from '@testing-library/react'
import { beforeEach, expect, it, vi } from 'vitest'
import '../../../testing/page'
import { BarDrift } from '../BarDrift'
import { LadderStairs } from './LadderStairs'
import { Pulse } from './Pulse'

const frame = vi.hoisted(() => ({ draw: (): void => undefined, elapsed: 0 }))
vi.mock('../../../audio/useBandFrames', () => ({ useBandFrames: (draw: () => void) => void (frame.draw = draw) }))
vi.mock('../../../audio/band', async () => {
  const silent = await import('../../../testing/silentBand')
  return { ...silent, band: { ...silent.band, elapsedBars: () => frame.elapsed } }
})

const steps = (tempos: number[]) => tempos.map((bpm) => ({ bpm, bars: 4, cycles: 2, seconds: 20, pulse_beats: 1 }))
const ladder = (tempos: number[], at: number) => ({
  steps: steps(tempos),
  minutes: 3,
  added: 0,
  fits: true,
  goal: tempos.at(-1) ?? 0,
  raised: { start: 0, goal: 0 },
  pause: null,
  backings: [],
  at,
})

beforeEach(() => {
  frame.elapsed = 0
})

it('draws a tread for each tempo, marks the one that comes next, and stands the cycles on theirs', () => {
  const cycles = [
    { take: 'a', bpm: 80, clean: true, seconds: 20 },
    { take: 'b', bpm: 80, clean: false, seconds: 20 },
    { take: 'c', bpm: 84, clean: true, seconds: 20 },
  ]
  const { container } = render(<LadderStairs ladder={ladder([80, 84, 88], 1)} cycles={cycles} />)
  expect(screen.getByRole('img', { name: 'Ladder from 80 to 88, next 84 beats a minute, 2 of 3 cycles clean' })).toBeTruthy()
  expect(container.querySelector('.stairs-line')?.getAttribute('d')?.match(/H/g)).toHaveLength(3)
  expect(container.querySelectorAll('.cycle-clean')).toHaveLength(2)
  expect(container.querySelectorAll('.cycle-not')).toHaveLength(1)
  expect(container.querySelector('.stairs-bpm.now')?.textContent).toBe('84')
})

it('names only as many tempos as there is room for, and always the next', () => {
  const { container } = render(
    <LadderStairs
      ladder={ladder(
        Array.from({ length: 60 }, (_, step) => 60 + step),
        31,
      )}
      cycles={[]}
    />,
  )
  const named = [...container.querySelectorAll('.stairs-bpm')].map((text) => text.textContent)
  expect(named.length).toBeLessThan(26)
  expect(named).toContain('91')
})

it('swings once over its beats: through the line at the beginning, lowest after a quarter', () => {
  const { container } = render(<Pulse beats={4} beatsABar={4} />)
  const dot = () => Number(container.querySelector('.pulse-dot')?.getAttribute('cy'))
  frame.draw()
  const line = dot()
  frame.elapsed = 0.25
  frame.draw()
  expect(dot()).toBeGreaterThan(line + 20)
  frame.elapsed = 0.75
  frame.draw()
  expect(dot()).toBeLessThan(line - 20)
  expect(container.querySelectorAll('.beat-line')).toHaveLength(5)
})

it('draws each bar’s middle against the band, early above the line', () => {
  const { container } = render(
    <BarDrift
      bars={[
        { bar: 0, ms: 0 },
        { bar: 1, ms: -30 },
        { bar: 2, ms: 12 },
      ]}
    />,
  )
  const [on, early, late] = [...container.querySelectorAll('circle')].map((circle) => Number(circle.getAttribute('cy')))
  expect(early).toBeLessThan(on ?? 0)
  expect(late).toBeGreaterThan(on ?? 0)
  expect(screen.getByRole('img', { name: 'Bar by bar: on time, 30 ms early, 12 ms late' })).toBeTruthy()
})
