import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { cleanup, configure, render } from '@testing-library/react'
import { App } from 'antd'
import type { ReactNode } from 'react'
import { MemoryRouter, Route, Routes } from 'react-router'
import { afterEach, vi } from 'vitest'
import type { BreakdownDocument, PinDocument, StoredBreakdown, Timeline, Voicing } from '../api/types'
import { BenchContext } from '../features/bench/benchContext'
import { openDocument, type DocumentStore } from '../features/bench/documentStore'

/** "GET breakdowns" → what the server answers: a body, or [status, body]. */
export type Server = Record<string, unknown | ((body: unknown) => unknown)>

export const asked: { call: string; body: unknown }[] = []

/** Stands in for the server; what nobody expected to be asked is a 404 that says so. */
export function serve(server: Server): void {
  vi.stubGlobal(
    'fetch',
    vi.fn(async (address: string, options: RequestInit) => {
      const call = `${options.method} ${address.replace('/api/', '')}`
      const body: unknown = typeof options.body === 'string' ? JSON.parse(options.body) : undefined
      asked.push({ call, body })
      const answer = server[call]
      const made = typeof answer === 'function' ? ((await answer(body)) as unknown) : answer
      const [status, content] = Array.isArray(made) && typeof made[0] === 'number' ? (made as [number, unknown]) : made === undefined ? [404, { message: `nobody answers ${call}` }] : [200, made]
      return new Response(status === 204 ? null : JSON.stringify(content), { status })
    }),
  )
}

export const callsTo = (call: string): unknown[] => asked.filter((each) => each.call === call).map((each) => each.body)

// What is waited for comes when it comes: a busy machine is no reason to call a screen broken.
configure({ asyncUtilTimeout: 20_000 })

// What a real browser has and the simulated page lacks.
vi.stubGlobal('ResizeObserver', class { observe = () => undefined; unobserve = () => undefined; disconnect = () => undefined })
Element.prototype.scrollTo = () => undefined
Element.prototype.scrollIntoView = () => undefined
const { ResizeObserver } = globalThis

afterEach(() => {
  cleanup()
  sessionStorage.clear()
  asked.length = 0
  vi.unstubAllGlobals()
  globalThis.ResizeObserver = ResizeObserver
})

export const tune: BreakdownDocument = {
  format: 'gravik-breakdown',
  version: 1,
  title: 'Tide Table',
  genre: '',
  key: 'D minor',
  meter: '4/4',
  tempo: 120,
  feel: { mode: 'fixed', ratio: 1, unit: 'eighth' },
  tuning: 'standard',
  capo: 0,
  company: 'with-bass',
  sections: [{ name: 'A', line: '| Dm | A7 |' }],
  pins: [],
  pattern: { ticks: 3840, streams: [{ name: 'strum', strokes: [{ at: 0, division: 2 }] }] },
  school: 'pendulum',
  band: { groove: 'shuffle', parts: [] },
  notes: '',
}

/** A grip of six strings as a pin holds it. */
export const gripFrets = [null, 5, 7, 7, 6, 5] as unknown as PinDocument['frets']

export const timeline: Timeline = {
  tempo: 120,
  ratio: 1,
  p: 0.5,
  seconds: 4,
  beat_seconds: 0.5,
  beats_a_bar: 4,
  bars: 2,
  pattern_bars: 1,
  beat_times: [0, 0.5, 1, 1.5, 2, 2.5, 3, 3.5],
  off_beat_times: [0.25, 0.75, 1.25, 1.75, 2.25, 2.75, 3.25, 3.75],
  counts: [],
  chords: [
    { t: 0, until: 2, bar: 0, symbol: 'Dm' },
    { t: 2, until: 4, bar: 1, symbol: 'A7' },
  ],
  strokes: [{ t: 0, until: 2, slot: 0, at: 0, bar: 0, chord: 0, direction: 'down', kind: 'ring', accent: 1, strings: [4, 3, 2, 1], ends: [2, 2, 2, 2] }],
  events: [],
  feel_words: 'straight',
  off_beat_ms: 0,
  warnings: [],
}

export const voicing = (frets: (number | null)[], part: Partial<Voicing> = {}): Voicing => ({
  frets,
  fingers: frets.map((fret) => fret),
  damped: [],
  barres: [],
  degrees: frets.map((fret) => (fret === null ? null : 'R')),
  notes: frets.map((fret) => (fret === null ? null : 'D3')),
  midi: frets.map((fret) => (fret === null ? null : 50 + fret)),
  span_mm: 40,
  difficulty: 1,
  difficulty_parts: { span: 0.4, fingering: 0.6 },
  family: 'D',
  root: null,
  top: { note: 'D4', degree: 'R' },
  position: 1,
  slash: null,
  ...part,
})

/** A screen as it stands in the app, on the shelf or wherever the path says. */
export function show(screen: ReactNode, path = '/') {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } })
  return render(
    <App>
      <QueryClientProvider client={client}>
        <MemoryRouter initialEntries={[path]}>
          <Routes>
            <Route path="/breakdown/:id/:station?" element={<p>on the bench</p>} />
            <Route path="*" element={screen} />
          </Routes>
        </MemoryRouter>
      </QueryClientProvider>
    </App>,
  )
}

/** A station with a breakdown on the bench; saves go nowhere. */
export function showOnBench(station: ReactNode, { document = tune, mine = true, plays = timeline as Timeline | undefined } = {}) {
  const stored: StoredBreakdown = { id: 'b1', revision: 1, sitting: 'elsewhere', updated_at: '2026-05-09T12:00:00Z', mine, document }
  const store: DocumentStore = openDocument(stored, {
    put: async (_id, saved, revision) => ({ ...stored, document: saved, revision: revision + 1 }),
    sitting: 'here',
    draft: { read: () => null, write: () => true, clear: () => undefined },
  })
  const setTempo = vi.fn()
  const setLevel = vi.fn()
  return { store, setTempo, setLevel, ...show(<BenchContext.Provider value={{ store, tempo: document.tempo, setTempo, level: 3, setLevel, timeline: plays }}>{station}</BenchContext.Provider>) }
}

export const key = (name: string): void => void window.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true }))
