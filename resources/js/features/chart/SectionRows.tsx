import { useRef } from 'react'
import type { ChartBar, ChartSection, PinDocument, Timeline } from '../../api/types'
import { band } from '../../audio/band'
import { useBandFrames } from '../../audio/useBandFrames'
import { ChordName } from './ChordName'
import { countOf, ordinal } from '../../ui/words'
import { useMark } from '../bench/Marking'
import { BarStrokes } from './BarStrokes'

/** A short tune is written large, four bars a row, so that it is read from a music stand. */
const LARGE_UP_TO = 16

export type Names = 'letters' | 'numerals' | 'steps'

type Props = { section: ChartSection; names: Names; timeline: Timeline | undefined; barsInAll: number }

/** One section as rows of bars, with the playing place running over them. */
export function SectionRows({ section, names, timeline, barsInAll }: Props) {
  const { beats } = section
  const large = barsInAll <= LARGE_UP_TO
  const barsARow = large ? 4 : 8
  const written = [
    ...section.bars.map((bar, number) => ({ bar, at: { section: section.id, ending: null as number | null, bar: number } })),
    ...section.endings.flatMap((ending, place) =>
      ending.bars.map((bar, number) => ({ bar, at: { section: section.id, ending: place as number | null, bar: number } })),
    ),
  ]
  const rows = Array.from({ length: Math.ceil(written.length / barsARow) }, (_, row) => written.slice(row * barsARow, (row + 1) * barsARow))
  const perRow = Math.min(barsARow, Math.max(4, written.length))
  const endings = endingsAt(section)
  return (
    <section className="chart-section" aria-label={`Section ${section.name}`}>
      <header>
        <b>{section.name}</b>
        <span>
          {countOf(written.length, 'bar')}
          {section.times > 1 && ` · ${section.times} times`}
        </span>
      </header>
      <div>
        {rows.map((row, index) => (
          <div key={index} className={large ? 'chart-row large' : 'chart-row'} style={{ gridTemplateColumns: `repeat(${perRow}, 1fr)` }}>
            {row.map(({ bar, at }) => (
              <BarBox
                key={bar.written}
                bar={bar}
                at={at}
                ending={endings.get(bar.written)}
                beats={beats}
                names={names}
                timeline={timeline}
                large={large}
              />
            ))}
          </div>
        ))}
      </div>
    </section>
  )
}

/** With which written bar each ending begins. */
const endingsAt = ({ endings }: ChartSection): Map<number, string> =>
  new Map(endings.flatMap(({ bars: [first] }, number) => (first === undefined ? [] : [[first.written, ordinal(number + 1)] as const])))

type BoxProps = {
  bar: ChartBar
  at: Omit<PinDocument['at'], 'tick'>
  ending: string | undefined
  beats: number
  names: Props['names']
  timeline: Timeline | undefined
  large: boolean
}

function BarBox({ bar, at, ending, beats, names, timeline, large }: BoxProps) {
  const box = useRef<HTMLDivElement>(null)
  const played = timeline?.bars.findIndex((each) => each.written === bar.written) ?? -1
  usePlayhead(box, timeline, bar.written, beats)
  const size = (large ? [34, 28, 22] : [26, 20, 17])[Math.min(2, bar.chords.length - 1)] ?? 17
  return (
    <div ref={box} className="chart-bar" data-bar={bar.written}>
      <span className="bar-number">{bar.number}</span>
      {ending !== undefined && <span className="bar-ending">{ending}</span>}
      <div
        className={bar.chords.some((chord) => chord.shape !== null) ? 'bar-chords with-shapes' : 'bar-chords'}
        onDoubleClick={() => played >= 0 && band.set({ loop: [played, played] })}
      >
        {bar.chords.map((chord) => (
          <ChordName key={chord.at} chord={chord} names={names} size={size}>
            <Doubt at={{ ...at, tick: chord.at }} />
            {chord.approach !== null && <small className="approach">↠ {chord.approach}</small>}
            {chord.shape !== null && (
              <small className="held" aria-label={`held as ${chord.shape}`}>
                {chord.shape}
              </small>
            )}
          </ChordName>
        ))}
        <span className="beat-ticks" aria-hidden="true">
          {Array.from({ length: beats }, (_, beat) => (
            <i key={beat} />
          ))}
        </span>
      </div>
      {timeline !== undefined && played >= 0 && <BarStrokes timeline={timeline} bar={played} />}
      <i className="bar-playhead" aria-hidden="true" />
    </div>
  )
}

/** A chord that is marked: that it is unsure, and what else it may be. */
function Doubt({ at }: { at: PinDocument['at'] }) {
  const mark = useMark({ what: 'chord', field: 'symbol', at })
  if (mark === undefined) return null
  const [other] = (mark.other ?? '').split(', ')
  return (
    <small className="chord-doubt" title={[mark.other, mark.note].filter(Boolean).join(' · ')}>
      {mark.is === 'unsure' ? '?' : 'or'} {mark.is === 'unsure' && other !== '' && 'or '}
      {other}
    </small>
  )
}

/** Moves the playhead of one bar without rendering: a CSS variable says how far through the bar the music is. */
function usePlayhead(box: React.RefObject<HTMLDivElement | null>, timeline: Timeline | undefined, written: number, beats: number): void {
  const on = useRef(false)
  useBandFrames(() => {
    const at = band.position()
    const here = at !== null && at.countIn === null && timeline?.bars[at.bar]?.written === written
    if (here !== on.current) box.current?.classList.toggle('playing', here)
    on.current = here
    if (here) box.current?.style.setProperty('--through', String(band.beatsIntoBar() / beats))
  })
}
