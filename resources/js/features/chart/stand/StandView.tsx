import { useEffect, useRef, useState } from 'react'
import { createPortal } from 'react-dom'
import type { ChartSection } from '../../../api/types'
import { band } from '../../../audio/band'
import { useBandFrames } from '../../../audio/useBandFrames'
import { useKeys } from '../../../ui/keys'
import { useTabState } from '../../../ui/useTabState'
import { ordinal } from '../../../ui/words'
import { useBench, useDocument } from '../../bench/benchContext'
import { usePlayer } from '../../transport/Transport'
import { StandBar, type StandShow } from './StandBar'
import { pagesOf } from './pages'

const SHOWS: { show: StandShow; name: string }[] = [
  { show: 'chords', name: 'chords' },
  { show: 'hand', name: '+ hand' },
  { show: 'numerals', name: 'numerals' },
]

/** The chords of a pass as large as a music stand needs them; it turns by itself while the band plays, and by foot or key. */
export function StandView({ sections, onClose }: { sections: ChartSection[]; onClose: () => void }) {
  const { store, tempo, timeline } = useBench()
  const document = useDocument()
  const player = usePlayer()
  const [show, setShow] = useTabState<StandShow>(`stand:${store.getState().id}`, 'chords')
  const [dark, setDark] = useTabState('stand:dark', false)
  const [at, setAt] = useState(0)
  const pages = timeline === undefined ? [] : pagesOf(timeline, sections)
  const page = pages[Math.min(at, pages.length - 1)]
  const turn = (by: number) => setAt((now) => Math.min(pages.length - 1, Math.max(0, now + by)))
  const toggle = () => (player.status === 'stopped' ? void band.start() : band.stop())
  useKeys({
    Escape: onClose,
    s: onClose,
    ArrowRight: () => turn(1),
    PageDown: () => turn(1),
    ArrowLeft: () => turn(-1),
    PageUp: () => turn(-1),
    ArrowDown: () => turn(1),
    ArrowUp: () => turn(-1),
    d: () => setDark(!dark),
  })
  useFollow(pages, setAt)
  const close = useRef<HTMLButtonElement>(null)
  useEffect(() => close.current?.focus(), [])
  const setUp = document.guitar.setUp ?? ''
  const number = document.passes.findIndex(({ id }) => id === page?.pass)
  const pass = document.passes[number]
  const next = document.passes[number + 1]
  return createPortal(
    <div className={dark ? 'stand dark' : 'stand'} role="dialog" aria-modal="true" aria-label="Stand view">
      <header className="stand-head">
        <h1>{document.title}</h1>
        <p>
          {document.start.key} · {tempo}
          {setUp !== '' && <small className="stand-set-up">{setUp}</small>}
        </p>
        {document.passes.length > 1 && (
          <div className="stand-passes" role="group" aria-label="Time round">
            <span>time round</span>
            {document.passes.map(({ id, name }, place) => (
              <button
                key={id}
                type="button"
                aria-pressed={id === page?.pass}
                aria-label={name === '' ? `${ordinal(place + 1)} pass` : name}
                onClick={() =>
                  setAt(
                    Math.max(
                      0,
                      pages.findIndex((each) => each.pass === id),
                    ),
                  )
                }
              >
                {place + 1}
              </button>
            ))}
          </div>
        )}
        <button ref={close} type="button" className="stand-close" aria-label="Leave the stand view" onClick={onClose}>
          <svg width="22" height="22" viewBox="0 0 22 22" aria-hidden="true">
            <path d="M2 2l18 18M20 2L2 20" />
          </svg>
        </button>
      </header>
      <p className="stand-now">
        <b>{pass === undefined || pass.name === '' ? ordinal(number + 1) : pass.name}</b> {wordsOf(pass)}
        {next !== undefined && <span>then {wordsOf(next) || (next.name === '' ? `the ${ordinal(number + 2)}` : next.name)}</span>}
      </p>
      <main className="stand-bars">
        {page === undefined ? (
          <p className="loading">
            {timeline === undefined ? 'Working the song out …' : 'There are no bars yet: type a chord line in Chart.'}
          </p>
        ) : (
          page.bars.map((bar) => timeline !== undefined && <StandBar key={bar.index} bar={bar} show={show} timeline={timeline} />)
        )}
      </main>
      <footer className="stand-foot">
        <button type="button" className="play" onClick={toggle} aria-label={player.status === 'stopped' ? 'Play' : 'Stop'}>
          <svg width="26" height="28" viewBox="0 0 26 28" aria-hidden="true">
            {player.status === 'stopped' ? <path d="M3 1l21 13L3 27z" /> : <path d="M4 2h6v24H4zM16 2h6v24h-6z" />}
          </svg>
        </button>
        <StandPlace />
        <span className="stand-hint">
          {pages.length > 1 ? `page ${Math.min(at, pages.length - 1) + 1} of ${pages.length}: turn by foot, tap or arrow` : 'Space plays'}
        </span>
        {SHOWS.map((each) => (
          <button key={each.show} type="button" aria-pressed={each.show === show} onClick={() => setShow(each.show)}>
            {each.name}
          </button>
        ))}
        <button type="button" aria-pressed={dark} onClick={() => setDark(!dark)}>
          dark
        </button>
      </footer>
    </div>,
    window.document.body,
  )
}

const wordsOf = (pass: { lead?: string; notes: string } | undefined): string =>
  [pass?.lead ?? '', pass?.notes ?? ''].filter((words) => words !== '').join(' · ')

/** While the band plays, the page of the sounding bar lies open. */
function useFollow(pages: ReturnType<typeof pagesOf>, open: (page: number) => void): void {
  const shown = useRef(-1)
  useBandFrames(() => {
    const at = band.position()
    if (at === null || at.countIn !== null || at.bar === shown.current) return
    shown.current = at.bar
    const page = pages.findIndex(({ bars }) => bars.some(({ index }) => index === at.bar))
    if (page >= 0) open(page)
  })
}

function StandPlace() {
  const field = useRef<HTMLSpanElement>(null)
  useBandFrames(() => {
    const at = band.position()
    const text = at === null ? '1.1' : at.countIn !== null ? `– ${at.countIn}` : `${at.bar + 1}.${at.beat + 1}`
    if (field.current !== null && field.current.textContent !== text) field.current.textContent = text
  })
  return <span ref={field} className="stand-place" />
}
