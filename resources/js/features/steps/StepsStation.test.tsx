import { fireEvent, screen, waitFor } from '@testing-library/react'
import { beforeEach, expect, it, vi } from 'vitest'
import { callsTo, key, serve, showOnBench, timeline, tune, voicing } from '../../testing/page'
import { lessonOf, stageOf } from '../../testing/lesson'
import StepsStation from './StepsStation'

vi.mock('../../audio/band', () => ({
  band: {
    setTimeline: vi.fn(),
    start: vi.fn(),
    stop: vi.fn(),
    set: vi.fn(),
    snapshot: () => ({ loop: null, clickOn: [], clickOffBeats: false, clickRests: null }),
    subscribe: () => () => undefined,
    playing: false,
  },
}))
const { band } = await import('../../audio/band')

const stages = [stageOf('shapes'), stageOf('releases', { number: 2, settled_for: 'dry 2, 50 to 80' }), stageOf('accents', { number: null })]
beforeEach(() => {
  vi.clearAllMocks()
  serve({
    'POST compute/lesson': (body: unknown) => lessonOf(stages, (body as { stage: string | null }).stage),
    'POST compute/path': { chords: [] },
    'POST compute/timeline': timeline,
    'GET students': [],
    'GET breakdowns/b1/ears': { items: [{ flaw: 'ringing', heard: 3, right: 2 }] },
    'POST breakdowns/b1/ears': [204, null],
  })
})

const opened = async (document = tune) => {
  const shown = showOnBench(<StepsStation onPractise={vi.fn()} />, { document })
  fireEvent.click(await screen.findByRole('button', { name: /Stage\s*2\s*:\s*releases/ }))
  await screen.findByText('148')
  return shown
}

it('opens a stage: its figures, what is said of it, its ladder; its bars go round at its goal', async () => {
  const { setTempo } = await opened()
  expect(screen.getByText('−4')).toBeTruthy()
  expect(screen.getByText('in stage 3')).toBeTruthy()
  expect(screen.getByText('1 tempo, 7.9 of 8 minutes, 4 cycles put in so that they are used.')).toBeTruthy()
  expect(setTempo).toHaveBeenCalledWith(90)
  expect(band.set).toHaveBeenCalledWith({ loop: [0, 1] })
})

it.each([
  [[], 'Dm7'],
  [['names' as const], 'shape 1'],
])('shows the grips of its bars, and shapes alone where names wait: %s', async (waits, name) => {
  const grip = (form_bar: number, symbol: string) => ({ form_bar, symbol, voicing: voicing([null, 5, null, 5, 6, null]) })
  serve({
    'POST compute/lesson': (body: unknown) =>
      lessonOf([stageOf('releases', { number: 2, waits })], (body as { stage: string | null }).stage),
    'POST compute/path': { chords: [grip(0, 'Dm7'), grip(4, 'Gm7')] },
    'POST compute/timeline': timeline,
    'GET students': [],
    'GET breakdowns/b1/ears': { items: [] },
  })
  await opened()
  const row = await screen.findByRole('group', { name: /^Grips/ })
  await waitFor(() => expect(row.textContent).toContain(name))
  expect(row.querySelectorAll('.grip-card').length).toBe(1)
  expect(row.textContent).not.toContain('Gm7')
})

it('keeps the teacher’s words with what was proposed then, and asks where the song changed since', async () => {
  const { store } = await opened()
  expect(screen.getByText('dry 2, 50 to 80')).toBeTruthy()
  const cue = screen.getByLabelText('The cue')
  fireEvent.change(cue, { target: { value: 'Dry as driftwood.' } })
  fireEvent.blur(cue)
  expect(store.getState().document.lesson).toEqual([{ stage: 'releases', say: 'Dry as driftwood.', seen: 'releases, 60 to 90' }])
  fireEvent.click(screen.getByText('Take the new proposal'))
  expect(store.getState().document.lesson).toEqual([{ stage: 'releases' }])
})

it('carries a stage by key, drops it, brings one back, and adds one of the teacher’s own', async () => {
  const { store } = await opened()
  const lessonNow = () => store.getState().document.lesson.map(({ stage: kind, dropped, of }) => [kind, dropped ?? of ?? ''])
  window.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowLeft', shiftKey: true, bubbles: true }))
  expect(lessonNow().map(([kind]) => kind)).toEqual(['releases', 'shapes', 'accents'])
  key('d')
  expect(lessonNow()).toContainEqual(['releases', true])
  fireEvent.click(screen.getByText('Bring back'))
  expect(store.getState().document.lesson.find(({ stage: kind }) => kind === 'accents')?.dropped).toBeUndefined()
  key('n')
  fireEvent.click(await screen.findByText('an answer of your own'))
  expect(lessonNow()).toContainEqual(['answer', 'own-1'])
})

it('plays two unnamed versions, names them after the answer, and keeps the score', async () => {
  await opened()
  vi.spyOn(Math, 'random').mockReturnValue(0.9)
  fireEvent.click(screen.getByText('let go in time / left ringing'))
  fireEvent.click(screen.getByLabelText('Hear the first'))
  await waitFor(() => expect(callsTo('POST compute/timeline')[0]).toMatchObject({ flaw: 'ringing', stage: 'releases' }))
  fireEvent.click(screen.getAllByText('This is “let go in time”')[1] as HTMLElement)
  expect(await screen.findByText(/2 of 3 told apart so far/)).toBeTruthy()
  expect(callsTo('POST breakdowns/b1/ears')).toEqual([{ flaw: 'ringing', right: true }])
  expect([screen.getByText('left ringing').className, screen.getByText('let go in time').className]).toEqual(['cut', 'held'])
})
