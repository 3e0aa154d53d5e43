import { act, fireEvent, screen, waitFor } from '@testing-library/react'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import type { Backing, BreakdownDocument } from '../../../api/types'
import { band } from '../../../audio/band'
import { callsTo, key, serve, showOnBench, timedBar, timeline, tune } from '../../../testing/page'
import { withClicks } from './clickModes'
import { PracticeRoom } from './PracticeRoom'
import { readSession, writeSession, type Cycle } from './session'

let end: (() => void) | undefined
vi.mock('../../../audio/band', async () => {
  const silent = await import('../../../testing/silentBand')
  return {
    ...silent,
    playbackLevel: () => 1,
    setPlaybackLevel: vi.fn(),
    band: {
      ...silent.band,
      playing: true,
      startedAt: 0,
      elapsedBars: () => 0,
      snapshot: () => ({ status: 'playing', countInBars: 1, clickOn: [], clickOffBeats: false, clickRests: null }),
      start: vi.fn(async (options: { onEnd: () => void }) => void (end = options.onEnd)),
    },
  }
})

const report = (passed: boolean) => ({ findings: [{ kind: 'looseness', text: 'Your strokes scatter.' }], gate: { passed } })
const backings: Backing[] = [
  { id: 'band', name: 'the band', click_on: [], click_off_beats: false, click_rests: null },
  { id: 'rests', name: 'click that drops out', click_on: [0, 1], click_off_beats: false, click_rests: [2, 2] },
]
const ladder = (body: unknown) => {
  const { clean } = body as { clean: boolean[] }
  return {
    steps: [
      { bpm: 120, bars: 2, cycles: 2, seconds: 8, pulse_beats: 1 },
      { bpm: 126, bars: 2, cycles: 2, seconds: 7.6, pulse_beats: 1 },
    ],
    minutes: 0.3,
    fits: true,
    goal: 126,
    raised: { start: 126, goal: 132 },
    at: clean.length >= 2 && clean.slice(-2).every(Boolean) ? 1 : 0,
    pause: clean.length === 6 ? 'tension' : null,
    backings,
  }
}
const usual = { startShare: 0.6, minutes: 9, bars: 4, restAfter: 25 }
const cycle = (clean: boolean, seconds = 60): Cycle => ({ take: `t${Math.random()}`, bpm: 120, clean, seconds })

const judge = {
  taps: vi.fn(),
  sound: vi.fn(),
  hearing: false,
  heard: null,
  again: vi.fn(),
  waiting: [],
  keepsSound: false,
  setKeepsSound: vi.fn(),
  byKey: null,
  byMicrophone: null,
}

beforeEach(() => {
  localStorage.clear()
  vi.clearAllMocks()
  serve({ 'POST compute/ladder': ladder })
  judge.taps.mockImplementation(async () => ({ id: `t${judge.taps.mock.calls.length}`, tempo: 120, report: report(true) }))
})
afterEach(() => vi.useRealTimers())

const room = () =>
  showOnBench(<PracticeRoom stage={null} judge={judge} usual={usual} onClose={vi.fn()} onShow={vi.fn()} />, { plays: timeline })

async function playCycle(): Promise<void> {
  const before = vi.mocked(band.start).mock.calls.length
  await waitFor(() => expect(vi.mocked(band.start).mock.calls.length).toBeGreaterThan(before - 1))
  await screen.findByText(/strokes so far/)
  key('f')
  await screen.findByText(/1 strokes so far/)
  act(() => end?.())
}

it('plays a cycle at the ladder’s tempo, has it judged, and says what comes next', async () => {
  room()
  await screen.findByText(/2 tempos, 0.3 of your 9 minutes/)
  key('r')
  await playCycle()
  await screen.findByText('Clean.')
  await screen.findByText(/Next at 120/)
  expect(judge.taps).toHaveBeenCalledTimes(1)
  expect(callsTo('POST compute/ladder').at(-1)).toMatchObject({ clean: [true], mode: 'gated' })
  expect(readSession('b1', 120, usual).cycles).toHaveLength(1)
  key('Escape')
  await screen.findByText(/Go on/)
})

it('climbs over one pass of the song, from the bar where it begins', async () => {
  const passes: BreakdownDocument['passes'] = [tune.passes[0], { ...tune.passes[0], id: '2', name: 'Refrains' }]
  const bars = [0, 1, 2, 3, 4].map((bar) => ({ ...timedBar(bar), pass: bar < 2 ? '1' : '2' }))
  showOnBench(<PracticeRoom stage={null} judge={judge} usual={usual} onClose={vi.fn()} onShow={vi.fn()} />, {
    document: { ...tune, passes },
    plays: { ...timeline, bars, seconds: 10 },
  })
  await screen.findByText(/2 tempos/)
  fireEvent.mouseDown(screen.getByRole('combobox', { name: 'Bars of the ladder' }))
  fireEvent.click(await screen.findByTitle('Refrains'))
  await waitFor(() => expect(callsTo('POST compute/ladder').at(-1)).toMatchObject({ bars: 3 }))
  key('r')
  await playCycle()
  expect(vi.mocked(band.start).mock.calls.at(-1)?.[0]).toMatchObject({ fromBar: 2 })
  await waitFor(() => expect(judge.taps.mock.calls[0]?.[0]).toMatchObject({ from: 2 }))
})

it('stops early without losing what was played, and climbs no more on a day that hurts', async () => {
  judge.taps.mockImplementation(async () => ({ id: 't9', tempo: 120, report: report(false) }))
  room()
  await screen.findByText(/2 tempos/)
  fireEvent.click(screen.getByText('my hand hurts today'))
  await waitFor(() => expect(callsTo('POST compute/ladder').at(-1)).toMatchObject({ hurts: true }))
  key('r')
  await screen.findByText(/strokes so far/)
  key('f')
  await screen.findByText(/1 strokes so far/)
  key('Escape')
  await screen.findByText('Your strokes scatter.')
  expect(screen.queryByText(/Next at/)).toBeNull()
  expect(screen.getByText(/0 of 1 cycles clean/)).toBeTruthy()
})

it('clicks as the chosen backing says, and puts the clicks back as they were', () => {
  withClicks(backings[1])()
  withClicks(backings[0])()
  const before = { clickOn: [], clickOffBeats: false, clickRests: null }
  expect(vi.mocked(band.set).mock.calls).toEqual([[{ clickOn: [0, 1], clickOffBeats: false, clickRests: [2, 2] }], [before], [before]])
})

it('ends when the minutes are over, as the server says, and tells it what was played', async () => {
  serve({ 'POST compute/ladder': (body: { clean: boolean[] }) => ({ ...ladder(body), pause: body.clean.length > 0 ? 'over' : null }) })
  room()
  await screen.findByText(/2 tempos/)
  key('r')
  await playCycle()
  expect(await screen.findByText(/The 9 minutes are over/)).toBeTruthy()
  expect(callsTo('POST compute/ladder').at(-1)).toMatchObject({ played: 4, rested: 0, rest_after: 25 })
})

it('shows the pulse as slow as the tempo asks for, unless somebody chose', async () => {
  const swings = async (swing: 0 | 8) => {
    writeSession('b1', { settings: { ...readSession('b1', 120, usual).settings, swing }, cycles: [] })
    serve({ 'POST compute/ladder': { ...ladder({ clean: [] }), steps: [{ bpm: 120, bars: 2, cycles: 2, seconds: 8, pulse_beats: 4 }] } })
    const shown = room()
    await screen.findByText(/1 tempos, /)
    key('r')
    const words = (await screen.findByLabelText(/One swing is/)).getAttribute('aria-label')
    shown.unmount()
    return words
  }
  expect(await swings(0)).toContain('4')
  expect(await swings(8)).toContain('8')
})

it('shows no beat at all to one who hides the beats', async () => {
  writeSession('b1', { settings: { ...readSession('b1', 120, usual).settings, hideBeats: true }, cycles: [] })
  const { container } = room()
  await screen.findByText(/2 tempos/)
  key('r')
  await screen.findByText(/strokes so far/)
  expect(screen.queryByLabelText(/One swing is/)).toBeNull()
  expect(container.querySelector('.practice.beats-hidden')).not.toBeNull()
})

it('keeps settings and cycles over a reload', () => {
  const session = readSession('b3', 100, usual)
  expect(session.settings).toMatchObject({ start: 60, goal: 100 })
  writeSession('b3', { settings: { ...session.settings, goal: 140 }, cycles: [cycle(true)] })
  expect(readSession('b3', 100, usual)).toMatchObject({ settings: { start: 60, goal: 140 }, cycles: [{ clean: true }] })
})

it('offers to raise start and goal together once the goal is clean, and begins the new ladder from its foot', async () => {
  writeSession('b1', {
    settings: { ...readSession('b1', 120, usual).settings, start: 120, goal: 126 },
    cycles: [{ take: 't1', bpm: 126, clean: true, seconds: 8 }],
  })
  room()
  fireEvent.click(await screen.findByText('Easy: 126 to 132'))
  await waitFor(() => expect(callsTo('POST compute/ladder').at(-1)).toMatchObject({ start: 126, goal: 132, clean: [] }))
  expect(readSession('b1', 120, usual)).toMatchObject({ settings: { start: 126, goal: 132 }, cycles: [] })
})

it('says how far the minutes carry when they are too few', async () => {
  serve({ 'POST compute/ladder': { ...ladder({ clean: [] }), fits: false, goal: 111 } })
  room()
  expect(await screen.findByText(/9 minutes carry to 111, not to 120/)).toBeTruthy()
})

it('says what is wrong with a ladder that goes down, and does not start it', async () => {
  serve({ 'POST compute/ladder': [422, { message: 'A ladder goes up: its goal, 60, lies below its start, 72.' }] })
  room()
  expect((await screen.findByRole('alert')).textContent).toContain('A ladder goes up')
  expect((screen.getByRole('button', { name: /Start the ladder/ }) as HTMLButtonElement).disabled).toBe(true)
})

it('waits with a question until it is answered, and goes on when the hands are loose', async () => {
  writeSession('b1', {
    settings: { ...readSession('b1', 120, usual).settings, minutes: 90 },
    cycles: Array.from({ length: 5 }, (_, number) => ({ take: `t${number}`, bpm: 120, clean: false, seconds: 8 })),
  })
  room()
  await screen.findByText(/0 of 5 cycles clean/)
  key('r')
  await playCycle()
  expect(await screen.findByText(/Is the pick held lightly/)).toBeTruthy()
  expect(screen.queryByText(/counts in by itself/)).toBeNull()
  const before = vi.mocked(band.start).mock.calls.length
  key('Enter')
  await waitFor(() => expect(vi.mocked(band.start).mock.calls.length).toBe(before + 1))
})
