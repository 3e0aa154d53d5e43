import { useLayoutEffect, useRef, useState } from 'react'
import { createPortal } from 'react-dom'
import { useChart, useChoices } from '../../api/queries'
import { useKeys } from '../../ui/keys'
import { useBench } from '../bench/benchContext'
import { LeadFigures } from './LeadFigures'
import { LeadSection } from './LeadSection'

/** An A4 page at 96 dots an inch, without its margins. */
const PAGE_HEIGHT = 1032
const SMALLEST = 0.62

/** The song on one page to print: chords with their nicknames, what each pass does, and the figures in tab. */
export function LeadSheet({ onClose }: { onClose: () => void }) {
  const { desk, timeline } = useBench()
  const { document } = desk
  const chart = useChart(document).data
  const { tunings } = useChoices().data ?? {}
  const tuning = tunings?.find(({ slug }) => slug === document.guitar.tuning)?.name ?? document.guitar.tuning
  const page = useRef<HTMLElement>(null)
  const close = useRef<HTMLButtonElement>(null)
  const [zoom, setZoom] = useState(1)
  useKeys({ Escape: onClose, p: () => window.print() })
  useLayoutEffect(() => close.current?.focus(), [])
  useLayoutEffect(() => {
    const paper = page.current
    if (paper === null) return
    const observer = new ResizeObserver(() => {
      const height = paper.scrollHeight / zoom
      const fitting = Math.max(SMALLEST, Math.min(1, PAGE_HEIGHT / height))
      if (Math.abs(fitting - zoom) > 0.01) setZoom(fitting)
    })
    observer.observe(paper)
    return () => observer.disconnect()
  }, [zoom])
  const { start, guitar, passes } = document
  return createPortal(
    <div className="lead-room" role="dialog" aria-modal="true" aria-label="Lead sheet">
      <header className="lead-tools">
        <button type="button" onClick={() => window.print()}>
          Print it, or keep it as PDF <kbd>P</kbd>
        </button>
        <span>{zoom <= SMALLEST ? 'It is long: it prints on more than one page.' : 'One page of A4.'}</span>
        <button ref={close} type="button" onClick={onClose}>
          Leave <kbd>Esc</kbd>
        </button>
      </header>
      <article ref={page} className="lead-page" style={{ zoom }}>
        <h1>{document.title}</h1>
        <dl className="lead-facts">
          {[
            ['Key', start.key],
            ['Meter', start.meter],
            ['Tempo', `${start.tempo}`],
            ['Feel', timeline?.feel_words ?? ''],
            ['Tuning', tuning],
            ['Capo', guitar.capo === 0 ? 'none' : `fret ${guitar.capo}`],
          ].map(([name, value]) => (
            <div key={name}>
              <dt>{name}</dt>
              <dd>{value}</dd>
            </div>
          ))}
        </dl>
        {chart !== undefined &&
          timeline !== undefined &&
          chart.sections.map((section) => <LeadSection key={section.id} section={section} timeline={timeline} />)}
        <LeadFigures />
        {passes.some(({ notes }) => notes !== '') && (
          <section>
            <h2>Passes</h2>
            {passes.map(({ id, notes }, place) => notes !== '' && <p key={id}>{`${place + 1}. ${notes}`}</p>)}
          </section>
        )}
        {document.notes !== '' && (
          <section>
            <h2>Notes</h2>
            <p className="lead-notes">{document.notes}</p>
          </section>
        )}
      </article>
    </div>,
    window.document.body,
  )
}
