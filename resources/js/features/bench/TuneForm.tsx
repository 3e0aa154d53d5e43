import { Button, Checkbox, InputNumber, Select } from 'antd'
import { convertTuning, moveCapo, moveToKey, reshape, useChoices } from '../../api/queries'
import type { BreakdownDocument } from '../../api/types'
import { isKeyTyped, KEYS, METERS } from '../../ui/choices'
import { useTapTempo } from '../../ui/useTapTempo'
import { useBench, useDocument } from './benchContext'
import { BELOW_THE_CAPO, OPEN_STRINGS_STAY, useRemake } from './useRemake'

const COMPANIES = [
  { value: 'alone', label: 'alone: root in the bass' },
  { value: 'with-bass', label: 'with a bass player: root may go' },
  { value: 'shell', label: 'beside keys: guide tones only' },
]

type Parts = BreakdownDocument['band']['parts']
type Part = NonNullable<Parts[0]>
const PARTS: Part['name'][] = ['drums', 'bass', 'guitar']

/** Where each part sits against the beat, and whether it leaves the swing to the others. */
function PartPlaces({ parts, onChange }: { parts: Parts; onChange: (parts: Parts) => void }) {
  const own = (name: Part['name']): Part => parts.find((part) => part?.name === name) ?? { name, level: 0.8, offsetMs: 0, straight: false }
  const set = (name: Part['name'], part: Partial<Part>) => onChange(PARTS.map((each) => (each === name ? { ...own(each), ...part } : own(each))) as Parts)
  return (
    <fieldset className="part-places">
      <legend>Where each sits, ms late</legend>
      {PARTS.map((name) => (
        <div key={name} className="part">
          {name}
          <InputNumber aria-label={`${name}, ms late`} min={-100} max={100} precision={0} step={5} value={own(name).offsetMs} onChange={(offsetMs) => offsetMs !== null && set(name, { offsetMs })} />
          <Checkbox checked={own(name).straight} onChange={(event) => set(name, { straight: event.target.checked })}>
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
  const { store, setTempo } = useBench()
  const document = useDocument()
  const choices = useChoices().data
  const remake = useRemake()
  const change = (part: Partial<BreakdownDocument>, together?: string) => store.change((d) => ({ ...d, ...part }), together === undefined ? {} : { together })
  const write = (tempo: number | null) => {
    if (tempo === null || tempo < 20 || tempo > 400) return
    change({ tempo }, 'tempo')
    setTempo(tempo)
  }
  const tap = useTapTempo(write)
  return (
    <section className="tune-form" aria-label="Key, tempo, band">
      <label>
        Key
        <Select showSearch={{ filterOption: (typed, option) => isKeyTyped(typed, option?.value) }} value={document.key} options={KEYS.map((value) => ({ value }))} onChange={(key: string) => void remake((d) => moveToKey(d, key), OPEN_STRINGS_STAY)} />
      </label>
      <label>
        Written tempo
        <span className="field-row">
          <InputNumber min={20} max={400} value={document.tempo} onChange={write} />
          <Button onClick={tap}>Tap</Button>
        </span>
      </label>
      <label>
        Meter
        <Select value={document.meter} options={METERS.map((value) => ({ value }))} onChange={(meter: string) => void remake((d) => reshape(d, { meter }))} />
      </label>
      <label>
        Feel
        <Select
          value={document.feel.mode}
          options={[
            { value: 'fixed', label: 'fixed, set on the dial below' },
            { value: 'follows-tempo', label: 'follows the tempo' },
          ]}
          onChange={(mode: BreakdownDocument['feel']['mode']) => change({ feel: { ...document.feel, mode } })}
        />
      </label>
      <label>
        Swung in
        <Select
          value={document.feel.unit}
          options={[
            { value: 'eighth', label: 'eighths' },
            { value: 'sixteenth', label: 'sixteenths' },
          ]}
          onChange={(unit: BreakdownDocument['feel']['unit']) => change({ feel: { ...document.feel, unit } })}
        />
      </label>
      <label>
        Drums and bass
        <Select
          value={document.band.groove}
          options={(choices?.grooves ?? []).filter((groove) => groove.meter === document.meter).map((groove) => ({ value: groove.slug, label: groove.name }))}
          onChange={(groove: string) => change({ band: { ...document.band, groove } })}
        />
      </label>
      <PartPlaces parts={document.band.parts} onChange={(parts) => change({ band: { ...document.band, parts } }, 'parts')} />
      <label>
        Company
        <Select value={document.company} options={COMPANIES} onChange={(company: BreakdownDocument['company']) => change({ company })} />
      </label>
      <label>
        Tuning
        <Select value={document.tuning} options={(choices?.tunings ?? []).map((tuning) => ({ value: tuning.slug, label: tuning.name }))} onChange={(tuning: string) => void remake((d) => convertTuning(d, tuning))} />
      </label>
      <label>
        Capo
        <InputNumber min={0} max={12} precision={0} value={document.capo} onChange={(capo) => void remake((d) => moveCapo(d, capo ?? 0), BELOW_THE_CAPO)} />
      </label>
    </section>
  )
}
