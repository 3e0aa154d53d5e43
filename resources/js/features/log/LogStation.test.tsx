import { fireEvent, screen, waitFor } from '@testing-library/react'
import { beforeEach, expect, it, vi } from 'vitest'
import type { Log } from '../../api/log'
import { callsTo, key, serve, showOnBench } from '../../testing/page'
import { marksBetween, shortDate } from './dates'
import LogStation from './LogStation'

const at = (day: string) => `${day}T17:00:00Z`
const takes = [
  ['2026-10-01', 60, false, null],
  ['2026-10-02', 60, true, 60],
  ['2026-10-02', 66, true, 66],
  ['2026-10-09', 72, false, 66],
] as const
const log: Log = {
  players: [
    { id: 7, name: 'Student A' },
    { id: 8, name: 'Student B' },
  ],
  player: { id: 7, name: 'Student A' },
  takes: takes.map(([day, tempo, passed, clean], place) => ({
    id: `t${place + 1}`,
    number: place + 1,
    at: at(day),
    stage: 'both',
    tempo,
    passed,
    clean,
  })),
  stages: [{ stage: 'both', passed_on: '2026-10-02', now: 66, before: null }],
  days: [
    { day: '2026-10-01', minutes: 1 },
    { day: '2026-10-02', minutes: 2 },
    { day: '2026-10-09', minutes: 0.5 },
  ],
  minutes: 4,
  minutes_week: 1,
  upkeep: [
    {
      stage: 'both',
      begun: '2026-10-02',
      due_on: '2026-10-12',
      days: 2,
      ahead: 4,
      checks: [
        { on: '2026-10-04', days: 2, passed: true },
        { on: '2026-10-09', days: 4, passed: false },
      ],
    },
  ],
  stage: 'both',
  gate_ms: 15,
  slots: [
    {
      name: '1',
      course: 'holds',
      words: '9 to 4 ms late',
      spread_words: 'spread 14 to 9',
      takes: [{ bias_ms: 9, spread_ms: 14 }, null, { bias_ms: 4, spread_ms: 9 }],
    },
    {
      name: '2&',
      course: 'stays',
      words: '31 ms early, stays',
      spread_words: 'spread 24 to 11',
      takes: [-33, -30, -31].map((bias_ms) => ({ bias_ms, spread_ms: 11 })),
    },
  ],
  finding: { slot: '2&', text: '2& has stood still for 3 takes', reason: '31 ms early, spread 11 ms. It is a habit.' },
  remarks: [{ id: 'r1', by: 'Maren', text: 'Count it aloud.', seconds: null, created_at: at('2026-10-02'), take: 't2' }],
}
const server = { 'GET breakdowns/b1/log': log, 'POST compute/lesson': { stages: [{ key: 'both', name: 'Both, slow' }] } }

beforeEach(() => serve(server))

it('draws stairs, swings and lenses, and tells the same to who cannot see them', async () => {
  const { container } = showOnBench(<LogStation onPractise={() => undefined} />)
  await screen.findByRole('img', { name: '4 takes, written at 120. Both, slow: clean at 66. 4 minutes together.' })
  expect(container.querySelectorAll('.log-take')).toHaveLength(4)
  expect(container.querySelectorAll('.log-take.clean')).toHaveLength(2)
  expect(container.querySelectorAll('.log-minutes')).toHaveLength(3)
  screen.getByRole('img', { name: 'Both, slow, passed 2 Oct: 4 Oct held, 9 Oct did not hold, next check 12 Oct.' })
  expect(container.querySelectorAll('.log-check.failed')).toHaveLength(1)
  screen.getByRole('img', { name: '1: 9 to 4 ms late; 2&: 31 ms early, stays' })
  // The slot that sticks has its corners, and a take in which a slot was not met has no band.
  expect(container.querySelectorAll('.run-sticks')).toHaveLength(1)
  expect(container.querySelectorAll('.run-band')).toHaveLength(5)
  screen.getByText('2& has stood still for 3 takes')
})

it('shows the same as tables, and keeps that choice', async () => {
  const { unmount } = showOnBench(<LogStation onPractise={() => undefined} />)
  await screen.findByText(/Count it aloud\./)
  key('v')
  await screen.findByText('31 ms early, stays')
  expect(screen.getAllByRole('row').length).toBe(3 + 2 + 5)
  screen.getByText('4 Oct held, 9 Oct did not hold')
  unmount()
  showOnBench(<LogStation onPractise={() => undefined} />)
  await screen.findByText('Takes, the newest first')
})

it('practises the stage at its clean tempo, and writes a note on the last take', async () => {
  const onPractise = vi.fn()
  serve({ ...server, 'POST breakdowns/b1/takes/t4/remarks': [201, log.remarks[0]] })
  const { setTempo } = showOnBench(<LogStation onPractise={onPractise} />)
  await screen.findByText(/Count it aloud\./)
  key('p')
  expect(setTempo).toHaveBeenCalledWith(66)
  expect(onPractise).toHaveBeenCalledOnce()
  fireEvent.change(screen.getByLabelText('A note on take 4'), { target: { value: 'Tired arm.' } })
  fireEvent.click(screen.getByText('Write it'))
  await waitFor(() => expect(callsTo('POST breakdowns/b1/takes/t4/remarks')).toEqual([{ text: 'Tired arm.' }]))
})

it('says what to do where nothing was played yet', async () => {
  serve({
    ...server,
    'GET breakdowns/b1/log': { ...log, player: null, players: [], takes: [], stages: [], slots: [], upkeep: [], remarks: [] },
  })
  showOnBench(<LogStation onPractise={() => undefined} />)
  await screen.findByText('Nothing was played yet')
})

it('marks as many round days on an axis as there is room for', () => {
  expect(marksBetween(0, 6, 10)).toEqual([0, 1, 2, 3, 4, 5, 6])
  expect(marksBetween(0, 60, 10)).toEqual([0, 7, 14, 21, 28, 35, 42, 49, 56])
  expect(marksBetween(0, 1200, 6)).toEqual([0, 364, 728, 1092])
  expect(shortDate('2026-02-28T23:59:00Z')).toBe('28 Feb')
})
