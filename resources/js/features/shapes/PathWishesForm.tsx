import { Checkbox, InputNumber, Select, Slider } from 'antd'
import { withLine } from '../../api/desk'
import type { LineDocument } from '../../api/types'
import { useBench } from '../bench/benchContext'
import { PlayedHere } from '../bench/PlayedHere'

type Wishes = NonNullable<LineDocument['wishes']>

/** What a line is asked for until a teacher says otherwise; the core holds the same. */
const PLAIN: Wishes = {
  window: '0-15',
  strings: '',
  keepTop: false,
  bass: 'free',
  parallel: false,
  weights: { shift: 2, fingers: 0.3, top: 0.15, rank: 1 },
}

const STRINGS = ['', '6-4', '6-3', '5-4', '5-3', '5-2', '5-1', '4-3', '4-2', '4-1', '3-1'].map((value) => ({
  value,
  label: value === '' ? 'all strings' : `strings ${value.replace('-', ' to ')}`,
}))

const WEIGHTS: { name: keyof Wishes['weights']; label: string; most: number; step: number }[] = [
  { name: 'shift', label: 'Travel of the hand', most: 8, step: 0.5 },
  { name: 'fingers', label: 'Fingers that change', most: 2, step: 0.1 },
  { name: 'top', label: 'Movement of the top voice', most: 2, step: 0.05 },
  { name: 'rank', label: 'Ease of each grip', most: 4, step: 0.25 },
]

/** What the line is asked for: where on the neck, what stays, and what counts how much. */
export function PathWishesForm() {
  const { store, desk } = useBench()
  const wishes = desk.line.wishes ?? PLAIN
  const set = (part: Partial<Wishes>, together?: string) =>
    store.change(
      (d) => withLine(d, desk.line.id, (line) => ({ ...line, wishes: { ...(line.wishes ?? PLAIN), ...part } })),
      together === undefined ? {} : { together },
    )
  const [low = 0, high = 15] = wishes.window.split('-').map(Number)

  return (
    <div className="tune-form wishes">
      <PlayedHere what="line" />
      <label>
        Frets the hand may use
        <span className="field-row">
          <InputNumber
            aria-label="Lowest fret"
            min={0}
            max={high}
            precision={0}
            value={low}
            onChange={(fret) => fret !== null && set({ window: `${fret}-${high}` })}
          />
          to
          <InputNumber
            aria-label="Highest fret"
            min={low}
            max={24}
            precision={0}
            value={high}
            onChange={(fret) => fret !== null && set({ window: `${low}-${fret}` })}
          />
        </span>
      </label>
      <label>
        Strings
        <Select
          aria-label="Strings of the line"
          value={wishes.strings}
          options={STRINGS}
          onChange={(strings: string) => set({ strings })}
        />
      </label>
      <Checkbox checked={wishes.keepTop} onChange={(event) => set({ keepTop: event.target.checked })}>
        One note stays on top
      </Checkbox>
      <Checkbox checked={wishes.bass === 'stepwise'} onChange={(event) => set({ bass: event.target.checked ? 'stepwise' : 'free' })}>
        The bass goes by steps
      </Checkbox>
      <Checkbox checked={wishes.parallel} onChange={(event) => set({ parallel: event.target.checked })}>
        Slide one grip along
      </Checkbox>
      <Checkbox checked={wishes.loop === true} onChange={(event) => set({ loop: event.target.checked })}>
        The line comes round: count the way back
      </Checkbox>
      <button type="button" className="quiet" onClick={() => set(PLAIN)}>
        Ask for nothing special
      </button>
      {WEIGHTS.map(({ name, label, most, step }) => (
        <label key={name}>
          {label}: {wishes.weights[name]}
          <Slider
            aria-label={label}
            min={0}
            max={most}
            step={step}
            tooltip={{ open: false }}
            value={wishes.weights[name]}
            onChange={(value) => set({ weights: { ...wishes.weights, [name]: value } }, `weight-${name}`)}
          />
        </label>
      ))}
    </div>
  )
}
