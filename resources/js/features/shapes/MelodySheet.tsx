import { App, Button, Input, Segmented } from 'antd'
import { useState } from 'react'
import { ApiError } from '../../api/client'
import { useHarmony, useRiff } from '../../api/queries'
import { keepFigure, keepMelody, type FigureTold } from '../../api/song'
import type { HarmonisedNote, RiffNote, RiffPlace, VoicedChord } from '../../api/types'
import { hearLine } from '../../audio/hearGrip'
import { LongNeck, useLongNeck } from '../../ui/LongNeck'
import { PressPlaces } from '../../ui/PressPlaces'
import { useBench, useDocument, useMine } from '../bench/benchContext'
import { useRemake } from '../bench/useRemake'
import { HumIn } from './HumIn'

/** A typed melody in double stops, or a figure in other registers and at IV and V. */
export function MelodySheet({ chord }: { chord: VoicedChord }) {
  const [view, setView] = useState<'melody' | 'riff'>('melody')
  return (
    <section tabIndex={0} className="tool-sheet" aria-label="Lines">
      <div className="tool-head">
        <h2>{view === 'melody' ? `A melody in double stops from bar ${chord.form_bar + 1}` : 'A figure, and where else it lies'}</h2>
        <Segmented
          aria-label="Kind of line"
          options={[
            { value: 'melody', label: 'Melody' },
            { value: 'riff', label: 'Figure' },
          ]}
          value={view}
          onChange={setView}
        />
      </div>
      {view === 'melody' ? <Melody bar={chord.form_bar} strings={chord.voicing.frets.length} /> : <Riff chord={chord} />}
    </section>
  )
}

function Melody({ bar, strings }: { bar: number; strings: number }) {
  const [melody, setMelody] = useState('')
  const line = useHarmony(useDocument(), melody, bar)
  const mine = useMine()
  const { desk } = useBench()
  const remake = useRemake()
  const { message } = App.useApp()
  const keep = async () => {
    if (await remake((d) => keepMelody(d, { pass: desk.place.pass, melody, bar })))
      void message.success(`It plays from bar ${bar + 1} on, and stands on the Chart as a figure of two lines.`)
  }
  return (
    <>
      <label className="tool-field">
        Notes with their octave, or string and fret; bars between strokes
        <Input
          autoFocus
          aria-label="Notes of the melody"
          placeholder="D4 F4 A4 | D5 C5 A4"
          value={melody}
          onChange={(event) => setMelody(event.target.value)}
        />
      </label>
      <HumIn onMelody={setMelody} />
      {melody.trim() !== '' && line.error instanceof ApiError && (
        <p role="alert" className="finding finding-off">
          {line.error.message}
        </p>
      )}
      {melody.trim() !== '' && line.error === null && line.data !== undefined && (
        <Harmony notes={line.data} {...(mine ? { onKeep: () => void keep() } : {})} />
      )}
      <ClickNeck strings={strings} onPlace={(place) => setMelody(`${melody} ${place}`.trim())} />
      {melody.trim() === '' && (
        <p className="muted">
          Each note gets the nearest chord note below it, or a note of the key where none is near; the lower note rings on where it can.
        </p>
      )}
    </>
  )
}

function Harmony({ notes, onKeep }: { notes: HarmonisedNote[]; onKeep?: () => void }) {
  return (
    <>
      <ol className="harmony">
        {notes.map((note, index) => (
          <li key={index} className={note.held ? 'held' : ''}>
            <small>{note.chord}</small>
            <b>{note.degrees[1]}</b>
            <b className={note.chord_tone ? '' : 'passing'}>{note.degrees[0]}</b>
            <span>
              {note.frets[1]} <small>on {note.strings[1]}</small>
            </span>
            <span>
              {note.frets[0]} <small>on {note.strings[0]}</small>
            </span>
            <small>{note.held ? 'rings on' : note.shared ? 'stays' : ''}</small>
          </li>
        ))}
      </ol>
      <div className="button-row">
        <Button onClick={() => void hearLine(notes.map((note) => note.midi))}>Hear it</Button>
        {onKeep !== undefined && <Button onClick={onKeep}>Keep it as a figure of this pass</Button>}
      </div>
    </>
  )
}

function Riff({ chord }: { chord: VoicedChord }) {
  const strings = chord.voicing.frets.length
  const mine = useMine()
  const { desk } = useBench()
  const remake = useRemake()
  const { message } = App.useApp()
  const [figure, setFigure] = useState('')
  const places = useRiff(useDocument(), figure)
  const [shown, setShown] = useState(0)
  const keep = async (register: RiffPlace) => {
    if (await remake((d) => keepFigure(d, figureOf(register, chord, desk.place.pass))))
      void message.success(`It plays from bar ${chord.form_bar + 1} on, and stands on the Chart.`)
  }
  const place = places.data?.[Math.min(shown, places.data.length - 1)]
  return (
    <>
      <label className="tool-field">
        String and fret of each note on the I
        <Input
          autoFocus
          aria-label="Notes of the figure"
          placeholder="6:3 6:3 5:5 5:3"
          value={figure}
          onChange={(event) => setFigure(event.target.value)}
        />
      </label>
      {figure.trim() !== '' && places.error instanceof ApiError && (
        <p role="alert" className="finding finding-off">
          {places.error.message}
        </p>
      )}
      {figure.trim() === '' && <ClickNeck strings={strings} onPlace={(place) => setFigure(place)} />}
      {figure.trim() === '' && (
        <p className="muted">
          A short figure is found again one string lower or higher and an octave away, each with its way to IV and two frets on to V: a
          register for every chorus.
        </p>
      )}
      {figure.trim() !== '' && places.error === null && place !== undefined && places.data !== undefined && (
        <>
          <ol className="riff-places">
            {places.data.map((each, index) => (
              <li key={each.where}>
                <button
                  type="button"
                  className={index === shown ? 'riff-place chosen' : 'riff-place'}
                  aria-pressed={index === shown}
                  onClick={() => setShown(index)}
                >
                  <b>
                    Chorus {index + 1}: {each.where}
                  </b>
                  <small>
                    IV is {each.way}, V two frets above · {Math.round(each.travel_mm)} mm of travel
                  </small>
                </button>
              </li>
            ))}
          </ol>
          <RiffNeck place={place} strings={strings} onPlace={(pressed) => setFigure(`${figure} ${pressed}`.trim())} />
          {mine && (
            <div className="button-row">
              <Button size="small" onClick={() => void keep(place)}>
                Play it from bar {chord.form_bar + 1} on
              </Button>
              <span className="muted">It is kept as a figure, one note on each half of a beat; its rhythm is typed on the Chart.</span>
            </div>
          )}
          <table className="riff-table">
            <tbody>
              {(
                [
                  ['I', place.one],
                  ['IV', place.four],
                  ['V', place.five],
                ] as const
              ).map(([degree, notes]) => (
                <tr key={degree}>
                  <th>{degree}</th>
                  <td>{notes.map((note) => `${note.string}:${note.fret}`).join('  ')}</td>
                  <td>
                    <Button size="small" onClick={() => void hearLine(notes.map((note) => [note.midi]))}>
                      Hear {degree}
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </>
  )
}

function RiffNeck({ place, strings, onPlace }: { place: RiffPlace; strings: number; onPlace: (place: string) => void }) {
  const { x, y } = useLongNeck(strings)
  const dots = (degree: string, notes: RiffNote[]) =>
    [...new Map(notes.map((note) => [`${note.string}:${note.fret}`, note])).values()].map((note) => ({ degree, ...note }))
  return (
    <LongNeck strings={strings} className="map-neck">
      {[...dots('V', place.five), ...dots('IV', place.four), ...dots('I', place.one)].map((dot) => (
        <g
          key={`${dot.degree}-${dot.string}-${dot.fret}`}
          className={`stop ${dot.degree === 'I' ? 'both' : dot.degree === 'IV' ? 'one' : 'passing'}`}
        >
          <rect x={x(dot.fret) - 12} y={y(strings - dot.string) - 8} width={24} height={16} rx={dot.degree === 'I' ? 0 : 8} />
          <text x={x(dot.fret)} y={y(strings - dot.string) + 4}>
            {dot.degree}
          </text>
        </g>
      ))}
      <PressPlaces strings={strings} onPlace={onPlace} />
    </LongNeck>
  )
}

/** A neck whose every place can be pressed to write it down: "2:5". */
function ClickNeck({ strings, onPlace }: { strings: number; onPlace: (place: string) => void }) {
  return (
    <LongNeck strings={strings} className="map-neck" label="Neck to press notes on">
      <PressPlaces strings={strings} onPlace={onPlace} />
    </LongNeck>
  )
}

/** What is asked for the riff in one register: from the chord's bar on, in this pass. */
const figureOf = ({ where, counted, near }: RiffPlace, { place }: VoicedChord, pass: string): FigureTold => ({
  pass,
  section: place.section,
  ending: place.ending,
  bar: place.bar,
  id: null,
  name: `Riff, ${where}`.slice(0, 40),
  typed: [counted],
  relative_to: 'chord',
  octave: 0,
  near,
  passes: [pass],
  instead: true,
})
