import { Button, Checkbox, Input } from 'antd'
import { setCell } from '../../../api/song'
import type { BreakdownDocument } from '../../../api/types'
import { useBench } from '../../bench/benchContext'
import { useRemake } from '../../bench/useRemake'

type Section = BreakdownDocument['sections'][number]
type Dynamic = NonNullable<Section['dynamics']>[number]
const LEVELS = ['hush', 'soft', 'firm', 'full']

type Props = { section: Section; bar: number; number: number; onDone: () => void }

/** What a bar has in every pass: the words that are sung there, how loud the song is from there on, whether it only rings. */
export function SongBarEditor({ section, bar, number, onDone }: Props) {
  const { store } = useBench()
  const remake = useRemake()
  const set = (part: Partial<Section>) =>
    store.change((d) => ({
      ...d,
      sections: d.sections.map((each) => (each.id === section.id ? { ...each, ...part } : each)) as BreakdownDocument['sections'],
    }))
  const dynamics = [...(section.dynamics ?? [])] as Dynamic[]
  const mark = dynamics.find((each) => each.bar === bar)
  const others = dynamics.filter((each) => each.bar !== bar)
  const setMark = (next: Dynamic | null) =>
    set({ dynamics: (next === null ? others : [...others, next].sort((a, b) => a.bar - b.bar)) as NonNullable<Section['dynamics']> })
  const words = section.words?.find((each) => each.bar === bar)?.text ?? ''
  const setWords = (text: string) => {
    const rest = (section.words ?? []).filter((each) => each.bar !== bar)
    set({ words: (text.trim() === '' ? rest : [...rest, { bar, text: text.trim() }]) as NonNullable<Section['words']> })
  }
  const rings = store
    .getState()
    .document.cells.some(
      (cell) => cell.section === section.id && cell.texture === 'rings' && ([...(cell.bars ?? [])] as number[]).includes(bar),
    )
  return (
    <section className="pass-editor" aria-label={`Bar ${number} in every pass`}>
      <div className="pass-place">
        <b>Bar {number}</b>
        <span>in every pass</span>
      </div>
      <label className="grows">
        <span className="label">Words sung from here</span>
        <Input
          key={`${section.id}-${bar}`}
          aria-label="Words sung from here"
          maxLength={120}
          defaultValue={words}
          onBlur={(event) => event.target.value.trim() !== words && setWords(event.target.value)}
          onPressEnter={(event) => event.currentTarget.blur()}
        />
      </label>
      <div>
        <span className="label">Loud from here</span>
        <div className="choices" role="group" aria-label="How loud from here">
          <button type="button" aria-pressed={mark === undefined} onClick={() => setMark(null)}>
            as before
          </button>
          {LEVELS.map((name, place) => (
            <button
              key={name}
              type="button"
              aria-pressed={mark?.level === place + 1}
              onClick={() => setMark({ ...mark, bar, level: place + 1 })}
            >
              {name}
            </button>
          ))}
        </div>
      </div>
      <Checkbox
        disabled={mark === undefined}
        checked={mark?.grows === true}
        onChange={(event) => mark !== undefined && setMark({ bar, level: mark.level, ...(event.target.checked ? { grows: true } : {}) })}
      >
        grow or fade towards it
      </Checkbox>
      <Checkbox
        checked={rings}
        onChange={(event) =>
          void remake((d) =>
            setCell(d, {
              pass: null,
              section: section.id,
              bars: [bar],
              ...(event.target.checked ? { texture: 'rings' } : { as_above: ['texture'] }),
            }),
          )
        }
      >
        only ring here
      </Checkbox>
      <Button size="small" type="primary" onClick={onDone}>
        Done <kbd className="on-ink">Esc</kbd>
      </Button>
    </section>
  )
}
