import { Button, Checkbox, InputNumber, Select } from 'antd'
import { convertTuning, moveCapo, moveToKey, reshape, useChoices } from '../../api/queries'
import { withLine, withStart } from '../../api/desk'
import type { BreakdownDocument, Feel, LineDocument } from '../../api/types'
import { isKeyTyped, KEYS, METERS } from '../../ui/choices'
import { useTapTempo } from '../../ui/useTapTempo'
import { useBench } from './benchContext'
import { Marking } from './Marking'
import { SetUpForm } from './SetUpForm'
import { BELOW_THE_CAPO, OPEN_STRINGS_STAY, useRemake } from './useRemake'

const COMPANIES = [
  { value: 'alone', label: 'alone: root in the bass' },
  { value: 'with-bass', label: 'with a bass player: root may go' },
  { value: 'shell', label: 'beside keys: guide tones only' },
]

type Part = BreakdownDocument['parts'][number]

/** Where each part sits against the beat, and whether it leaves the swing to the others. */
function PartPlaces({ parts, onChange }: { parts: Part[]; onChange: (id: string, part: Partial<Part>) => void }) {
  return (
    <fieldset className="part-places">
      <legend>Where each sits, ms late</legend>
      {parts.map(({ id, instrument, offsetMs, straight }) => (
        <div key={id} className="part">
          {instrument}
          <InputNumber
            aria-label={`${instrument}, ms late`}
            min={-100}
            max={100}
            precision={0}
            step={5}
            value={offsetMs}
            onChange={(late) => late !== null && onChange(id, { offsetMs: late })}
          />
          <Checkbox checked={straight} onChange={(event) => onChange(id, { straight: event.target.checked })}>
            stays straight
          </Checkbox>
        </div>
      ))}
      <small className="muted">Minus is ahead. Laid back is a feel, not an error: a take is held against it.</small>
    </fieldset>
  )
}

/** Everything about the tune that is not its chords or strokes. */
export function TuneForm() {
  const { store, desk, setTempo } = useBench()
  const { document, line } = desk
  const { start, guitar } = document
  const choices = useChoices().data
  const remake = useRemake()
  const change = (part: Partial<BreakdownDocument['start']>, together?: string) =>
    store.change((d) => withStart(d, part), together === undefined ? {} : { together })
  const setParts = (changed: (part: Part) => Part) =>
    store.change((d) => ({ ...d, parts: d.parts.map(changed) as BreakdownDocument['parts'] }), { together: 'parts' })
  const write = (tempo: number | null) => {
    if (tempo === null || tempo < 20 || tempo > 400) return
    change({ tempo }, 'tempo')
    setTempo(tempo)
  }
  const tap = useTapTempo(write)
  return (
    <section className="tune-form" aria-label="Key, tempo, band">
      <label>
        <span className="field-row">
          Key <Marking on={{ what: 'song', field: 'key' }} label="key" />
        </span>
        <Select
          showSearch={{ filterOption: (typed, option) => isKeyTyped(typed, option?.value) }}
          value={start.key}
          options={KEYS.map((value) => ({ value }))}
          onChange={(key: string) => void remake((d) => moveToKey(d, key), OPEN_STRINGS_STAY)}
        />
      </label>
      <label>
        <span className="field-row">
          Written tempo <Marking on={{ what: 'song', field: 'tempo' }} label="written tempo" />
        </span>
        <span className="field-row">
          <InputNumber min={20} max={400} value={start.tempo} onChange={write} />
          <Button onClick={tap}>Tap</Button>
        </span>
      </label>
      <label>
        <span className="field-row">
          Meter <Marking on={{ what: 'song', field: 'meter' }} label="meter" />
        </span>
        <Select
          value={start.meter}
          options={METERS.map((value) => ({ value }))}
          onChange={(meter: string) => void remake((d) => reshape({ ...desk, document: d }, { meter }))}
        />
      </label>
      <label>
        <span className="field-row">
          Feel <Marking on={{ what: 'song', field: 'feel' }} label="feel" />
        </span>
        <Select
          value={start.feel.mode}
          options={[
            { value: 'fixed', label: 'fixed, set on the dial below' },
            { value: 'follows-tempo', label: 'follows the tempo' },
          ]}
          onChange={(mode: Feel['mode']) => change({ feel: { ...start.feel, mode } })}
        />
      </label>
      <label>
        Swung in
        <Select
          value={start.feel.unit}
          options={[
            { value: 'eighth', label: 'eighths' },
            { value: 'sixteenth', label: 'sixteenths' },
          ]}
          onChange={(unit: Feel['unit']) => change({ feel: { ...start.feel, unit } })}
        />
      </label>
      <label>
        Drums and bass
        <Select
          value={document.parts.find(({ groove }) => groove !== undefined)?.groove ?? ''}
          options={(choices?.grooves ?? [])
            .filter((groove) => groove.meter === start.meter)
            .map((groove) => ({ value: groove.slug, label: groove.name }))}
          onChange={(groove: string) => setParts((part) => (part.groove === undefined ? part : { ...part, groove }))}
        />
      </label>
      <PartPlaces parts={document.parts} onChange={(id, part) => setParts((each) => (each.id === id ? { ...each, ...part } : each))} />
      <label>
        Company
        <Select
          value={line.company}
          options={COMPANIES}
          onChange={(company: LineDocument['company']) => store.change((d) => withLine(d, line.id, (each) => ({ ...each, company })))}
        />
      </label>
      <label>
        <span className="field-row">
          Tuning <Marking on={{ what: 'guitar', field: 'tuning' }} label="tuning" />
        </span>
        <Select
          value={guitar.tuning}
          options={(choices?.tunings ?? []).map((tuning) => ({ value: tuning.slug, label: tuning.name }))}
          onChange={(tuning: string) => void remake((d) => convertTuning(d, tuning))}
        />
      </label>
      <label>
        <span className="field-row">
          Capo <Marking on={{ what: 'guitar', field: 'capo' }} label="capo" />
        </span>
        <InputNumber
          min={0}
          max={12}
          precision={0}
          value={guitar.capo}
          onChange={(capo) => void remake((d) => moveCapo(d, capo ?? 0), BELOW_THE_CAPO)}
        />
      </label>
      <SetUpForm />
    </section>
  )
}
