import { InputNumber, Select, Slider } from 'antd'
import { useChoices } from '../../api/queries'
import type { StrokeDocument } from '../../api/types'
import { useDocument } from '../bench/benchContext'

type Props = { stroke: StrokeDocument; mine: boolean; onPart: (part: Partial<StrokeDocument>) => void }
type Length = NonNullable<StrokeDocument['length']>
type End = NonNullable<NonNullable<StrokeDocument['ends']>[0]>
type StoppedBy = NonNullable<StrokeDocument['stoppedBy']>

const ACTIONS = ['strum', 'pick', 'pinch', 'brush', 'rake', 'slap', 'tap-damp'].map((value) => ({
  value,
  label: value.replace('-', ' and '),
}))
const PLAYED_BY = [
  { value: 'pick', label: 'the pick' },
  { value: 'thumb', label: 'the thumb' },
  { value: 'fingers', label: 'the fingers' },
  { value: 'i', label: 'index finger' },
  { value: 'm', label: 'middle finger' },
  { value: 'a', label: 'ring finger' },
  { value: 'pick+finger', label: 'pick and finger' },
]
const UNTIL = [
  { value: 'usual', label: 'its usual end' },
  { value: 'next', label: 'the next stroke' },
  { value: 'change', label: 'the chord changes' },
  { value: 'share', label: 'a share of its slot' },
]
const STOPPED_BY = [
  { value: '', label: 'it dies away' },
  { value: 'fretting-hand', label: 'the fretting hand lets go' },
  { value: 'pick-hand', label: 'the pick hand’s palm' },
]
const EARLY_SHARE = 0.3

const untilOf = (length: Length | null | undefined): string =>
  length == null ? 'usual' : 'share' in length ? 'share' : typeof length.until === 'number' ? 'ticks' : (length.until ?? 'usual')
const shareOf = (length: Length | null | undefined): number | null => (length != null && 'share' in length ? (length.share ?? null) : null)

/** What a stroke can have beyond its keys: single strings, what plays it, how it ends, and where it sits. */
export function StrokeMore({ stroke, mine, onPart }: Props) {
  const { tuning } = useDocument().guitar
  const count = useChoices().data?.tunings.find(({ slug }) => slug === tuning)?.strings.length ?? 6
  const strings = Array.from({ length: count }, (_, index) => count - index)
  const early = stroke.ends?.[0]
  const length = stroke.length
  const setLength = (until: string) =>
    onPart({ length: until === 'usual' ? null : until === 'share' ? { share: 0.5 } : ({ until } as Length) })
  const setEarly = (chosen: number[], part: Partial<End> = {}) =>
    onPart({
      ends:
        chosen.length === 0
          ? []
          : [{ length: { share: EARLY_SHARE }, stoppedBy: 'pick-hand', ...early, ...part, strings: chosen as End['strings'] }],
    })
  return (
    <div className="stroke-fields">
      <span className="label">Single strings, in place of a zone</span>
      <StringRow
        name="Single strings"
        strings={strings}
        chosen={stroke.strings ?? []}
        disabled={!mine}
        onChange={(chosen) =>
          onPart(
            chosen.length === 0 ? { strings: undefined, zone: 'all' } : { strings: chosen as StrokeDocument['strings'], zone: undefined },
          )
        }
      />
      <span className="label">Played by</span>
      <div className="field-row two">
        <Select
          aria-label="Played by"
          disabled={!mine}
          value={stroke.by ?? 'pick'}
          options={PLAYED_BY}
          onChange={(by: StrokeDocument['by']) => onPart({ by })}
        />
        <Select
          aria-label="Action"
          disabled={!mine}
          value={stroke.action ?? 'strum'}
          options={ACTIONS}
          onChange={(action: StrokeDocument['action']) => onPart({ action })}
        />
      </div>
      <span className="label">Sounds until</span>
      <div className="field-row two">
        <Select
          aria-label="Sounds until"
          disabled={!mine}
          value={untilOf(length)}
          options={untilOf(length) === 'ticks' ? [...UNTIL, { value: 'ticks', label: 'a moment of its own' }] : UNTIL}
          onChange={setLength}
        />
        <Select
          aria-label="Stopped by"
          disabled={!mine}
          value={stroke.stoppedBy ?? ''}
          options={STOPPED_BY}
          onChange={(by: string) => onPart({ stoppedBy: by === '' ? null : (by as StoppedBy) })}
        />
      </div>
      {untilOf(length) === 'share' && (
        <Share name="Length" value={shareOf(length) ?? 0.5} disabled={!mine} onChange={(share) => onPart({ length: { share } })} />
      )}
      <span className="label">Strings that end before the others</span>
      <StringRow name="Strings that end early" strings={strings} chosen={early?.strings ?? []} disabled={!mine} onChange={setEarly} />
      {early !== undefined && (
        <>
          <Share
            name="Early end"
            value={shareOf(early.length) ?? EARLY_SHARE}
            disabled={!mine}
            onChange={(share) => setEarly(early.strings, { length: { share } })}
          />
          <Select
            aria-label="Early end by"
            disabled={!mine}
            value={early.stoppedBy ?? ''}
            options={STOPPED_BY}
            onChange={(by: string) => setEarly(early.strings, { stoppedBy: by === '' ? null : (by as StoppedBy) })}
          />
        </>
      )}
      <span className="label">Sits against the grid, ms</span>
      <InputNumber
        aria-label="Placement"
        disabled={!mine}
        min={-250}
        max={250}
        precision={0}
        value={stroke.offsetMs ?? 0}
        formatter={(value) => (Number(value) > 0 ? `${value} late` : Number(value) < 0 ? `${Math.abs(Number(value))} early` : '0')}
        parser={(text) => placementOf(text)}
        onChange={(offsetMs) => offsetMs !== null && onPart({ offsetMs })}
      />
    </div>
  )
}

/** "12 late", "8 early", "-8": ms, + late. */
function placementOf(text: string | undefined): number {
  const size = Number.parseInt((text ?? '').replace(/[^\d-]/g, ''), 10)
  return Number.isNaN(size) ? 0 : /early/.test(text ?? '') ? -Math.abs(size) : size
}

function StringRow({
  name,
  strings,
  chosen,
  disabled,
  onChange,
}: {
  name: string
  strings: number[]
  chosen: number[]
  disabled: boolean
  onChange: (chosen: number[]) => void
}) {
  return (
    <div className="string-row" role="group" aria-label={name}>
      {strings.map((string) => (
        <button
          key={string}
          type="button"
          disabled={disabled}
          aria-pressed={chosen.includes(string)}
          aria-label={`String ${string}`}
          onClick={() =>
            onChange(chosen.includes(string) ? chosen.filter((each) => each !== string) : [...chosen, string].sort((a, b) => b - a))
          }
        >
          {string}
        </button>
      ))}
    </div>
  )
}

function Share({ name, value, disabled, onChange }: { name: string; value: number; disabled: boolean; onChange: (share: number) => void }) {
  return (
    <span className="share">
      <Slider
        aria-label={name}
        disabled={disabled}
        min={0.05}
        max={1}
        step={0.05}
        tooltip={{ open: false }}
        value={value}
        onChange={onChange}
      />
      {Math.round(100 * value)} %
    </span>
  )
}
