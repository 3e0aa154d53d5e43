import { useEffect, useRef, useSyncExternalStore } from 'react'
import { Link } from 'react-router'
import { Mark } from '../../ui/Mark'
import { clock, countOf } from '../../ui/words'
import { useChart, useTakes } from '../../api/queries'
import { useStore } from 'zustand'
import { kept, watchName } from '../listen/listened'
import { useBench, useDocument } from './benchContext'
import type { SaveState } from './documentStore'
import { STATIONS, type Station } from './stations'

type Props = { station: Station; onGo: (station: Station) => void; save: SaveState; onHelp: () => void }

/** The stations across the top in the order of work, each with a line of its state. */
export function StationBar({ station, onGo, save, onHelp }: Props) {
  const lines = useStateLines()
  const here = useRef<HTMLButtonElement>(null)
  useEffect(() => {
    // After the page was laid out: asked earlier, it would be laid out twice.
    const soon = setTimeout(() => here.current?.scrollIntoView({ inline: 'center', block: 'nearest' }))
    return () => clearTimeout(soon)
  }, [station])
  const mine = useStore(useBench().store, (state) => state.mine)
  return (
    <header className="rail">
      <Link to="/" className="brand" aria-label="Gravik, back to the shelf">
        <Mark /> Gravik
      </Link>
      <nav aria-label="Stations">
        {STATIONS.map(({ id, name }) => (
          <button
            key={id}
            ref={id === station ? here : null}
            type="button"
            className={['station-tab', id === station ? 'active' : '', id === 'lock' ? 'parts' : ''].join(' ').trim()}
            aria-current={id === station ? 'page' : undefined}
            onClick={() => onGo(id)}
          >
            <span>
              <b>{name}</b>
              <small className={lines[id].off ? 'off' : ''}>{lines[id].text}</small>
            </span>
          </button>
        ))}
      </nav>
      <div className="rail-end">
        <span role="status" className="save-state">
          {mine ? saveWords(save) : 'Assigned to you'}
        </span>
        <button type="button" className="quiet" onClick={onHelp}>
          Keys <kbd>?</kbd>
        </button>
      </div>
    </header>
  )
}

function saveWords(save: SaveState): string {
  switch (save.status) {
    case 'saved':
      return `Saved ${clock(new Date(save.at))}`
    case 'waiting':
    case 'saving':
      return 'Saving …'
    case 'failed':
      return 'Not saved yet'
    case 'stale':
      return 'Two versions'
  }
}

function useStateLines(): Record<Station, { text: string; off: boolean }> {
  const document = useDocument()
  const { store, desk, timeline, stage } = useBench()
  const chart = useChart(document).data
  const takes = useTakes(store.getState().id)
  const recording = useSyncExternalStore(watchName, () => kept(store.getState().id)?.name ?? 'no recording')
  const lines = chart?.sections.flatMap((section) => [section, ...section.endings]) ?? []
  const bars = lines.reduce((sum, line) => sum + line.bars.length, 0)
  const unread = lines.reduce((sum, line) => sum + line.problems.length, 0)
  const shapes = new Set(timeline?.chords.map((chord) => chord.symbol)).size
  const strokes = desk.pattern.streams.reduce((sum, stream) => sum + stream.strokes.length, 0)
  return {
    listen: { text: recording, off: false },
    chart: unread > 0 ? { text: `${unread} unread`, off: true } : { text: countOf(bars, 'bar'), off: false },
    shapes: { text: shapes === 0 ? 'no chords yet' : countOf(shapes, 'chord'), off: false },
    hand: { text: countOf(strokes, 'stroke'), off: strokes === 0 },
    band: { text: countOf(document.parts.length, 'part'), off: false },
    steps: { text: stage === null ? stepsWords(document) : 'a stage open', off: false },
    lock: {
      text:
        takes.items === undefined || takes.items.length === 0
          ? 'no takes yet'
          : takes.more === null
            ? countOf(takes.items.length, 'take')
            : `over ${takes.items.length} takes`,
      off: false,
    },
    log: { text: 'stairs, slots', off: false },
    handout: { text: 'page and files', off: false },
  }
}

function stepsWords({ lesson }: ReturnType<typeof useDocument>): string {
  const dropped = lesson.filter((note) => note.dropped === true).length
  return lesson.length === 0 ? 'as proposed' : dropped === 0 ? 'settled' : `settled, ${dropped} dropped`
}
