import { act, fireEvent, screen, waitFor } from '@testing-library/react'
import { Route, Routes } from 'react-router'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import type { PracticeSheet } from '../../api/practice'
import { asked, callsTo, key, serve, show, timeline, voicing, type Server } from '../../testing/page'
import PractisePage from './PractisePage'

const takes = vi.hoisted(() => ({ done: (() => undefined) as (take: object) => void, started: [] as object[] }))
vi.mock('../../audio/useRecorder', () => ({
  useRecorder: (done: (take: object) => void) => {
    takes.done = done
    return {
      status: 'idle',
      taps: [],
      start: async (how: object) => void takes.started.push(how),
      stop: () => undefined,
      tap: () => undefined,
    }
  },
}))
vi.mock('../../audio/useMicrophone', () => ({
  useMicrophone: () => ({ status: 'idle', level: () => 0, heard: [], start: async () => undefined, stop: () => undefined }),
}))
vi.mock('../../audio/band', () => ({
  band: {
    playing: false,
    setTimeline: () => undefined,
    start: async () => undefined,
    stop: () => undefined,
    subscribe: () => () => undefined,
    snapshot: () => ({ muted: { guitar: false }, status: 'stopped' }),
  },
  output: { prepare: () => undefined },
  tapClock: {},
}))

const sheet: PracticeSheet = {
  breakdown: 'b1',
  title: 'Tide Table',
  stage: 'both',
  stage_name: 'Both, slow',
  say: 'Count it aloud.',
  tempo: 60,
  tempos: [60, 66, 72],
  next: { tempo: 60, words: 'Begin at 60.' },
  bars: 4,
  loop: [2, 3],
  gate_ms: 15,
  level: 2,
  sketch: { beats: 4, beats_a_bar: 4, p: 0.5, strokes: [] },
  slots: [],
  grips: [{ symbol: 'Dm', voicing: voicing([null, null, 0, 2, 3, 1]) }],
  timeline,
}
const slot = {
  slot: 3,
  name: '2&',
  n: 4,
  bias_ms: -31,
  spread_ms: 11,
  level_db: null,
  length_share: null,
  muted_ok: null,
  missed: 0,
  extra: 0,
}
const judged = (passed: boolean) => ({
  id: 't1',
  number: 9,
  player: 'Student A',
  created_at: '2026-10-09T17:00:00Z',
  tempo: 60,
  bars: 4,
  from_bar: 2,
  stage: 'both',
  passed,
  latency_ms: 12,
  sound_at: null,
  strokes: [0.1],
  report: {
    planned: 8,
    matched: 8,
    missed: 0,
    extra: 0,
    latency_ms: 12,
    slots: [slot],
    hits: [],
    findings: [
      { kind: 'slot', slots: [3], text: 'The 2& comes 31 ms early.', practise: { stage: 3, tempo: 60 } },
      { kind: 'holds', slots: [0], text: 'The beats hold.', practise: null },
    ],
    gate: { passed, why: '', bias_ms: 15, spread_ms: 20, swing_points: 4, missed_share: 0.03 },
  },
})
const server: Server = {
  'GET session': { id: 7, name: 'Student A', keeps_sound: false, neck: { left_handed: false, high_on_top: false } },
  'GET breakdowns/b1/practice?stage=both': sheet,
  'GET breakdowns/b1/practice?stage=both&tempo=72': { ...sheet, tempo: 72 },
}
const device = { calibration: { latency_ms: 12, spread_ms: 3, was_ms: null, measured_at: new Date().toISOString() } }
const taken = { taps: [{ t: 0.1, key: 'down' }], tempo: 60, bars: 4, from: 2, level: 2 }

/** Every device of this browser has the same delay. */
const serveAll = (more: Server = {}) => {
  serve({ ...server, ...more })
  const plain = globalThis.fetch
  vi.stubGlobal(
    'fetch',
    vi.fn(async (address: string, options: RequestInit) =>
      address.includes('/calibrations/') ? new Response(JSON.stringify(device)) : plain(address, options),
    ),
  )
}

beforeEach(() => {
  takes.started = []
  serveAll()
})
afterEach(() => localStorage.clear())

const showIt = () =>
  show(
    <Routes>
      <Route path="/practise/:id" element={<PractisePage />} />
    </Routes>,
    '/practise/b1?stage=both',
  )

const open = async () => {
  showIt()
  await screen.findByText('Both, slow')
}

it('lays the cue, the hand, the grips and the ladder on the stand, and counts in on the loop of the stage', async () => {
  await open()
  screen.getByText('Count it aloud.')
  screen.getByText('Begin at 60.')
  screen.getByText('Dm')
  expect(screen.getByRole('button', { name: '60' }).getAttribute('aria-pressed')).toBe('true')
  await screen.findByText(/Delay 12 ms/)
  key('r')
  expect(takes.started).toEqual([{ bars: 4, from: 2, tempo: 60, level: 2 }])
})

it('shows in one look how a take was, and goes on where the ladder says', async () => {
  serveAll({ 'POST breakdowns/b1/takes': [201, judged(false)] })
  await open()
  await screen.findByText(/Delay 12 ms/)
  act(() => takes.done(taken))
  await screen.findByText('Not locked yet at 60.')
  screen.getByText('The 2& comes 31 ms early.')
  screen.getByText('The beats hold.')
  expect(callsTo('POST breakdowns/b1/takes')[0]).toMatchObject({
    stage: 'both',
    level: 2,
    from: 2,
    latency_ms: 12,
    arrangement: 'with-band',
  })
  // The ladder is asked for anew: it may have climbed.
  await waitFor(() => expect(callsTo('GET breakdowns/b1/practice?stage=both').length).toBeGreaterThan(1))
  screen.getByText('Once more')
})

it('takes another tempo of the ladder', async () => {
  await open()
  fireEvent.click(screen.getByRole('button', { name: '72' }))
  await waitFor(() => expect(screen.getByRole('button', { name: '72' }).getAttribute('aria-pressed')).toBe('true'))
  expect(asked.map(({ call }) => call)).toContain('GET breakdowns/b1/practice?stage=both&tempo=72')
})

it('keeps a take that cannot be judged now, and has it judged when it is asked to', async () => {
  serveAll({ 'POST breakdowns/b1/takes': [503, {}] })
  await open()
  await screen.findByText(/Delay 12 ms/)
  act(() => takes.done(taken))
  await screen.findByText(/Your take of Tide Table, played today, is not judged yet/)
  serveAll({ 'POST breakdowns/b1/takes': [201, judged(true)] })
  fireEvent.click(screen.getByText('Judge it now'))
  await screen.findByText('It locks at 60.')
  expect(screen.queryByText(/is not judged yet/)).toBeNull()
})

it('says so where the work was taken back', async () => {
  serveAll({ 'GET breakdowns/b1/practice?stage=both': [404, { message: 'This is not here any more, or was never yours.' }] })
  showIt()
  await screen.findByText('This cannot be practised now')
  screen.getByText('This is not here any more, or was never yours.')
})
