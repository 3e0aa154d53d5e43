import { Button } from 'antd'
import { useEffect, useRef, useState } from 'react'
import { useHand, usePatterns, useTimeline } from '../../api/queries'
import { withPattern, withStart, type Desk } from '../../api/desk'
import type { BreakdownDocument, Feel, LibraryPattern } from '../../api/types'
import { band, output } from '../../audio/band'
import { HandWave } from '../../ui/HandWave'
import { useKeys } from '../../ui/keys'
import { useBench } from '../bench/benchContext'

const HARD = ['', 'easy', 'middling', 'hard']

/** The pattern of a place in the library's stead, and the song in its feel. */
const taking = (desk: Desk, entry: LibraryPattern, document = desk.document): BreakdownDocument =>
  withStart(
    withPattern(document, desk.pattern.id, (pattern) => ({ ...pattern, ...entry.pattern, school: entry.school })),
    { feel: entry.feel },
  )

const tried = (desk: Desk, entry: LibraryPattern): Desk => {
  const document = taking(desk, entry)
  return { ...desk, document, pattern: document.patterns.find(({ id }) => id === desk.pattern.id) ?? desk.pattern }
}

/** Patterns to start from in this meter, those in the tune's feel first; one key takes one over, undo brings the old one back. */
export function PatternLibrary({ onClose }: { onClose: () => void }) {
  const { store, desk, tempo } = useBench()
  const patterns = usePatterns(true)
  const [chosen, setChosen] = useState(0)
  const groups = byFeel(
    (patterns.data ?? []).filter((entry) => entry.meter === desk.pattern.meter),
    desk.document.start.feel,
  )
  const fitting = groups.flatMap(([, entries]) => entries)
  const entry = fitting[Math.min(chosen, fitting.length - 1)]
  const row = useRef<HTMLLIElement>(null)
  const hearing = useHearing(desk, entry)
  useEffect(() => {
    row.current?.scrollIntoView({ block: 'nearest' })
  }, [chosen])
  const take = (taken: LibraryPattern | undefined) => {
    if (taken === undefined) return
    store.change((d) => taking(desk, taken, d))
    onClose()
  }
  useKeys({
    ArrowDown: () => setChosen((at) => Math.min(fitting.length - 1, at + 1)),
    ArrowUp: () => setChosen((at) => Math.max(0, at - 1)),
    Enter: () => take(entry),
    h: hearing.toggle,
    Escape: onClose,
  })
  if (patterns.data === undefined) return <p className="loading">Opening the drawer …</p>
  return (
    <section className="pattern-library" aria-label="Patterns to start from">
      <div className="pattern-list" role="region" aria-label="Patterns" tabIndex={0}>
        {groups.map(([feel, entries]) => (
          <section key={feel}>
            <h3>{feel}</h3>
            <ul>
              {entries.map((each) => {
                const here = each === entry
                return (
                  <li key={each.slug} ref={here ? row : null}>
                    <button
                      type="button"
                      aria-pressed={here}
                      className={here ? 'chosen' : ''}
                      onClick={() => setChosen(fitting.indexOf(each))}
                      onDoubleClick={() => take(each)}
                    >
                      <b>{each.name}</b>
                      <small className={tempo < (each.tempo[0] ?? 0) || tempo > (each.tempo[1] ?? 999) ? 'muted' : 'held'}>
                        {each.tempo[0]}–{each.tempo[1]}
                      </small>
                    </button>
                  </li>
                )
              })}
            </ul>
          </section>
        ))}
      </div>
      {entry === undefined ? (
        <p className="muted">No pattern of the library is in {desk.pattern.meter}. Count one below.</p>
      ) : (
        <div className="pattern-card">
          <h2>{entry.name}</h2>
          <Picture desk={tried(desk, entry)} />
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
            <Button onClick={hearing.toggle} disabled={!hearing.ready}>
              {hearing.on ? 'Stop' : 'Hear it on this tune'} <kbd>H</kbd>
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

/** The first bar of the pattern as the hand plays it. */
function Picture({ desk }: { desk: Desk }) {
  const { tempo } = useBench()
  const hand = useHand(desk, tempo, null, 3).data
  return (
    <div className="pattern-picture">
      {hand !== undefined && (
        <HandWave sketch={hand.sketch} slots={hand.slots} fromBeat={0} toBeat={hand.sketch.beats_a_bar} width={520} height={132} />
      )}
    </div>
  )
}

/** Sounds the chosen pattern with the band on this tune; what is on the bench comes back when it ends. */
function useHearing(desk: Desk, entry: LibraryPattern | undefined) {
  const { tempo, timeline: own, played } = useBench()
  const [on, setOn] = useState(false)
  const timeline = useTimeline(entry === undefined ? desk : tried(desk, entry), tempo, 3, played).data
  useEffect(() => {
    if (!on || timeline === undefined || own === undefined) return
    band.setTimeline(timeline)
    output.prepare(timeline.events)
    return () => band.setTimeline(own)
  }, [on, timeline, own])
  useEffect(() => (on ? band.subscribe(() => band.snapshot().status === 'stopped' && setOn(false)) : undefined), [on])
  useEffect(() => (on ? () => band.stop() : undefined), [on])
  const toggle = () => {
    if (on) return setOn(false)
    if (timeline === undefined) return
    band.setTimeline(timeline)
    setOn(true)
    void band.start()
  }
  return { on, ready: timeline !== undefined, toggle }
}

/** Entries by their feel: the tune's own first, then as they come. */
function byFeel(entries: LibraryPattern[], feel: Feel): [string, LibraryPattern[]][] {
  const groups = new Map<string, LibraryPattern[]>()
  for (const entry of entries) groups.set(entry.feel_words, [...(groups.get(entry.feel_words) ?? []), entry])
  const own = (entry: LibraryPattern | undefined) =>
    entry !== undefined && entry.feel.mode === feel.mode && entry.feel.ratio === feel.ratio && entry.feel.unit === feel.unit
  return [...groups].sort(([, a], [, b]) => Number(own(b[0])) - Number(own(a[0])))
}
