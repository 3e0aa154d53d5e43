import type { BreakdownDocument, Hand } from '../api/types'
import { struckAs } from './page'

/** What the core says of a bar of eighths: struck where the document has strokes, air elsewhere. */
export function planned(document: BreakdownDocument, warnings: Hand['warnings'] = []): Hand {
  const slots = Array.from({ length: 8 }, (_, slot) => ({
    slot,
    at: slot * 480,
    division: 2,
    beats: slot / 2,
    syllable: slot % 2 === 0 ? String(slot / 2 + 1) : '&',
    on_beat: slot % 2 === 0,
  }))
  const strokes = slots.map(({ slot, at, beats }) => {
    const stroke = document.patterns[0].streams[0].strokes.find((each) => each.at === at)
    return {
      slot,
      at,
      beats,
      direction: slot % 2 === 0 ? ('down' as const) : ('up' as const),
      kind: stroke === undefined ? ('air' as const) : (stroke.articulation ?? 'ring'),
      accent: stroke?.accent ?? 1,
    }
  })
  return {
    pattern: 'p1',
    beside_band: null,
    runs_on: false,
    grid: 2,
    slots,
    sketch: { beats: 4, beats_a_bar: 4, p: 0.5, strokes },
    warnings,
    same_levels: [],
    habits: [
      { zone: 'all', action: 'strum', by: 'pick' },
      { zone: 'bass', action: 'pick', by: 'thumb' },
    ],
    density: strokes.filter((stroke) => stroke.kind !== 'air').length,
    muted_share: 0.25,
    syncopation: 2,
    strokes_a_second: 3.5,
    counted: ['1 & (2) &'],
    advice: { school: document.patterns[0].school, reason: 'A hand that never stops keeps the time.' },
    limit: { easy_to: 240, hard_to: 360, why: 'total' },
    crossings: { count: 0, around: 0 },
  }
}

/** What the Hand station asks for as it opens. */
export const handServer = {
  'GET choices': {
    grooves: [],
    tunings: [],
    kinds: [],
    schools: [
      { slug: 'pendulum', name: 'pendulum' },
      { slug: 'all-down', name: 'all down' },
    ],
  },
  'POST compute/strokes': (body: unknown) => planned((body as { document: BreakdownDocument }).document),
  'POST compute/path': { cost: 0, chords: [], moves: [], loose: [] },
  'POST compute/shape': { document: struckAs({ ticks: 7680 }) },
}
