import { Button, Input } from 'antd'
import type { ReactNode } from 'react'
import { useDesk } from '../bench/benchContext'
import { Marking } from '../bench/Marking'
import type { VoicedChord, Voicing } from '../../api/types'

type Props = {
  chord: VoicedChord
  voicing: Voicing
  tried: boolean
  mine: boolean
  onPin: () => void
  onLetGo: () => void
  onLink: () => void
  onHear: () => void
  onCompare: () => void
  onType: () => void
  onName: (nickname: string) => void
}

/** One grip, a column for each string, and what speaks for and against it. */
export function GripTable({ chord, voicing, tried, mine, onPin, onLetGo, onLink, onHear, onCompare, onType, onName }: Props) {
  const { line } = useDesk()
  const strings = voicing.frets.length
  const parts = Object.entries(voicing.difficulty_parts).filter(([, part]) => part >= 0.05)
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
      {chord.pinned && !tried && (mine || chord.nickname !== '') && (
        <Input
          key={`${chord.form_bar}-${chord.beat}-${chord.nickname}`}
          size="small"
          aria-label="What you call this grip"
          placeholder="what you call it: the claw …"
          maxLength={40}
          disabled={!mine}
          defaultValue={chord.nickname}
          onBlur={(event) => event.target.value !== chord.nickname && onName(event.target.value)}
          onPressEnter={(event) => event.currentTarget.blur()}
        />
      )}
      {!tried && (
        <div className="button-row">
          <span className="muted">mark the chord</span>
          <Marking on={{ what: 'chord', field: 'symbol', at: chord.place }} label={`the chord ${chord.symbol}`} />
        </div>
      )}
      {chord.pinned && !tried && (
        <div className="button-row">
          <span className="muted">mark this grip</span>
          <Marking on={{ what: 'grip', field: 'frets', id: line.id, at: chord.place }} label={`the grip for ${chord.symbol}`} colour />
        </div>
      )}
      <table className="grip-table">
        <thead>
          <tr>
            <th scope="row">String</th>
            {voicing.frets.map((_, index) => (
              <th key={index} scope="col">
                {strings - index}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <Row name="Fret" cells={voicing.frets.map((fret) => fret ?? '×')} />
          <Row name="Finger" cells={voicing.fingers.map((finger) => (finger === 0 ? '○' : (finger ?? '')))} />
          <Row name="Note" cells={voicing.notes.map((note) => note ?? '')} />
          <Row name="Degree" cells={voicing.degrees.map((degree) => (degree === 'R' ? <b className="root-mark">R</b> : (degree ?? '')))} />
        </tbody>
      </table>
      {voicing.damped.length > 0 && (
        <p className="muted damper">Damped: {voicing.damped.map((each) => `${each.string} by ${each.by}`).join(', ')}</p>
      )}
      <p className="muted">
        {voicing.root != null &&
          voicing.family !== null &&
          !voicing.degrees.includes('R') &&
          `Sits in the ${voicing.family} shape barre chord: root unplayed on string ${voicing.root.string}, ${voicing.root.fret === 0 ? 'open' : `fret ${voicing.root.fret}`}. `}
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
          <Button
            size="small"
            aria-pressed={chord.linked}
            title="The same kind of chord up to two frets away follows this grip: the V lies two frets above the IV"
            onClick={onLink}
          >
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

function Row({ name, cells }: { name: string; cells: ReactNode[] }) {
  return (
    <tr>
      <th scope="row">{name}</th>
      {cells.map((cell, index) => (
        <td key={index}>{cell}</td>
      ))}
    </tr>
  )
}
