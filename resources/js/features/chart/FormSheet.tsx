import { Button, Segmented, Select } from 'antd'
import { useState } from 'react'
import { ApiError } from '../../api/client'
import { useStarts } from '../../api/queries'
import { addSection, fitFigure, fitTurnaround, useForms } from '../../api/song'
import type { BreakdownDocument } from '../../api/types'
import { useKeys } from '../../ui/keys'
import { ordinal } from '../../ui/words'
import { useBench, useDocument } from '../bench/benchContext'
import { useRemake } from '../bench/useRemake'

/** The way through the song, and what is written into it whole: forms, turnarounds, intros. */
export function FormSheet({ onClose }: { onClose: () => void }) {
  const document = useDocument()
  const remake = useRemake()
  const [section, setSection] = useState(document.sections.at(-1)?.id ?? '')
  const [home, setHome] = useState(false)
  const offers = useForms(document, section)
  const forms = useStarts(document.start.key).data?.forms ?? []
  useKeys({ Escape: onClose })
  const take = (ask: (d: BreakdownDocument) => Promise<{ document: BreakdownDocument }>) => void remake(ask)
  return (
    <section className="form-sheet" aria-label="Form">
      <div className="form-way">
        <h3>The way through</h3>
        <FormWay />
        <div className="button-row">
          {forms.map((form) => (
            <Button
              key={form.slug}
              size="small"
              title={form.sections.map(({ line }) => line).join('\n')}
              onClick={() =>
                void (async () => {
                  for (const { line } of form.sections) await remake((d) => addSection(d, line))
                })()
              }
            >
              + {form.name}
            </Button>
          ))}
          <Button size="small" onClick={() => take((d) => addSection(d))}>
            + empty section
          </Button>
        </div>
      </div>
      <div className="form-turnarounds">
        <h3>
          Turnaround into the last bars of{' '}
          <Select
            size="small"
            aria-label="Section of the turnaround"
            value={section}
            options={document.sections.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={setSection}
          />{' '}
          <Segmented
            size="small"
            aria-label="Where it ends"
            options={[
              { value: false, label: 'back to the top (V)' },
              { value: true, label: 'home (I)' },
            ]}
            value={home}
            onChange={setHome}
          />
        </h3>
        {offers.error instanceof ApiError && (
          <p role="alert" className="finding finding-off">
            {offers.error.message}
          </p>
        )}
        <ul>
          {offers.data?.turnarounds.map((each) => {
            const coloured = home ? each.coloured_home : each.coloured_back
            return (
              <li key={each.slug}>
                <b>{each.name}</b> <small className="muted">{each.why}</small>
                <Button size="small" onClick={() => take((d) => fitTurnaround(d, { section, slug: each.slug, home, coloured: false }))}>
                  {home ? each.home : each.back}
                </Button>
                {coloured !== null && (
                  <Button
                    size="small"
                    title="one note stays on top"
                    onClick={() => take((d) => fitTurnaround(d, { section, slug: each.slug, home, coloured: true }))}
                  >
                    {coloured}
                  </Button>
                )}
              </li>
            )
          })}
          {offers.data?.figures.map((each) => (
            <li key={each.slug}>
              <b>{each.name}</b> <small className="muted">{each.why}</small>
              <Button size="small" onClick={() => take((d) => fitFigure(d, section, each.slug, null))}>
                play it in the last {each.bars === 1 ? 'bar' : `${each.bars} bars`}
              </Button>
            </li>
          ))}
        </ul>
      </div>
      <div className="form-ladders">
        <h3>Intro: one shape slides down to the first chord</h3>
        <ul>
          {offers.data?.ladders.map(({ name, line, rungs }) => (
            <li key={name}>
              <b>{name}</b>
              <span className="ladder-rungs">
                {rungs.map(({ symbol, other }, place) => (
                  <span key={place} className={other ? 'rung other' : 'rung'}>
                    {symbol}
                  </span>
                ))}
              </span>
              <Button size="small" onClick={() => take((d) => addSection(d, line, 'Intro', true))}>
                As the intro
              </Button>
            </li>
          ))}
        </ul>
      </div>
      <div className="button-row form-done">
        <Button type="primary" onClick={onClose}>
          Done <kbd className="on-ink">Esc</kbd>
        </Button>
      </div>
    </section>
  )
}

type Form = BreakdownDocument['form']

/** Section after section as they are played: how often, and in which passes. */
function FormWay() {
  const { store } = useBench()
  const { form, sections, passes } = useDocument()
  const set = (next: Form[number][]) => next.length > 0 && store.change((d) => ({ ...d, form: next as Form }))
  const change = (at: number, part: Partial<Form[number]>) =>
    set(form.map((entry, place) => (place === at ? { ...entry, ...part } : entry)))
  const named = (id: string) => sections.find((section) => section.id === id)?.name ?? id
  return (
    <ol className="form-entries">
      {form.map((entry, at) => (
        <li key={`${entry.section}-${at}`}>
          <b>{named(entry.section)}</b>
          <Select
            size="small"
            aria-label={`How often ${named(entry.section)} comes in a row`}
            value={entry.times}
            options={[1, 2, 3, 4, 6, 8].map((times) => ({ value: times, label: times === 1 ? 'once' : `${times} times` }))}
            onChange={(times: number) => change(at, { times })}
          />
          {passes.length > 1 && (
            <Select
              size="small"
              mode="multiple"
              maxTagCount="responsive"
              aria-label={`In which passes ${named(entry.section)} comes`}
              placeholder="every pass"
              value={entry.passes ?? []}
              options={passes.map(({ id, name }, place) => ({ value: id, label: name === '' ? ordinal(place + 1) : name }))}
              onChange={(chosen: string[]) => {
                const rest = { section: entry.section, times: entry.times }
                set(form.map((each, place) => (place !== at ? each : chosen.length === 0 ? rest : { ...rest, passes: chosen })))
              }}
            />
          )}
          <Button
            size="small"
            aria-label={`${named(entry.section)} earlier`}
            disabled={at === 0}
            onClick={() => set(swapped(form, at - 1))}
          >
            ↑
          </Button>
          <Button
            size="small"
            aria-label={`Take ${named(entry.section)} out of the way through`}
            disabled={form.length === 1}
            onClick={() => set(form.filter((_, place) => place !== at))}
          >
            ×
          </Button>
        </li>
      ))}
      <li>
        <Select
          size="small"
          aria-label="Play one more section"
          placeholder="then …"
          value={null}
          options={sections.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(id: string | null) => id !== null && set([...form, { section: id, times: 1 }])}
        />
      </li>
    </ol>
  )
}

const swapped = (form: Form, at: number): Form[number][] => {
  const next = [...form]
  const [one, other] = [form[at], form[at + 1]]
  if (one !== undefined && other !== undefined) next.splice(at, 2, other, one)
  return next
}
