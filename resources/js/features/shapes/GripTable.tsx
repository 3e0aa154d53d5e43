import { Button } from 'antd'
import type { VoicedChord, Voicing } from '../../api/types'

type Props = { chord: VoicedChord; voicing: Voicing; tried: boolean; mine: boolean; onPin: () => void; onLetGo: () => void; onLink: () => void; onHear: () => void; onCompare: () => void; onType: () => void }

/** One grip string by string, and what speaks for and against it. */
export function GripTable({ chord, voicing, tried, mine, onPin, onLetGo, onLink, onHear, onCompare, onType }: Props) {
  const strings = voicing.frets.length
  const parts = Object.entries(voicing.difficulty_parts).filter(([, part]) => part >= 0.05)
  const damper = (string: number) => voicing.damped.find((each) => each.string === string)?.by ?? ''
  return (
    <section>
      <h2>
        {chord.symbol}
        <small className="muted">
          {' '}
          bar {chord.form_bar + 1}
          {chord.shape === null ? '' : ` · held as ${chord.shape}`}
          {voicing.family === null ? '' : ` · ${voicing.family} shape`}
        </small>
      </h2>
      <table className="grip-table">
        <thead>
          <tr>
            <th>String</th>
            <th>Fret</th>
            <th>Finger</th>
            <th>Note</th>
            <th>Degree</th>
          </tr>
        </thead>
        <tbody>
          {voicing.frets.map((fret, index) => (
            <tr key={index} className={fret === null ? 'muted' : ''}>
              <td>{strings - index}</td>
              <td>{fret ?? '×'}</td>
              {fret === null ? (
                <td colSpan={3} className="damper">
                  {damper(strings - index)}
                </td>
              ) : (
                <>
                  <td>{voicing.fingers[index] === 0 ? 'open' : voicing.fingers[index]}</td>
                  <td>{voicing.notes[index] ?? ''}</td>
                  <td>{voicing.degrees[index] === 'R' ? <b className="root-mark">R</b> : voicing.degrees[index]}</td>
                </>
              )}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="muted">
        {voicing.root != null && voicing.family !== null && !voicing.degrees.includes('R') && `Sits in the ${voicing.family} shape barre chord: root unplayed on string ${voicing.root.string}, ${voicing.root.fret === 0 ? 'open' : `fret ${voicing.root.fret}`}. `}
        Spans {Math.round(voicing.span_mm)} mm, difficulty {voicing.difficulty.toFixed(1)}
      </p>
      <span className="difficulty-parts" role="img" aria-label={parts.map(([name, part]) => `${name} ${part.toFixed(1)}`).join(', ')}>
        {parts.map(([name, part]) => (
          <i key={name} className={`part-${name}`} style={{ flexGrow: part }}>
            {name} {part.toFixed(1)}
          </i>
        ))}
      </span>
      <div className="button-row">
        <Button size="small" onClick={onHear}>
          Hear <kbd>H</kbd>
        </Button>
        {mine && (tried || !chord.pinned) && (
          <Button size="small" type="primary" onClick={onPin}>
            Pin this grip <kbd className="on-ink">Enter</kbd>
          </Button>
        )}
        {mine && chord.pinned && !tried && (
          <Button size="small" onClick={onLetGo}>
            Let it go <kbd>Del</kbd>
          </Button>
        )}
        {mine && (
          <Button size="small" aria-pressed={chord.linked} title="The same kind of chord up to two frets away follows this grip: the V lies two frets above the IV" onClick={onLink}>
            {chord.linked ? 'Unlink' : 'Link'} <kbd>K</kbd>
          </Button>
        )}
        {mine && (
          <Button size="small" onClick={onType}>
            Type <kbd>G</kbd>
          </Button>
        )}
        <Button size="small" onClick={onCompare}>
          Compare <kbd>X</kbd>
        </Button>
      </div>
    </section>
  )
}
