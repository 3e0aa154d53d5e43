import { useEffect, useRef } from 'react'
import type { ChartBar, ChartSection } from '../../api/types'
import { band } from '../../audio/band'
import { ChordText } from '../../ui/ChordText'

const BARS_A_ROW = 8

type Props = { section: ChartSection; firstBar: number; beats: number; names: 'letters' | 'numerals' }

/** One section as rows of bars, with the playing place running over them. */
export function SectionRows({ section, firstBar, beats, names }: Props) {
  const rows = Array.from({ length: Math.ceil(section.bars.length / BARS_A_ROW) }, (_, row) => section.bars.slice(row * BARS_A_ROW, (row + 1) * BARS_A_ROW))
  const perRow = Math.min(BARS_A_ROW, Math.max(4, section.bars.length))
  return (
    <section className="chart-section" aria-label={`Section ${section.name}`}>
      <header>
        <b>{section.name}</b>
        <span>
          {section.bars.length} bar{section.bars.length === 1 ? '' : 's'}
        </span>
      </header>
      <div>
        {rows.map((row, index) => (
          <div key={index} className="chart-row" style={{ gridTemplateColumns: `repeat(${perRow}, 1fr)` }}>
            {row.map((bar, place) => (
              <BarBox key={place} bar={bar} number={firstBar + index * BARS_A_ROW + place} beats={beats} names={names} />
            ))}
          </div>
        ))}
      </div>
    </section>
  )
}

function BarBox({ bar, number, beats, names }: { bar: ChartBar; number: number; beats: number; names: Props['names'] }) {
  const box = useRef<HTMLDivElement>(null)
  usePlayhead(box, number, beats)
  const crowded = bar.chords.length > 2
  return (
    <div ref={box} className="chart-bar" data-bar={number}>
      <span className="bar-number">{number + 1}</span>
      <div className="bar-chords" onDoubleClick={() => band.set({ loop: [number, number] })}>
        {bar.chords.map((chord) => (
          <span key={chord.at} className={chord.symbol === null && chord.typed !== '' && !/^n\.?c/i.test(chord.typed) ? 'bar-chord unread' : 'bar-chord'} style={{ flexGrow: chord.beats }}>
            {chord.symbol === null ? (
              <ChordText root={chord.typed === '' ? '·' : chord.typed} ending="" size={15} />
            ) : names === 'letters' ? (
              <ChordText root={chord.root ?? ''} ending={chord.ending ?? ''} size={crowded ? 17 : bar.chords.length === 2 ? 20 : 26} />
            ) : (
              <span className="chord-text" style={{ fontSize: crowded ? 13 : 18 }}>
                {chord.numeral}
              </span>
            )}
          </span>
        ))}
      </div>
      <span className="beat-ticks" aria-hidden="true">
        {Array.from({ length: beats }, (_, beat) => (
          <i key={beat} />
        ))}
      </span>
      <i className="bar-playhead" aria-hidden="true" />
    </div>
  )
}

/** Moves the playhead of one bar without rendering: a CSS variable says how far through the bar the music is. */
function usePlayhead(box: React.RefObject<HTMLDivElement | null>, bar: number, beats: number): void {
  useEffect(() => {
    let frame = 0
    let on = false
    const draw = () => {
      const at = band.position()
      const here = at !== null && at.countIn === null && at.bar === bar
      if (here !== on) box.current?.classList.toggle('playing', here)
      on = here
      if (here) box.current?.style.setProperty('--through', String(band.beatsIntoBar() / beats))
      frame = requestAnimationFrame(draw)
    }
    frame = requestAnimationFrame(draw)
    return () => cancelAnimationFrame(frame)
  }, [box, bar, beats])
}
