import { render, screen } from '@testing-library/react'
import { fireEvent } from '@testing-library/react'
import { expect, it, vi } from 'vitest'
import type { FeelReading } from '../../api/types'
import { SwingFigure, TempoFigure, TuningFigure } from './figures'
import type { Listened } from './listened'
import { Overview } from './Overview'
import { StrokeCard } from './StrokeCard'
import { StrokeView } from './StrokeView'
import '../../testing/page'

const reading = (part: Partial<FeelReading> = {}): FeelReading => ({
  tempo_bpm: 120,
  meter: '4/4',
  beats_a_bar: 4,
  grid: 2,
  counted: [],
  swing: null,
  bias_ms: null,
  scatter_ms: 6.2,
  drift_bpm_per_min: 0.1,
  first_beat: 0,
  places: [0, 0.6],
  arm: ['down', 'up', 'down', 'up', 'down', 'up', 'down', 'up'],
  beats: Array.from({ length: 17 }, (_, beat) => beat * 0.5),
  strokes: [],
  bar_tempos: [119.5, 120.5],
  slots: [],
  offers: [],
  ...part,
})
const listened = (strokes: Listened['strokes']): Listened => ({
  name: 'pier',
  seconds: 8,
  outline: [],
  tuning: null,
  remark: null,
  strokes,
  beats: [],
  told: {},
  notes: null,
  harmony: { company: 'alone', key: null },
})
const stroke = (t: number, part: Partial<Listened['strokes'][number]> = {}) => ({
  t,
  direction: null,
  muted: false,
  level_db: 0,
  length_s: null,
  ...part,
})
const swing = {
  ratio: 1.5,
  low: 1.45,
  high: 1.56,
  p: 0.6,
  p_low: 0.592,
  p_high: 0.609,
  shares: [0.59, 0.6, 0.6, 0.61],
  sure: true,
  straight: false,
  words: '60 % swing',
}

it('says whether the tempo stands, rises or falls', () => {
  render(<TempoFigure reading={reading()} />)
  expect(screen.getByText(/It stands. Strokes scatter by 6 ms/)).toBeTruthy()
  render(<TempoFigure reading={reading({ drift_bpm_per_min: -2.4 })} />)
  expect(screen.getByText(/It falls by 2.4 a minute/)).toBeTruthy()
  render(<TempoFigure reading={reading({ drift_bpm_per_min: 3 })} />)
  expect(screen.getByText(/It rises by 3.0 a minute/)).toBeTruthy()
})

it('draws a box for each off-beat and says when it is not sure', () => {
  const { container } = render(<SwingFigure reading={reading({ swing })} />)
  expect(container.querySelectorAll('.swing-box')).toHaveLength(4)
  expect(screen.getByText(/Long to short 1.50 to 1/)).toBeTruthy()
  render(<SwingFigure reading={reading({ swing: { ...swing, sure: false, straight: true } })} />)
  expect(screen.getByText(/: straight. Too few or too scattered to be sure/)).toBeTruthy()
})

it('says why there is no swing to show', () => {
  render(<SwingFigure reading={reading({ grid: 1 })} />)
  expect(screen.getByText(/Beats only/)).toBeTruthy()
  render(<SwingFigure reading={reading({ grid: 3 })} />)
  expect(screen.getByText(/3 to the beat, even/)).toBeTruthy()
  render(<SwingFigure reading={reading()} />)
  expect(screen.getByText(/No beat, off-beat and beat in a row/)).toBeTruthy()
})

it('says how the guitar is tuned, and when that cannot be told', () => {
  render(
    <TuningFigure
      tuning={{
        cents: 21.4,
        from: 9,
        near: [
          { slug: 'whole-down', name: 'Whole step down' },
          { slug: 'drop-d', name: 'Drop D' },
        ],
      }}
    />,
  )
  expect(screen.getByText('21 cents sharp')).toBeTruthy()
  expect(screen.getByText(/Nearest: Whole step down or Drop D. Tune to the recording/)).toBeTruthy()
  render(<TuningFigure tuning={{ cents: -2, from: 9, near: [{ slug: 'standard', name: 'Standard' }] }} />)
  expect(screen.getByText('In tune')).toBeTruthy()
  render(<TuningFigure tuning={null} />)
  expect(screen.getByText(/Too little rings/)).toBeTruthy()
})

it('goes through the bars by arrow keys and by a press', () => {
  const onBar = vi.fn()
  render(<Overview listened={listened([stroke(0), stroke(1)])} reading={reading()} chords={[]} fromBar={0} bars={2} onBar={onBar} />)
  const slider = screen.getByRole('slider', { name: 'Bars shown' })
  expect(slider.getAttribute('aria-valuemax')).toBe('4')
  fireEvent.keyDown(slider, { key: 'ArrowRight' })
  fireEvent.keyDown(slider, { key: 'ArrowLeft' })
  fireEvent.click(slider, { clientX: 470 })
  expect(onBar.mock.calls).toEqual([[2], [0], [2]])
})

it('writes each chord where it changes, smaller where there is less room, and none as if the one before went on', () => {
  const chord = (from: number, symbol: string, sure = true) => ({
    bar: 0,
    part: 0,
    from,
    until: from + 1,
    symbol,
    chance: 0.9,
    sure,
    others: [],
    frets: null,
  })
  const chords = [chord(0, 'Fm9'), chord(2, 'Fm9'), chord(4, 'A♭maj7', false), chord(4.02, 'Dm7'), chord(5, 'G')]
  const { container } = render(
    <Overview listened={listened([stroke(0), stroke(1)])} reading={reading()} chords={chords} fromBar={0} bars={2} onBar={vi.fn()} />,
  )
  expect([...container.querySelectorAll('.overview-chord')].map((text) => text.textContent)).toEqual(['Fm9', '·', 'Dm7', 'G'])
})

it('stands a blade where a direction was told, a broken one where not, and crosses out what was struck out', () => {
  const strokes = [
    stroke(0, { direction: 'down' }),
    stroke(0.3),
    stroke(0.5, { muted: true }),
    stroke(0.8, { out: true }),
    stroke(1, { direction: 'up', byHand: true }),
  ]
  const places = [0, 1, 2, null, 4].map((slot) =>
    slot === null
      ? null
      : { t: 0, bar: 0, slot, ms: slot === 4 ? 18 : 2, far: slot === 4, accent: 1, name: slot % 2 === 0 ? String(slot / 2 + 1) : '1&' },
  )
  const onChoose = vi.fn()
  const { container } = render(
    <StrokeView
      listened={listened(strokes)}
      reading={reading()}
      chords={[]}
      places={places}
      fromBar={0}
      bars={2}
      chosen={1}
      onChoose={onChoose}
      onInsert={vi.fn()}
      at={0.6}
    />,
  )
  const drawing = container.querySelector('.stroke-view > svg') as SVGElement
  expect(drawing.querySelectorAll('.listen-stroke .blade')).toHaveLength(2)
  expect(drawing.querySelectorAll('.untold')).toHaveLength(2)
  expect(drawing.querySelectorAll('.untold.dead')).toHaveLength(1)
  expect(drawing.querySelectorAll('.struck-out')).toHaveLength(1)
  expect(drawing.querySelectorAll('.by-hand')).toHaveLength(1)
  expect(drawing.querySelector('.listen-ms.far')?.textContent).toBe('+18')
  expect(drawing.querySelectorAll('.listen-playhead')).toHaveLength(1)
  fireEvent.click(drawing.querySelectorAll('.listen-stroke')[2] as Element)
  expect(onChoose).toHaveBeenCalledWith(2)
})

it('puts a stroke where the drawing is pressed twice', () => {
  const onInsert = vi.fn()
  const { container } = render(
    <StrokeView
      listened={listened([])}
      reading={reading()}
      chords={[]}
      places={[]}
      fromBar={0}
      bars={2}
      chosen={0}
      onChoose={vi.fn()}
      onInsert={onInsert}
      at={null}
    />,
  )
  fireEvent.doubleClick(container.querySelector('.stroke-view > svg') as Element, { clientX: 450 })
  expect(onInsert.mock.calls[0]?.[0]).toBeCloseTo(2, 1)
})

it('sets direction, sound and place of a stroke by hand', () => {
  const onEdit = vi.fn()
  const onNudge = vi.fn()
  render(
    <StrokeCard
      stroke={stroke(1.5)}
      place={{ t: 1.5, bar: 0, slot: 6, ms: -9, far: false, accent: 1, name: '4' }}
      count={3}
      canUndo
      canHear={false}
      playing={false}
      onEdit={onEdit}
      onNudge={onNudge}
      onUndo={vi.fn()}
      onHear={vi.fn()}
      onOne={vi.fn()}
    />,
  )
  expect(screen.getByText('9 ms early')).toBeTruthy()
  expect(screen.getByText('By hand so far: 3 strokes')).toBeTruthy()
  fireEvent.click(screen.getByText('up'))
  fireEvent.click(screen.getByText('dead'))
  fireEvent.click(screen.getByText('no stroke'))
  expect(onEdit.mock.calls).toEqual([[{ direction: 'up' }], [{ out: false, muted: true }], [{ out: true }]])
  fireEvent.click(screen.getByText('+5 ms'))
  expect(onNudge).toHaveBeenCalledWith(0.005)
  expect((screen.getByText('Hear it').closest('button') as HTMLButtonElement).disabled).toBe(true)
})
