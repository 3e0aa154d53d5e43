import { act, fireEvent, screen, waitFor } from '@testing-library/react'
import { beforeEach, expect, it, vi } from 'vitest'
import { callsTo, key, patch, serve, showOnBench, tune, type Server } from '../../testing/page'
import ListenStation from './ListenStation'
import { keep, kept, placesOf, withNewStroke, withStroke } from './listened'
import { outlinePath } from './outline'

const strokes = Array.from({ length: 16 }, (_, eighth) => ({
  t: 0.5 + 0.25 * eighth,
  direction: null,
  muted: eighth % 4 === 2,
  level_db: 0,
  length_s: null,
}))
const hearing = {
  seconds: 5,
  strokes,
  outline: [10, 80, 40],
  tuning: { cents: -18.2, from: 12, near: [{ slug: 'half-down', name: 'Half step down' }] },
  meter: null,
  remark: null,
}
const reading = {
  tempo_bpm: 119.9,
  meter: '4/4',
  beats_a_bar: 4,
  grid: 2,
  swing: {
    ratio: 1,
    low: 0.97,
    high: 1.03,
    p: 0.5,
    p_low: 0.49,
    p_high: 0.51,
    shares: [0.5, 0.5],
    sure: true,
    straight: true,
    words: 'straight',
  },
  bias_ms: null,
  scatter_ms: 7.4,
  drift_bpm_per_min: 0.1,
  first_beat: 0.5,
  places: [0, 0.5],
  arm: ['down', 'up', 'down', 'up', 'down', 'up', 'down', 'up'],
  beats: [0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4, 4.5],
  strokes: strokes.map((stroke, eighth) => ({
    t: stroke.t,
    bar: Math.floor(eighth / 8),
    slot: eighth % 8,
    ms: eighth - 8,
    name: `${Math.floor((eighth % 8) / 2) + 1}${eighth % 2 === 0 ? '' : '&'}`,
  })),
  bar_tempos: [119.8, 120],
  slots: [],
  offers: [
    { what: 'Tempo', heard: '120 bpm', has: '96 bpm', change: [patch('start', { ...tune.start, tempo: 96 })] },
    { what: 'Feel', heard: 'straight', has: 'straight', change: [] },
  ],
}
const server: Server = {
  'POST hearings': { id: 'h1', state: 'done', done: 1, message: null, take: null, heard: hearing },
  'POST compute/listen': reading,
  'POST compute/tuning': (body: unknown) => ({
    document: { ...(body as { document: object }).document, guitar: { tuning: 'half-down', capo: 0 } },
  }),
}

beforeEach(() => localStorage.clear())

async function opened() {
  const shown = showOnBench(<ListenStation />)
  fireEvent.change(screen.getByLabelText('A recording'), { target: { files: [new File(['RIFF'], 'pier.wav')] } })
  await screen.findByText('119.9 on average')
  return shown
}

it('opens a recording and shows tempo, swing and tuning with what can be taken over', async () => {
  serve(server)
  await opened()
  expect(screen.getByText('pier.wav · 5 s · 16 strokes')).toBeTruthy()
  expect(screen.getByText('18 cents flat')).toBeTruthy()
  expect(screen.getByText('Nearest: Half step down. Tune to the recording to play along.')).toBeTruthy()
  expect(screen.getByText('the breakdown has the same')).toBeTruthy()
  expect(screen.getByRole('img', { name: 'Bars 1 to 2: 16 strokes' })).toBeTruthy()
})

it('takes over what is ticked, the tuning with every grip, and not before the press', async () => {
  serve(server)
  const { store } = await opened()
  expect(store.getState().document.start.tempo).toBe(120)
  key('Enter')
  await waitFor(() => expect(store.getState().document).toMatchObject({ start: { tempo: 96 }, guitar: { tuning: 'half-down' } }))
  act(() => store.undo())
  expect(store.getState().document).toMatchObject({ start: { tempo: 120 }, guitar: { tuning: 'standard' } })
})

it('strikes a stroke out, moves one, and takes both back', async () => {
  serve(server)
  await opened()
  key('x')
  await screen.findByText('pier.wav · 5 s · 15 strokes')
  key('ArrowRight')
  await screen.findByText(/0.75 s/)
  key('.')
  await screen.findByText(/0.76 s|0.755 s/)
  expect(callsTo('POST compute/listen').at(-1)).toMatchObject({ tempo: 119.9 })
  expect((callsTo('POST compute/listen').at(-1) as { strokes: { t: number }[] }).strokes[0]?.t).toBe(0.755)
  key('z')
  await screen.findByText(/0.75 s/)
  key('z')
  await screen.findByText('pier.wav · 5 s · 16 strokes')
})

it('doubles the tempo and sets the one where somebody says so', async () => {
  serve(server)
  await opened()
  key('g')
  await waitFor(() => expect(callsTo('POST compute/listen').at(-1)).toMatchObject({ tempo: 239.8 }))
  key('1')
  await waitFor(() => expect(callsTo('POST compute/listen').at(-1)).toMatchObject({ first_beat: 0.5 }))
})

it('taps along: beats under one key, hits under the others', async () => {
  serve(server)
  showOnBench(<ListenStation />)
  key('a')
  await screen.findByText('Start the record, then tap')
  for (const tap of ['b', 'b', 'j', 'b', 'k']) key(tap)
  await screen.findByText('3 beats, 2 hits')
  key('Escape')
  await waitFor(() =>
    expect(callsTo('POST compute/listen').at(-1)).toMatchObject({
      beats: [expect.any(Number), expect.any(Number), expect.any(Number)],
      strokes: [
        { direction: 'up', muted: false },
        { direction: 'up', muted: true },
      ],
    }),
  )
})

it('says what is wrong with a file, and keeps what lay open', async () => {
  serve({ ...server, 'POST hearings': [422, { message: 'This is no WAV file: it begins with "hell".' }] })
  showOnBench(<ListenStation />)
  fireEvent.change(screen.getByLabelText('A recording'), { target: { files: [new File(['hello'], 'song.wav')] } })
  expect(await screen.findByText(/This is no WAV file/)).toBeTruthy()
})

it('keeps a recording over a reload, without its outline where the browser has no room', () => {
  const listened = withNewStroke(
    {
      name: 'pier',
      seconds: 5,
      outline: [1, 2],
      tuning: null,
      remark: null,
      strokes,
      beats: [],
      told: {},
      notes: null,
      harmony: { company: 'alone', key: null },
    },
    0.6,
  )
  keep('b9', listened)
  expect(kept('b9')?.strokes[1]).toMatchObject({ t: 0.6, byHand: true })
  const full = vi.spyOn(Storage.prototype, 'setItem').mockImplementationOnce(() => {
    throw new DOMException('full')
  })
  keep('b9', listened)
  expect(kept('b9')?.outline).toEqual([])
  full.mockRestore()
  expect(placesOf(withStroke(listened, 0, { out: true }), reading as never).slice(0, 3)).toEqual([null, null, reading.strokes[1]])
})

it('draws the outline with at most a point a pixel', () => {
  expect(outlinePath([0, 100, 50, 0], 0, 0.04, (t) => t * 100, 10, 10).split('L')).toHaveLength(8)
  expect(outlinePath([], 0, 1, (t) => t, 10, 10)).toBe('')
})
