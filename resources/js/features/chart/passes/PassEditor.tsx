import { Button, Input, Select } from 'antd'
import type { PassDocument } from '../../../api/types'
import { useBench } from '../../bench/benchContext'
import { Marking } from '../../bench/Marking'
import { ordinal } from '../../../ui/words'
import { MovesRow } from './MovesRow'
import type { Row } from './rows'
import type { Cursor } from './usePassCursor'
import type { usePassChanges } from './usePassChanges'

const TEXTURES = [
  { texture: 'pattern', name: 'pattern', key: 'P' },
  { texture: 'written', name: 'as written', key: 'W' },
  { texture: 'free', name: 'free', key: 'F' },
  { texture: 'rings', name: 'ring', key: 'R' },
] as const

/** In place of an id: a copy, for this section of the pass. */
const OWN = ''

type Props = {
  pass: PassDocument
  number: number
  row: Row
  cursor: Cursor
  note: string
  changes: ReturnType<typeof usePassChanges>
  onDone: () => void
  /** id of the figure that is played from the first chosen bar on */
  figure: string | null
  onFigure: () => void
  /** the numbers lay moves now, as they stand in the row */
  laying: boolean
  /** hears the pass by turns with another */
  onTurns: (other: string) => void
}

/** What the chosen bars of a pass are made of, and what the pass is called; what is not said is as above. */
export function PassEditor({ pass, number, row, cursor, note, changes, onDone, figure, onFigure, laying, onTurns }: Props) {
  const { desk, timeline } = useBench()
  const { document } = desk
  const bars = row.bars.slice(cursor.from, cursor.to + 1)
  const first = bars[0]?.told
  const written = bars.map((bar) => bar.number)
  const whole = bars.length === row.bars.length
  const named = (entries: { id: string; name: string }[], kind: string) => [
    ...entries.map(({ id, name }, place) => ({ value: id, label: name === '' ? `${kind} ${place + 1}` : name })),
    { value: OWN, label: 'of its own' },
  ]
  const choose = (what: 'pattern' | 'line', id: string) => (id === OWN ? changes.own(what) : changes.set({ [what]: id }))
  const differs = timeline?.passes.find(({ id }) => id === pass.id)?.differs ?? ''
  const out = first?.pattern === null
  return (
    <section className="pass-editor" aria-label={`The ${ordinal(number)} pass`}>
      <div className="pass-place">
        <b>{pass.name === '' ? ordinal(number) : pass.name}</b>
        <span>{whole ? 'all its bars' : written.length === 1 ? `bar ${written[0]}` : `bars ${written[0]}–${written.at(-1)}`}</span>
        {!whole && (
          <button type="button" className="quiet" onClick={changes.whole}>
            all bars <kbd>A</kbd>
          </button>
        )}
      </div>
      <label>
        <span className="label">Strokes</span>
        <Select
          aria-label="Strokes of these bars"
          value={first?.pattern ?? null}
          disabled={out}
          options={named(document.patterns, 'strokes')}
          onChange={(id: string) => choose('pattern', id)}
          style={{ width: 128 }}
        />
      </label>
      <label>
        <span className="label">Grips</span>
        <Select
          aria-label="Grips of these bars"
          value={first?.line ?? null}
          disabled={out}
          options={named(document.lines, 'grips')}
          onChange={(id: string) => choose('line', id)}
          style={{ width: 128 }}
        />
      </label>
      <div>
        <span className="label">Level</span>
        <div className="choices three" role="group" aria-label="Level of these bars">
          {[1, 2, 3].map((level) => (
            <button key={level} type="button" aria-pressed={first?.level === level} onClick={() => changes.set({ level })}>
              {level}
            </button>
          ))}
        </div>
      </div>
      <div>
        <span className="label">These bars</span>
        <div className="choices five" role="group" aria-label="What these bars are">
          {TEXTURES.map(({ texture, name, key }) => (
            <button
              key={texture}
              type="button"
              aria-pressed={!out && first?.texture === texture}
              onClick={() => changes.set({ texture, role: 'active' })}
            >
              {name} <kbd>{key}</kbd>
            </button>
          ))}
          <button type="button" aria-pressed={out} onClick={() => changes.set({ role: out ? 'active' : 'out' })}>
            out <kbd>O</kbd>
          </button>
        </div>
      </div>
      <div>
        <span className="label">Louder</span>
        <div className="choices two" role="group" aria-label="Louder or softer than the song">
          <button type="button" aria-label="Softer" onClick={() => changes.louder(-1)}>
            −
          </button>
          <button type="button" aria-label="Louder" onClick={() => changes.louder(1)}>
            +
          </button>
        </div>
      </div>
      <label className="grows">
        <span className="label">Note under the bars</span>
        <Input
          key={`${pass.id}-${cursor.section}-${cursor.from}`}
          aria-label="Note under the bars"
          maxLength={120}
          defaultValue={note}
          onBlur={(event) => event.target.value !== note && changes.set({ note: event.target.value })}
          onPressEnter={(event) => event.currentTarget.blur()}
        />
      </label>
      <div className="pass-names">
        <Input
          aria-label="Name of the pass"
          placeholder={ordinal(number)}
          maxLength={40}
          value={pass.name}
          onChange={(event) => changes.rename({ name: event.target.value })}
        />
        <Input
          aria-label="Who leads"
          placeholder="who leads: voice, clarinet …"
          maxLength={40}
          value={pass.lead ?? ''}
          onChange={(event) => changes.rename({ lead: event.target.value })}
        />
        <Marking on={{ what: 'pass', field: 'lead', id: pass.id }} label="who leads" />
        <Input
          aria-label="Notes of the pass"
          placeholder="what to mind in this pass"
          maxLength={400}
          value={pass.notes}
          onChange={(event) => changes.rename({ notes: event.target.value })}
        />
        <Marking on={{ what: 'pass', field: 'notes', id: pass.id }} label="the notes of the pass" />
      </div>
      <div className="figure-row" role="group" aria-label="Figures">
        <span className="label">Figures</span>
        {document.figures?.map(({ id, name }, place) => (
          <Button
            key={id}
            size="small"
            type={figure === id ? 'primary' : 'default'}
            aria-pressed={figure === id}
            onClick={() => changes.playFigure(figure === id ? null : id)}
          >
            {name === '' ? `figure ${place + 1}` : name}
          </Button>
        ))}
        <Button size="small" onClick={onFigure}>
          {figure === null ? 'Write one here' : 'Change it'} <kbd>I</kbd>
        </Button>
        {figure !== null && bars.length > 1 && (
          <Button size="small" onClick={() => changes.answer(figure)}>
            Answer it over these bars <kbd>E</kbd>
          </Button>
        )}
      </div>
      <MovesRow laying={laying} changes={changes} />
      <p className="pass-differs" role="status">
        {differs}
      </p>
      <div className="button-row">
        {document.passes.length > 1 && (
          <Select
            size="small"
            aria-label="Hear by turns with"
            placeholder="hear by turns with …"
            value={null}
            options={document.passes.flatMap(({ id, name }, place) =>
              id === pass.id ? [] : [{ value: id, label: `the ${name === '' ? ordinal(place + 1) : name}` }],
            )}
            onChange={(other: string | null) => other !== null && onTurns(other)}
            style={{ width: 170 }}
          />
        )}
        <Button size="small" onClick={changes.copy}>
          Copy this pass <kbd>C</kbd>
        </Button>
        <Button size="small" disabled={number === 1} onClick={() => changes.move(number - 2)}>
          Earlier
        </Button>
        <Button size="small" disabled={number === document.passes.length} onClick={() => changes.move(number)}>
          Later
        </Button>
        <Button size="small" disabled={document.passes.length === 1} onClick={changes.takeOut}>
          Take it out
        </Button>
        <Button size="small" type="primary" onClick={onDone}>
          Done <kbd className="on-ink">Esc</kbd>
        </Button>
      </div>
    </section>
  )
}
