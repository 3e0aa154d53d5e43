import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { cleanup, configure, render } from '@testing-library/react'
import { App } from 'antd'
import { useState, type ReactNode } from 'react'
import { MemoryRouter, Route, Routes } from 'react-router'
import { afterEach, vi } from 'vitest'
import { useStore } from 'zustand'
import { useOutbox } from '../api/outbox'
import { deskOf, withLine, withPattern } from '../api/desk'
import type {
  BreakdownDocument,
  LineDocument,
  Patch,
  PatternDocument,
  PinDocument,
  SongPlace,
  StoredBreakdown,
  TimedBar,
  Timeline,
  Voicing,
} from '../api/types'
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
      const [status, content] =
        Array.isArray(made) && typeof made[0] === 'number'
          ? (made as [number, unknown])
          : made === undefined
            ? [404, { message: `nobody answers ${call}` }]
            : [200, made]
      return new Response(status === 204 ? null : JSON.stringify(content), { status })
    }),
  )
}

export const callsTo = (call: string): unknown[] => asked.filter((each) => each.call === call).map((each) => each.body)

// What is waited for comes when it comes: a busy machine is no reason to call a screen broken.
configure({ asyncUtilTimeout: 20_000 })

// What a real browser has and the simulated page lacks.
vi.stubGlobal(
  'ResizeObserver',
  class {
    observe = () => undefined
    unobserve = () => undefined
    disconnect = () => undefined
  },
)
Element.prototype.scrollTo = () => undefined
Element.prototype.scrollIntoView = () => undefined
const { ResizeObserver } = globalThis

afterEach(() => {
  cleanup()
  sessionStorage.clear()
  useOutbox.setState({ waiting: [], kept: true })
  asked.length = 0
  vi.unstubAllGlobals()
  globalThis.ResizeObserver = ResizeObserver
})

export const tune: BreakdownDocument = {
  format: 'gravik-breakdown',
  version: 2,
  title: 'Tide Table',
  genre: '',
  notes: '',
  start: { key: 'D minor', meter: '4/4', tempo: 120, feel: { mode: 'fixed', ratio: 1, unit: 'eighth' } },
  guitar: { tuning: 'standard', capo: 0 },
  sections: [{ id: 's1', name: 'A', line: '| Dm | A7 |' }],
  form: [{ section: 's1', times: 1 }],
  patterns: [
    { id: 'p1', name: '', meter: '4/4', school: 'pendulum', ticks: 3840, streams: [{ name: 'strum', strokes: [{ at: 0, division: 2 }] }] },
  ],
  lines: [{ id: 'l1', name: '', company: 'with-bass', pins: [] }],
  moves: [],
  placed: [],
  parts: [
    { id: 'drums', instrument: 'drums', level: 0.8, offsetMs: 0, straight: false, groove: 'shuffle' },
    { id: 'bass', instrument: 'bass', level: 0.8, offsetMs: 0, straight: false, groove: 'shuffle' },
    { id: 'guitar', instrument: 'guitar', level: 0.8, offsetMs: 0, straight: false },
  ],
  passes: [{ id: '1', name: '', notes: '', cells: [] }],
  cells: [],
  lesson: [],
}

/** The tune with its one pattern, or its one line of grips, changed. */
export const struckAs = (pattern: Partial<PatternDocument>, of = tune): BreakdownDocument =>
  withPattern(of, 'p1', (each) => ({ ...each, ...pattern }))
export const heldAs = (line: Partial<LineDocument>, of = tune): BreakdownDocument => withLine(of, 'l1', (each) => ({ ...each, ...line }))

/** What a click would change: one field of the document, or one entry of a list. */
export const patch = (field: string, becomes: unknown, id: string | null = null): Patch => {
  const whole = tune[field as keyof BreakdownDocument]
  return { field, id, was: id === null ? whole : (whole as { id: string }[]).find((each) => each.id === id), becomes }
}

/** A chord's place in the tune. */
export const placeOf = (bar: number, tick = 0): PinDocument['at'] => ({ section: 's1', ending: null, bar, tick })

/** A bar of two seconds in 4/4, straight. */
export const timedBar = (bar: number): TimedBar => {
  const t = 2 * bar
  const beats = [t, t + 0.5, t + 1, t + 1.5]
  return {
    t,
    beats,
    off_beats: beats.map((beat) => beat + 0.25),
    written: bar,
    pattern: 'p1',
    pattern_bar: 0,
    section: 's1',
    pass: '1',
    time: 1,
    p: 0.5,
    line: 'l1',
    level: 3,
    texture: 'pattern',
    role_words: '',
    loud: [3, 3],
  }
}

/** A grip of six strings as a pin holds it. */
export const gripFrets = [null, 5, 7, 7, 6, 5] as unknown as PinDocument['frets']

export const timeline: Timeline = {
  tempo: 120,
  ratio: 1,
  p: 0.5,
  seconds: 4,
  bars: [timedBar(0), timedBar(1)],
  passes: [{ id: '1', differs: '', hand: [5, 7] }],
  patterns: [{ id: 'p1', first_slot: 0, bars: 1 }],
  counts: [],
  chords: [
    { t: 0, until: 2, bar: 0, written: 0, symbol: 'Dm' },
    { t: 2, until: 4, bar: 1, written: 1, symbol: 'A7' },
  ],
  strokes: [
    {
      t: 0,
      until: 2,
      slot: 0,
      pattern: 'p1',
      at: 0,
      bar: 0,
      chord: 0,
      direction: 'down',
      kind: 'ring',
      accent: 1,
      strings: [4, 3, 2, 1],
      ends: [2, 2, 2, 2],
    },
  ],
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
export function showOnBench(
  station: ReactNode,
  { document = tune, mine = true, plays = timeline as Timeline | undefined, places = [] as SongPlace[] } = {},
) {
  const stored: StoredBreakdown = { id: 'b1', revision: 1, sitting: 'elsewhere', updated_at: '2026-05-09T12:00:00Z', mine, document }
  const store: DocumentStore = openDocument(stored, {
    put: async (_id, saved, revision) => ({ ...stored, document: saved, revision: revision + 1 }),
    sitting: 'here',
    draft: { read: () => null, write: () => true, clear: () => undefined },
  })
  const setTempo = vi.fn()
  const setLevel = vi.fn()
  const setPlace = vi.fn()
  const setArrangement = vi.fn()
  function OnBench() {
    const [stage, setStage] = useState<string | null>(null)
    const now = useStore(store, (state) => state.document)
    const value = {
      store,
      desk: deskOf(now, {}, places),
      places,
      setPlace,
      tempo: document.start.tempo,
      setTempo,
      level: 3,
      setLevel,
      stage,
      setStage,
      arrangement: 'with-band' as const,
      setArrangement,
      played: { stage, arrangement: 'with-band' as const },
      timeline: plays,
    }
    return <BenchContext.Provider value={value}>{station}</BenchContext.Provider>
  }
  return { store, setTempo, setLevel, setPlace, setArrangement, ...show(<OnBench />) }
}

export const key = (name: string): void =>
  void window.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true }))
