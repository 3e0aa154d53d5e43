import { useRef } from 'react'
import type { LessonStage, OpenStage } from '../../api/types'
import { HandWave, rowGeometry } from '../../ui/HandWave'
import { useWidth } from '../../ui/useWidth'

const HEIGHT = 132

/** The opened stage's bar, and under each stroke how long it rings and how loud it is. */
export function StageBar({ stage, open, songTempo }: { stage: LessonStage; open: OpenStage; songTempo: number }) {
  const box = useRef<HTMLDivElement>(null)
  const width = useWidth(box)
  const names = 74
  const room = Math.max(200, width - names)
  const { sketch } = stage
  const { toX } = rowGeometry(room, HEIGHT, 0, sketch.beats_a_bar, false, false)
  const inBar = open.figures.filter((figure) => figure.beats < sketch.beats_a_bar - 0.001)
  type Row = [string, (figure: OpenStage['figures'][number]) => string]
  const atSongTempo: Row[] =
    songTempo === stage.ladder.goal ? [] : [[`ms at ${songTempo}`, (figure) => (figure.full_ms === null ? '' : `${figure.full_ms}`)]]
  const rows: Row[] = [
    [`ms at ${stage.ladder.goal}`, (figure) => (figure.rings_ms === null ? 'dry' : `${figure.rings_ms}`)],
    ['% of beat', (figure) => (figure.share === null ? '' : `${Math.round(100 * figure.share)}`)],
    ...atSongTempo,
    ['dB', (figure) => `${figure.level_db > 0 ? '+' : ''}${figure.level_db}`.replace('-', '−')],
  ]
  return (
    <div ref={box} className="stage-bar">
      <div style={{ marginLeft: names }}>
        <HandWave sketch={sketch} fromBeat={0} toBeat={sketch.beats_a_bar} width={room} height={HEIGHT} tails={stage.tails} />
      </div>
      <table className="stage-figures" style={{ width: names + room }}>
        <caption className="unseen">What each stroke is to be</caption>
        <thead>
          <tr>
            <th scope="row">counted</th>
            {inBar.map((figure) => (
              <th key={`${figure.at}-${figure.line}`} scope="col" style={{ left: names + toX(figure.beats) }}>
                {figure.count}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, told]) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              {inBar.map((figure) => (
                <td
                  key={`${figure.at}-${figure.line}`}
                  className={told(figure) === 'dry' || (figure.dry && name.startsWith('ms')) ? 'cut' : undefined}
                  style={{ left: names + toX(figure.beats) }}
                >
                  {told(figure)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
