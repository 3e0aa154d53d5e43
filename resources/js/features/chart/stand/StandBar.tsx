import { useRef } from 'react'
import type { Timeline } from '../../../api/types'
import { band } from '../../../audio/band'
import { useBandFrames } from '../../../audio/useBandFrames'
import { BarStrokes } from '../BarStrokes'
import type { PageBar } from './pages'

export type StandShow = 'chords' | 'hand' | 'numerals'

const WORDS = { pattern: '', written: 'as written', free: 'free', rings: 'ring' }

/** One bar: its chords large, and what it is made of where it is not the pattern. */
export function StandBar({ bar, show, timeline }: { bar: PageBar; show: StandShow; timeline: Timeline }) {
  const box = useRef<HTMLDivElement>(null)
  const on = useRef(false)
  useBandFrames(() => {
    const at = band.position()
    const here = at !== null && at.countIn === null && at.bar === bar.index
    if (here !== on.current) box.current?.classList.toggle('playing', here)
    on.current = here
    if (here) box.current?.style.setProperty('--through', String(band.beatsIntoBar() / bar.beats))
  })
  const { chords } = bar.written
  const words = bar.told.pattern === null ? 'out' : bar.told.role_words === '' ? WORDS[bar.told.texture] : bar.told.role_words
  const pushed = timeline.strokes.some((stroke) => stroke.bar === bar.index - 1 && timeline.chords[stroke.chord]?.bar === bar.index)
  return (
    <div ref={box} className={`stand-bar many-${Math.min(4, chords.length)} ${bar.told.texture}`}>
      <span className="stand-number">
        {bar.written.number}
        {bar.section !== '' && <b>{bar.section}</b>}
        <em>{words}</em>
      </span>
      {pushed && <i className="stand-push" aria-label="pushed" />}
      <div className="stand-chords">
        {chords.map((chord) => (
          <span key={chord.at} style={{ flexGrow: chord.beats }}>
            {chord.symbol === null ? (
              chord.typed
            ) : show === 'numerals' ? (
              <span className="stand-numeral">{chord.numeral}</span>
            ) : (
              <>
                {chord.root}
                <small>{chord.ending}</small>
              </>
            )}
          </span>
        ))}
      </div>
      {show === 'hand' && <BarStrokes timeline={timeline} bar={bar.index} />}
      <i className="stand-bead" aria-hidden="true" />
    </div>
  )
}
