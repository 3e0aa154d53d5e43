import { Button } from 'antd'
import { useState } from 'react'
import { usePatterns } from '../../api/queries'
import type { LibraryPattern } from '../../api/types'
import { useKeys } from '../../ui/keys'
import { useBench, useDocument } from '../bench/benchContext'

const HARD = ['', 'easy', 'middling', 'hard']

/** Patterns to start from in this meter; one key takes one over, undo brings the old one back. */
export function PatternLibrary({ onClose }: { onClose: () => void }) {
  const { store, tempo } = useBench()
  const { meter } = useDocument()
  const patterns = usePatterns(true)
  const [chosen, setChosen] = useState(0)
  const fitting = (patterns.data ?? []).filter((entry) => entry.meter === meter)
  const entry = fitting[Math.min(chosen, fitting.length - 1)]
  const take = (taken: LibraryPattern | undefined) => {
    if (taken === undefined) return
    store.change((d) => ({ ...d, pattern: taken.pattern, school: taken.school, feel: taken.feel }))
    onClose()
  }
  useKeys({
    ArrowDown: () => setChosen((at) => Math.min(fitting.length - 1, at + 1)),
    ArrowUp: () => setChosen((at) => Math.max(0, at - 1)),
    Enter: () => take(entry),
    Escape: onClose,
  })
  if (patterns.data === undefined) return <p className="loading">Opening the drawer …</p>
  return (
    <section className="pattern-library" aria-label="Patterns to start from">
      <ul role="listbox" aria-label="Patterns">
        {fitting.map((each, index) => (
          <li key={each.slug} role="option" aria-selected={index === chosen} className={index === chosen ? 'chosen' : ''} onClick={() => setChosen(index)} onDoubleClick={() => take(each)}>
            <b>{each.name}</b>
            <small className={tempo < (each.tempo[0] ?? 0) || tempo > (each.tempo[1] ?? 999) ? 'muted' : 'held'}>
              {each.tempo[0]}–{each.tempo[1]}
            </small>
          </li>
        ))}
      </ul>
      {entry === undefined ? (
        <p className="muted">No pattern of the library is in {meter}. Count one below.</p>
      ) : (
        <div className="pattern-card">
          <h2>{entry.name}</h2>
          <p className="counted">{entry.counted}</p>
          <p>{entry.when}</p>
          <p className="finding finding-swing">{entry.caution}</p>
          <p className="muted">
            {HARD[entry.difficulty]} · {entry.feel_words} · {entry.school_words} · at home from {entry.tempo[0]} to {entry.tempo[1]} bpm
          </p>
          <span className="button-row">
            <Button type="primary" onClick={() => take(entry)}>
              Take it <kbd className="on-ink">Enter</kbd>
            </Button>
            <Button onClick={onClose}>
              Leave it <kbd>Esc</kbd>
            </Button>
          </span>
        </div>
      )}
    </section>
  )
}
