import { useRef } from 'react'
import type { PracticeSheet } from '../../api/practice'
import { HandWave } from '../../ui/HandWave'
import { MiniNeck } from '../../ui/MiniNeck'
import { useWidth } from '../../ui/useWidth'

const WAVE_HEIGHT = 176
/** A row of the hand is at most so many beats: more could not be read from a stand. */
const BEATS_A_ROW = 4

/** What is played: the cue, one bar of the hand after another, the grips in the order in which they come. */
export function Ready({ sheet }: { sheet: PracticeSheet }) {
  const box = useRef<HTMLDivElement>(null)
  const width = useWidth(box)
  const { sketch } = sheet
  const isWide = width > 700
  const perRow = isWide ? 2 * BEATS_A_ROW : BEATS_A_ROW
  const rows = Array.from({ length: Math.ceil(sketch.beats / perRow) }, (_, row) => row * perRow)
  return (
    <div className="practise-ready" ref={box}>
      {sheet.say !== '' && <p className="practise-say">{sheet.say}</p>}
      <section aria-label="The hand">
        {rows.map((from) => (
          <HandWave
            key={from}
            sketch={sketch}
            slots={sheet.slots}
            fromBeat={from}
            toBeat={Math.min(sketch.beats, from + perRow)}
            width={width}
            height={WAVE_HEIGHT}
          />
        ))}
      </section>
      {sheet.grips.length > 0 && (
        <ul className="practise-grips" aria-label="Grips" tabIndex={0}>
          {sheet.grips.map(({ symbol, voicing }) => (
            <li key={`${symbol}${voicing.frets.join()}`}>
              <b>{symbol}</b>
              <MiniNeck voicing={voicing} width={isWide ? 210 : 148} height={isWide ? 104 : 72} />
              <span className="unseen">{voicing.frets.map((fret) => fret ?? 'x').join(' ')}</span>
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}
