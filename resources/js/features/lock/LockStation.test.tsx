import { fireEvent, screen, waitFor } from '@testing-library/react'
import { beforeEach, expect, it, vi } from 'vitest'
import type { BreakdownDocument, Take } from '../../api/types'
import { lessonOf, stageOf } from '../../testing/lesson'
import { callsTo, key, patch, serve, showOnBench, timedBar, timeline, tune, type Server } from '../../testing/page'
import LockStation from './LockStation'

vi.mock('../../audio/band', async () => {
  const silent = await import('../../testing/silentBand')
  let end: (() => void) | undefined
  return {
    ...silent,
    band: {
      ...silent.band,
      playing: true,
      startedAt: 0,
      elapsedBars: () => 0,
      snapshot: () => ({ status: 'playing', countInBars: 1 }),
      start: async (options: { onEnd: () => void }) => void (end = options.onEnd),
      finish: () => end?.(),
    },
  }
})
vi.mock('./device', () => ({ deviceId: () => 'desk' }))

/** In place of the microphone: what comes in, and whether it is there at all. */
const heard = vi.hoisted(() => ({
  refuses: '',
  block: (() => undefined) as (samples: Float32Array, since: number, rate: number) => void,
  lose: (): void => undefined,
}))
vi.mock('../../audio/microphone', () => {
  class NoMicrophone extends Error {}
  return {
    NoMicrophone,
    openMicrophone: async (onBlock: typeof heard.block, onLost: typeof heard.lose) => {
      if (heard.refuses !== '') throw new NoMicrophone(heard.refuses)
      Object.assign(heard, { block: onBlock, lose: onLost })
      return { rate: 8000, stop: () => undefined }
    },
  }
})

const take = (id: string, number: number, part: Partial<Take['report']> = {}): Take => ({
  id,
  number,
  player: 'Student A',
  created_at: new Date().toISOString(),
  tempo: 126,
  swing: 2,
  bars: 8,
  from_bar: 0,
  stage: '',
  arrangement: 'with-band',
  level: 3,
  revision: 1,
  passed: false,
  bias_ms: -12,
  spread_ms: 9,
  gate_ms: 15,
  finding: 'Your off-beats come 38 ms early.',
  sound_at: null,
  latency_ms: null,
  strokes: [0.01, 0.52],
  report: {
    planned: 48,
    played: 47,
    matched: 46,
    missed: 2,
    extra: 1,
    latency_ms: null,
    bias_ms: -12,
    spread_ms: 9,
    drift_bpm_per_min: 0.4,
    swing: { planned: 2, played: 1.38, low: 1.3, high: 1.5 },
    swing_shares: { planned: 0.6667, played: 0.5798, low: 0.5652, high: 0.6 },
    anchored: true,
    directions: { told: 46, wrong: 0 },
    slots: [],
    hits: [],
    findings: [
      { kind: 'swing', slots: [1], text: 'Your off-beats come 38 ms early.', practise: { stage: 2, tempo: 84 } },
      { kind: 'holds', slots: [0], text: 'The 1 holds.', practise: null },
    ],
    gate: { passed: false, why: 'swing 8.7 points off', bias_ms: 15, spread_ms: 20, swing_points: 4, missed_share: 0.03 },
    ...part,
  },
})

/** What the server answers for these takes, the newest first: the page of them and each by itself. */
const listed = (...takes: Take[]): Server => ({
  'GET breakdowns/b1/takes': { items: takes, next: null },
  ...Object.fromEntries(takes.map((each) => [`GET breakdowns/b1/takes/${each.id}`, each])),
})

const gate = { biasMs: 15, spreadMs: 20, swingPoints: 4, missedShare: 0.03 }
const server: Server = {
  'POST compute/strokes': [422, {}],
  'POST compute/lesson': lessonOf([stageOf('shapes'), stageOf('damped-rhythm', { number: 2 })], null),
  ...listed(take('t2', 2), take('t1', 1)),
  'GET calibrations/desk': { calibration: null },
  'GET choices': {
    stages: [
      { slug: 'shapes', words: 'shapes alone' },
      { slug: 'damped-rhythm', words: 'damped' },
    ],
    usual_stage: 1,
    gates: [
      { name: 'beginner', ...gate },
      { name: 'advanced', ...gate, spreadMs: 12 },
    ],
  },
}

/** Eight taps of the two keys, then the bars are over. */
async function play(): Promise<void> {
  key('r')
  await screen.findByText(/0 strokes so far/)
  for (let tap = 0; tap < 8; tap++) {
    key(tap % 2 === 0 ? 'f' : 'j')
    window.dispatchEvent(new KeyboardEvent('keydown', { key: 'f', repeat: true }))
  }
  await screen.findByText(/8 strokes so far/)
  ;((await import('../../audio/band')).band as unknown as { finish: () => void }).finish()
}

beforeEach(() => serve(server))

it('shows the latest take with its verdict, what to do, what holds, and any other that is chosen', async () => {
  const { setTempo } = showOnBench(<LockStation />)
  await waitFor(() => expect(screen.getAllByText(/Your off-beats come 38 ms early/)).toHaveLength(2))
  expect(screen.getByText('The 1 holds.')).toBeTruthy()
  expect(screen.getByText('bias, device included')).toBeTruthy()
  fireEvent.click(screen.getByText('Set 84 bpm, stage 2'))
  expect(setTempo).toHaveBeenCalledWith(84)
  fireEvent.click(screen.getByRole('option', { name: /Take 1/ }))
  await screen.findByText(/Student A, take 1/)
})

it('records the two keys without their repeats and sends the take once', async () => {
  serve({ ...server, 'POST breakdowns/b1/takes': [201, take('t3', 3)] })
  showOnBench(<LockStation />)
  await screen.findByText(/Student A, take 2/)
  await play()
  await waitFor(() => expect(callsTo('POST breakdowns/b1/takes')).toHaveLength(1))
  expect(callsTo('POST breakdowns/b1/takes')[0]).toMatchObject({
    tempo: 120,
    bars: 8,
    latency_ms: null,
    taps: Array.from({ length: 8 }, (_, index) => ({ key: index % 2 === 0 ? 'down' : 'up' })),
  })
})

it('keeps a take that could not be judged, and judges the same one when asked again', async () => {
  let answer: [number, unknown] = [503, { message: 'Gravik is being looked after right now.' }]
  serve({ ...server, 'POST breakdowns/b1/takes': () => answer })
  showOnBench(<LockStation />)
  await screen.findByText(/Student A, take 2/)
  await play()
  await screen.findByText(/Your take of Tide Table, played today, is not judged yet/)
  answer = [201, take('t3', 3)]
  fireEvent.click(screen.getByText('Judge it now'))
  await waitFor(() => expect(screen.queryByText(/not judged yet/)).toBeNull())
  const [first, second] = callsTo('POST breakdowns/b1/takes')
  expect(second).toMatchObject({ ...(first as object), waited: expect.any(Number) as number })
})

it('sends the delay that was measured on this device', async () => {
  serve({
    ...server,
    'GET calibrations/desk': { calibration: { latency_ms: 41.5, spread_ms: 6, was_ms: null, measured_at: new Date().toISOString() } },
    'POST breakdowns/b1/takes': [201, take('t3', 3)],
  })
  showOnBench(<LockStation />)
  await screen.findByText(/keys 42 ms, today/)
  await play()
  await waitFor(() => expect(callsTo('POST breakdowns/b1/takes')[0]).toMatchObject({ latency_ms: 41.5 }))
})

it('says when it locks, and what to do before there are takes or strokes', async () => {
  serve({
    ...server,
    ...listed(
      take('t1', 1, {
        findings: [],
        gate: { passed: true, why: 'all within', bias_ms: 15, spread_ms: 20, swing_points: 4, missed_share: 0.03 },
      }),
    ),
  })
  showOnBench(<LockStation />)
  await screen.findByText('This locks.')
  serve({ ...server, ...listed() })
  showOnBench(<LockStation />, { plays: { strokes: [], bars: [] } as never })
  await screen.findByText('No takes yet')
  expect(screen.getByText(/There is nothing to play along to yet/)).toBeTruthy()
})

/** A recording that was heard at once. */
const heardAs = (id: string, number: number) => ({ id, state: 'done', done: 1, message: null, take: take(id, number), heard: null })

/** Calls to the address for recordings, with what their query says. */
const recordings = () =>
  vi
    .mocked(fetch)
    .mock.calls.filter(([address]) => String(address).includes('/recordings?'))
    .map(([address, options]) => ({
      ...Object.fromEntries(new URL(String(address), 'http://gravik').searchParams),
      size: (options?.body as Blob).size,
    }))

const answersRecordings = (answer: [number, unknown]) => {
  const plain = globalThis.fetch
  vi.stubGlobal(
    'fetch',
    vi.fn(async (address: string, options: RequestInit) =>
      address.includes('/recordings?') ? new Response(JSON.stringify(answer[1]), { status: answer[0] }) : plain(address, options),
    ),
  )
}

it('sends an uploaded recording whole, leaves its first beat to the core, and says what could not be heard', async () => {
  answersRecordings([201, heardAs('t3', 3)])
  showOnBench(<LockStation />)
  await screen.findByText(/Student A, take 2/)
  const choose = () => fireEvent.change(screen.getByLabelText('A recording'), { target: { files: [new File(['RIFF'], 'take.wav')] } })
  choose()
  await waitFor(() => expect(recordings()).toMatchObject([{ tempo: '120', bars: '8', size: 4 }]))
  expect(recordings()[0]).not.toHaveProperty('first_beat')
  answersRecordings([422, { message: 'This recording is silent.' }])
  choose()
  await screen.findByText('This recording is silent.')
  answersRecordings([201, heardAs('t3', 3)])
  fireEvent.click(await screen.findByText('Judge it now'))
  await waitFor(() => expect(recordings().at(-1)).toMatchObject({ size: 4, bars: '8' }))
  await waitFor(() => expect(screen.queryByText(/was not taken/)).toBeNull())
})

it('records the microphone until the bars are over, and says where its first beat lies', async () => {
  answersRecordings([201, heardAs('t3', 3)])
  showOnBench(<LockStation />)
  await screen.findByText(/Student A, take 2/)
  key('m')
  await screen.findByRole('alertdialog', { name: 'The delay was never measured' })
  fireEvent.click(screen.getByText('Record without it'))
  await screen.findByRole('img', { name: 'Level of the microphone' })
  heard.block(new Float32Array(128), -1.25, 8000)
  heard.block(new Float32Array(128), -1.234, 8000)
  ;((await import('../../audio/band')).band as unknown as { finish: () => void }).finish()
  await waitFor(() => expect(recordings()).toMatchObject([{ first_beat: '1.25', size: 44 + 2 * 256 }]))
})

it('says why there is no microphone, and judges what was recorded until it went away', async () => {
  answersRecordings([201, heardAs('t3', 3)])
  showOnBench(<LockStation />)
  await screen.findByText(/Student A, take 2/)
  heard.refuses = 'The microphone was refused.'
  key('m')
  fireEvent.click(await screen.findByText('Record without it'))
  await screen.findByText('The microphone was refused.')
  expect(screen.getByRole('button', { name: /Record a take/ })).toBeTruthy()
  heard.refuses = ''
  key('m')
  await screen.findByRole('img', { name: 'Level of the microphone' })
  heard.block(new Float32Array(64), 0, 8000)
  heard.lose()
  await screen.findByText(/The microphone went away/)
  await waitFor(() => expect(recordings()).toHaveLength(1))
})

it('sets one take beside another, and hears a take with the band', async () => {
  serve(server)
  showOnBench(<LockStation />)
  await screen.findByText(/Student A, take 2/)
  fireEvent.click(screen.getByRole('option', { name: /Take 1/ }), { shiftKey: true })
  await screen.findByRole('columnheader', { name: 'Take 1' })
  expect(screen.getAllByRole('img', { name: /Where the strokes fell/ })).toHaveLength(2)
  fireEvent.click(screen.getByText('One alone'))
  await screen.findByText(/Student A, take 2/)
})

it('holds a take to the stage that is chosen, and keeps the gate that the teacher sets for it', async () => {
  serve({ ...server, 'POST breakdowns/b1/takes': [201, take('t3', 3)] })
  const { store } = showOnBench(<LockStation />)
  await screen.findByText(/Student A, take 2/)
  fireEvent.click(screen.getByText('Set 84 bpm, stage 2'))
  fireEvent.click(await screen.findByText('advanced'))
  expect(store.getState().document.lesson).toEqual([
    { stage: 'damped-rhythm', seen: 'damped-rhythm, 60 to 90', gate: { biasMs: 15, spreadMs: 12, swingPoints: 4, missedShare: 0.03 } },
  ])
  fireEvent.change(screen.getByLabelText('missed, %'), { target: { value: '10' } })
  expect(store.getState().document.lesson).toMatchObject([{ stage: 'damped-rhythm', gate: { missedShare: 0.1 } }])
  await play()
  await waitFor(() => expect(callsTo('POST breakdowns/b1/takes')[0]).toMatchObject({ stage: 'damped-rhythm' }))
})

it('keeps the rhythm of a take as a pattern of its own, and leaves the song as it is', async () => {
  const [pattern] = tune.patterns
  const streams = [{ name: 'strum', strokes: [{ at: 480, division: 2 }] }] as typeof pattern.streams
  serve({
    ...server,
    ...listed({ ...take('t2', 2), strokes: [0.25, 0.5, 15.9] }),
    'POST compute/tapped': [
      {
        words: 'straight eighths',
        counted: '&',
        shift_ms: 0,
        spread_ms: 4,
        left_out: 0,
        sketch: { beats: 4, beats_a_bar: 4, p: 0.5, strokes: [] },
        change: [patch('patterns', { ...pattern, streams }, 'p1')],
      },
    ],
  })
  const { store } = showOnBench(<LockStation />)
  await screen.findByText(/Student A, take 2/)
  key('k')
  await screen.findByText('straight eighths')
  expect(callsTo('POST compute/tapped')).toMatchObject([{ bars: 1, from: 0, tempo: 126, taps: [{ t: 0.25 }, { t: 0.5 }, { t: 15.9 }] }])
  key('Enter')
  const { patterns } = store.getState().document
  expect(patterns.map(({ id, name }) => [id, name])).toEqual([
    ['p1', ''],
    ['answer1', 'Student A, take 2'],
  ])
  expect(patterns.map((each) => each.streams)).toEqual([pattern.streams, streams])
})

it('lets a simulated student play an error, and shows what the report says of it', async () => {
  serve({ ...server, 'POST compute/simulate': { timeline: { bars: 2 }, report: take('s', 1).report } })
  showOnBench(<LockStation />)
  await screen.findByText(/Student A, take 2/)
  key('e')
  await screen.findByText(/A simulated student plays your part/)
  key('2')
  await screen.findByText('Your off-beats come 38 ms early.')
  expect(callsTo('POST compute/simulate')).toMatchObject([{ tempo: 120, bars: 8, bias_ms: -20 }])
})

it('records one pass of the song, from the bar where it begins', async () => {
  serve({ ...server, 'POST breakdowns/b1/takes': [201, take('t3', 3)] })
  const passes: BreakdownDocument['passes'] = [tune.passes[0], { ...tune.passes[0], id: '2' }]
  const bars = [0, 1, 2, 3].map((bar) => ({ ...timedBar(bar), pass: bar < 2 ? '1' : '2' }))
  showOnBench(<LockStation />, { document: { ...tune, passes }, plays: { ...timeline, bars, seconds: 8 } })
  await screen.findByText(/Student A, take 2/)
  fireEvent.mouseDown(screen.getByRole('combobox', { name: 'Bars to record' }))
  fireEvent.click(await screen.findByTitle('2nd pass'))
  await play()
  await waitFor(() => expect(callsTo('POST breakdowns/b1/takes')[0]).toMatchObject({ bars: 2, from: 2 }))
})
