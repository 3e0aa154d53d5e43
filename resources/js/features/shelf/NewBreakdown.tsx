import { useQuery } from '@tanstack/react-query'
import { App, Button, Input, InputNumber, Segmented, Select } from 'antd'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { ulid } from 'ulid'
import { deskOf, withStart } from '../../api/desk'
import { reshape, upgraded, useChart, useStarts } from '../../api/queries'
import type { BreakdownDocument, UsualForm } from '../../api/types'
import { isKeyTyped, KEYS, METERS } from '../../ui/choices'
import { useTapTempo } from '../../ui/useTapTempo'
import { useProfiles } from '../../api/song'
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

type Begun = { document: BreakdownDocument; id: string }
const BEGUN = 'gravik:new-breakdown'
const fresh = (blank: BreakdownDocument): Begun => ({ document: { ...blank, title: '' }, id: ulid().toLowerCase() })

/** What was typed and not made yet; left by an older Gravik, it is rewritten as documents are today. */
async function leftOff(): Promise<Begun | null> {
  const begun = recalled<Begun>(BEGUN)
  if (begun === null || 'start' in begun.document) return begun
  const { title } = begun.document as BreakdownDocument
  const { document } = await upgraded({ ...(begun.document as object), title: title.trim() === '' ? 'Untitled' : title })
  return { id: begun.id, document: { ...document, title } }
}

/** Title, key, tempo, meter, chords, feel: enough to play along in under a minute. */
export function NewBreakdown({ onClose }: { onClose: () => void }) {
  const blank = useStarts('C major').data?.blank
  const begun = useQuery({ queryKey: ['begun'], queryFn: () => leftOff(), staleTime: Infinity, gcTime: 0 })
  return (
    <Dialog open title="New breakdown" width={720} onCancel={onClose} footer={null}>
      {blank === undefined || begun.isPending ? (
        <p className="loading">Laying out paper …</p>
      ) : (
        <NewForm blank={blank} left={begun.data ?? fresh(blank)} onClose={onClose} />
      )}
    </Dialog>
  )
}

function NewForm({ blank, left, onClose }: { blank: BreakdownDocument; left: Begun; onClose: () => void }) {
  const [begun, setBegun] = useState(left)
  const { document, id } = begun
  const { start } = document
  const starts = useStarts(start.key).data
  const chosen = starts?.profiles.find(({ word }) => word === document.genre)
  const own = useProfiles().data ?? []
  const [busy, setBusy] = useState(false)
  const navigate = useNavigate()
  const { message } = App.useApp()
  /** What is typed outlives the sheet, until it is made or emptied. */
  const write = (next: Begun) => {
    setBegun(next)
    remember(BEGUN, JSON.stringify(next))
  }
  const set = (part: Partial<BreakdownDocument>) => write({ id, document: { ...document, ...part } })
  const begin = (part: Partial<BreakdownDocument['start']>) => write({ id, document: withStart(document, part) })
  const untouched = JSON.stringify({ ...document, title: blank.title }) === JSON.stringify(blank) && document.title === ''
  const startOver = () => {
    forget(BEGUN)
    setBegun(fresh(blank))
  }
  const tap = useTapTempo((tempo) => begin({ tempo }))
  const line = document.sections[0].line
  const named = { ...document, title: document.title.trim() === '' ? blank.title : document.title.trim() }
  const reading = useChart(named)
  const failed = (problem: unknown) => void message.error(problem instanceof Error ? problem.message : 'That did not work. Try again.', 8)
  const setMeter = async (meter: string) => {
    try {
      const { document: shaped } = await reshape(deskOf(named, {}, undefined), { meter })
      set({ ...shaped, title: document.title })
    } catch (problem) {
      failed(problem)
    }
  }
  const make = async () => {
    setBusy(true)
    try {
      const stored = await putOnShelf(named, id)
      forget(BEGUN)
      void navigate(`/breakdown/${stored.id}/chart`)
    } catch (problem) {
      failed(problem)
      setBusy(false)
    }
  }
  return (
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
          value={start.key}
          options={KEYS.map((value) => ({ value }))}
          onChange={(key) => begin({ key })}
        />
      </label>
      <label>
        Tempo
        <span className="field-row">
          <InputNumber name="tempo" min={20} max={400} value={start.tempo} onChange={(tempo) => tempo !== null && begin({ tempo })} />
          <Button onClick={tap}>Tap</Button>
        </span>
      </label>
      <label>
        Meter
        <Select
          aria-label="Meter"
          value={start.meter}
          options={METERS.map((value) => ({ value }))}
          onChange={(meter: string) => void setMeter(meter)}
        />
      </label>
      <div className="wide">
        <span className="label">Start from</span>
        <span className="chips" role="group" aria-label="Start from">
          {starts?.profiles.map((profile) => (
            <button
              key={profile.slug}
              type="button"
              aria-pressed={document.genre === profile.word}
              title={`${profile.slowest}–${profile.fastest} BPM. ${profile.caution}`}
              onClick={() => write({ id, document: startedFrom(document, profile) })}
            >
              {profile.word}
            </button>
          ))}
          {own.map((profile) => (
            <button
              key={profile.id}
              type="button"
              className="own-word"
              aria-pressed={document.genre === profile.name}
              onClick={() => write({ id, document: startedFrom(document, profile) })}
            >
              {profile.name}
            </button>
          ))}
        </span>
        <small className="muted">
          {chosen === undefined
            ? 'brings a strum, a feel, the kind of grips and a band with its roles along; all of it can be changed'
            : [
                `${chosen.slowest}–${chosen.fastest} BPM.`,
                chosen.caution,
                `Usual moves: ${chosen.moves.map(({ words }) => words).join(', ')}.`,
              ].join(' ')}
        </small>
      </div>
      <div className="wide">
        <span className="label">Feel</span>
        <span className="field-row">
          <Segmented
            options={FEELS}
            value={start.feel.ratio}
            onChange={(ratio) => begin({ feel: { ...start.feel, ratio: Number(ratio) } })}
          />
          <InputNumber
            aria-label="Swing ratio"
            min={0.7}
            max={3}
            step={0.1}
            value={start.feel.ratio}
            onChange={(ratio) => ratio !== null && begin({ feel: { ...start.feel, ratio } })}
            addonAfter=": 1"
          />
        </span>
      </div>
      <div className="wide">
        <span className="label">Chords, bars between strokes; letters or numerals</span>
        <span className="chips" role="group" aria-label="Forms to start from">
          {starts?.forms.map((form) => (
            <button key={form.slug} type="button" onClick={() => set(inForm(form))}>
              {form.name}
            </button>
          ))}
        </span>
        <LineField
          problems={reading.isPlaceholderData ? [] : (reading.data?.sections[0]?.problems ?? [])}
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
  )
}

/** A breakdown with what a genre word brings along; its key, title and chords stay. */
function startedFrom(document: BreakdownDocument, { document: brought }: { document: object }): BreakdownDocument {
  const { genre, start, patterns, lines, parts, cells } = brought as BreakdownDocument
  return { ...document, genre, start: { ...start, key: document.start.key }, patterns, lines, parts, cells }
}

const inForm = ({ sections }: UsualForm) => ({
  sections: sections as BreakdownDocument['sections'],
  form: sections.map(({ id }) => ({ section: id, times: 1 })) as BreakdownDocument['form'],
})
