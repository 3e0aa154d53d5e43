import { App, Button, Input, InputNumber, Segmented, Select } from 'antd'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { ulid } from 'ulid'
import { reshape, useStarts } from '../../api/queries'
import type { BreakdownDocument } from '../../api/types'
import { isKeyTyped, KEYS, METERS } from '../../ui/choices'
import { useTapTempo } from '../../ui/useTapTempo'
import { LineField } from '../chart/LineField'
import { forget, recalled, remember } from '../../ui/remembered'
import { putOnShelf } from '../bench/keeper'
import { Dialog } from '../../ui/Dialog'

const FEELS = [
  { label: 'Straight', value: 1 },
  { label: 'Light 1.3', value: 1.3 },
  { label: 'Triplet 2', value: 2 },
  { label: 'Dotted 3', value: 3 },
]

/** What a new breakdown starts from: a plain strum in 4/4, one on every beat and the off-beats of 2 and 4. */
const BLANK: BreakdownDocument = {
  format: 'gravik-breakdown',
  version: 1,
  title: '',
  genre: '',
  key: 'C major',
  meter: '4/4',
  tempo: 112,
  feel: { mode: 'fixed', ratio: 1, unit: 'eighth' },
  tuning: 'standard',
  capo: 0,
  company: 'with-bass',
  sections: [{ name: 'A', line: '' }],
  pins: [],
  pattern: {
    ticks: 3840,
    streams: [
      {
        name: 'strum',
        strokes: [0, 960, 1440, 1920, 2880, 3360].map((at) => ({ at, division: 2 as const, accent: at % 1920 === 960 ? 2 : 1 })),
      },
    ],
  },
  school: 'pendulum',
  band: {
    groove: 'straight-drive',
    parts: [],
  },
  notes: '',
}

type Begun = { document: BreakdownDocument; id: string }
const BEGUN = 'gravik:new-breakdown'
const fresh = (): Begun => ({ document: BLANK, id: ulid().toLowerCase() })

/** Title, key, tempo, meter, chords, feel: enough to play along in under a minute. */
export function NewBreakdown({ onClose }: { onClose: () => void }) {
  const [begun, setBegun] = useState(() => recalled<Begun>(BEGUN) ?? fresh())
  const { document, id } = begun
  const starts = useStarts(document.key).data
  const [busy, setBusy] = useState(false)
  const navigate = useNavigate()
  const { message } = App.useApp()
  /** What is typed outlives the sheet, until it is made or emptied. */
  const write = (next: Begun) => {
    setBegun(next)
    remember(BEGUN, JSON.stringify(next))
  }
  const set = (part: Partial<BreakdownDocument>) => write({ id, document: { ...document, ...part } })
  const untouched = JSON.stringify(document) === JSON.stringify(BLANK)
  const startOver = () => {
    forget(BEGUN)
    setBegun(fresh())
  }
  const tap = useTapTempo((tempo) => set({ tempo }))
  const line = document.sections[0]?.line ?? ''
  // The chords are checked before there is a title.
  const checked = { ...document, title: document.title.trim() === '' ? 'Untitled' : document.title }
  const make = async () => {
    setBusy(true)
    try {
      const named = { ...document, title: document.title.trim() === '' ? 'Untitled' : document.title.trim() }
      const written = named.pattern === BLANK.pattern || JSON.stringify(named.pattern) === JSON.stringify(BLANK.pattern)
      const shaped =
        named.meter === '4/4' || !written ? named : (await reshape({ ...named, meter: '4/4' }, { meter: named.meter })).document
      const stored = await putOnShelf(shaped, id)
      forget(BEGUN)
      void navigate(`/breakdown/${stored.id}/chart`)
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'That did not work. Try again.', 8)
      setBusy(false)
    }
  }
  return (
    <Dialog open title="New breakdown" width={720} onCancel={onClose} footer={null}>
      <form
        className="new-breakdown"
        onSubmit={(event) => {
          event.preventDefault()
          if (!busy) void make()
        }}
      >
        <label className="wide">
          Title
          <Input
            name="title"
            maxLength={120}
            placeholder="What do you call it?"
            value={document.title}
            onChange={(event) => set({ title: event.target.value })}
          />
        </label>
        <label>
          Key
          <Select
            showSearch={{ filterOption: (typed, option) => isKeyTyped(typed, option?.value) }}
            aria-label="Key"
            value={document.key}
            options={KEYS.map((value) => ({ value }))}
            onChange={(key) => set({ key })}
          />
        </label>
        <label>
          Tempo
          <span className="field-row">
            <InputNumber name="tempo" min={20} max={400} value={document.tempo} onChange={(tempo) => tempo !== null && set({ tempo })} />
            <Button onClick={tap}>Tap</Button>
          </span>
        </label>
        <label>
          Meter
          <Select
            aria-label="Meter"
            value={document.meter}
            options={METERS.map((value) => ({ value }))}
            onChange={(meter) => set({ meter, pattern: BLANK.pattern, school: BLANK.school, band: BLANK.band })}
          />
        </label>
        <div className="wide">
          <span className="label">Start from</span>
          <span className="chips" role="group" aria-label="Start from">
            {starts?.starters.map((starter) => (
              <button
                key={starter.slug}
                type="button"
                aria-pressed={
                  document.band.groove === starter.groove && JSON.stringify(document.pattern) === JSON.stringify(starter.pattern)
                }
                onClick={() =>
                  set({
                    meter: starter.meter as BreakdownDocument['meter'],
                    tempo: starter.tempo,
                    feel: starter.feel,
                    school: starter.school,
                    pattern: starter.pattern,
                    band: { groove: starter.groove, parts: [] },
                    genre: starter.word,
                  })
                }
              >
                {starter.word}
              </button>
            ))}
          </span>
          <small className="muted">brings a strum, a feel, drums and bass along; all of it can be changed</small>
        </div>
        <div className="wide">
          <span className="label">Feel</span>
          <span className="field-row">
            <Segmented
              options={FEELS}
              value={document.feel.ratio}
              onChange={(ratio) => set({ feel: { ...document.feel, ratio: Number(ratio) } })}
            />
            <InputNumber
              aria-label="Swing ratio"
              min={0.7}
              max={3}
              step={0.1}
              value={document.feel.ratio}
              onChange={(ratio) => ratio !== null && set({ feel: { ...document.feel, ratio } })}
              addonAfter=": 1"
            />
          </span>
        </div>
        <div className="wide">
          <span className="label">Chords, bars between strokes; letters or numerals</span>
          <span className="chips" role="group" aria-label="Forms to start from">
            {starts?.forms.map((form) => (
              <button key={form.slug} type="button" onClick={() => set({ sections: form.sections as BreakdownDocument['sections'] })}>
                {form.name}
              </button>
            ))}
          </span>
          <LineField
            document={checked}
            section={0}
            placeholder="| Dm6 | B♭7 | Gm7 A7 | Dm6 |"
            onChange={(typed) =>
              set({
                sections: document.sections.map((section, place) =>
                  place === 0 ? { ...section, line: typed } : section,
                ) as BreakdownDocument['sections'],
              })
            }
            value={line}
          />
          {document.sections.length > 1 && (
            <small className="muted">
              and{' '}
              {document.sections
                .slice(1)
                .map((section) => section.name)
                .join(', ')}
              , which can be edited in Chart
            </small>
          )}
        </div>
        <div className="button-row wide">
          <Button type="primary" htmlType="submit" size="large" loading={busy}>
            Make it
          </Button>
          <Button size="large" onClick={onClose}>
            Not now
          </Button>
          {!untouched && (
            <Button size="large" onClick={startOver}>
              Start over
            </Button>
          )}
        </div>
      </form>
    </Dialog>
  )
}
