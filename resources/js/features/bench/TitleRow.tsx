import { Button, Input, Popover, Segmented } from 'antd'
import { useState } from 'react'
import { useStore } from 'zustand'
import { useKeys } from '../../ui/keys'
import { Later } from '../../ui/Later'
import { useBench, useDocument, useMine } from './benchContext'
import { PlaceChooser } from './PlaceChooser'
import { TuneForm } from './TuneForm'

/** The tune's name and its settings in one line; both are edited in place. */
export function TitleRow() {
  const { store, timeline } = useBench()
  const document = useDocument()
  const mine = useMine()
  const past = useStore(store, (state) => state.past.length)
  const future = useStore(store, (state) => state.future.length)
  const [open, setOpen] = useState(false)
  useKeys({ y: () => setOpen(true) })
  return (
    <section className="title-row" aria-label="Breakdown">
      {mine && <h1 className="unseen">{document.title}</h1>}
      {mine ? (
        <TitleField key={document.title} title={document.title} onChange={(title) => store.change((d) => ({ ...d, title }))} />
      ) : (
        <h1>{document.title}</h1>
      )}
      <p className="summary">
        {document.start.key} · {document.start.meter} · {timeline?.feel_words ?? ''} · written at {document.start.tempo}
      </p>
      <PlaceChooser />
      <ArrangementChoice />
      {mine && (
        <div className="title-actions">
          <Later>
            <Button onClick={() => store.undo()} disabled={past === 0}>
              Undo
            </Button>
            <Button onClick={() => store.redo()} disabled={future === 0}>
              Redo
            </Button>
            <Popover
              open={open}
              onOpenChange={setOpen}
              trigger="click"
              placement="bottomRight"
              content={<TuneForm />}
              destroyOnHidden
              afterOpenChange={(shown) => shown && window.document.querySelector<HTMLElement>('.tune-form input')?.focus()}
            >
              <Button type={open ? 'primary' : 'default'}>
                Key, tempo, band … <kbd className={open ? 'on-ink' : ''}>Y</kbd>
              </Button>
            </Popover>
          </Later>
        </div>
      )}
    </section>
  )
}

/** With the band or alone, where the part is arranged twice; it changes while it plays. */
function ArrangementChoice() {
  const { arrangement, setArrangement } = useBench()
  const { patterns, lines } = useDocument()
  const twice = [...patterns, ...lines].some(({ aloneOf }) => aloneOf !== undefined)
  useKeys({ "'": () => setArrangement(arrangement === 'alone' ? 'with-band' : 'alone') }, twice)
  return twice ? (
    <Segmented
      size="small"
      aria-label="Arrangement"
      options={[
        { value: 'with-band', label: 'with the band' },
        { value: 'alone', label: 'alone' },
      ]}
      value={arrangement}
      onChange={(value) => setArrangement(value as typeof arrangement)}
    />
  ) : null
}

function TitleField({ title, onChange }: { title: string; onChange: (title: string) => void }) {
  const [typed, setTyped] = useState(title)
  const take = () => {
    const clean = typed.trim().slice(0, 120)
    if (clean === '') setTyped(title)
    else if (clean !== title) onChange(clean)
  }
  return (
    <Input
      aria-label="Title"
      className="title-field"
      variant="borderless"
      value={typed}
      maxLength={120}
      style={{ width: `${Math.max(6, Math.min(34, typed.length + 2)) * 0.56 + 0.6}em` }}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={take}
      onPressEnter={(event) => event.currentTarget.blur()}
      onKeyDown={(event) => {
        if (event.key === 'Escape') setTyped(title)
      }}
    />
  )
}
