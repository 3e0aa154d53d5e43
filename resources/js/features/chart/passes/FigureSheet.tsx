import { Button, Input, Segmented } from 'antd'
import { useState } from 'react'
import { ApiError } from '../../../api/client'
import { keepFigure, useFigure } from '../../../api/song'
import type { LaidFigure } from '../../../api/types'
import { hearLine } from '../../../audio/hearGrip'
import { useKeys } from '../../../ui/keys'
import { LongNeck, useLongNeck } from '../../../ui/LongNeck'
import { PressPlaces } from '../../../ui/PressPlaces'
import { countOf } from '../../../ui/words'
import { useBench, useDocument } from '../../bench/benchContext'
import { useRemake } from '../../bench/useRemake'
import { FigureTab } from './FigureTab'

export type FigurePlace = { pass: string; section: string; ending: number | null; bar: number }
type Props = { place: FigurePlace; number: number; onClose: () => void }

/** A figure is typed as it is counted, or pressed on the neck, and seen at once where it is to be played. */
export function FigureSheet({ place, number, onClose }: Props) {
  const { store } = useBench()
  const document = useDocument()
  const remake = useRemake()
  const here = playedAt(document, place)
  const known = document.figures?.find(({ id }) => id === here?.what)
  const [typed, setTyped] = useState<string[] | null>(null)
  const [name, setName] = useState(known?.name ?? '')
  const [relativeTo, setRelativeTo] = useState<'chord' | 'key'>(known?.relativeTo ?? 'chord')
  const [octave, setOctave] = useState(here?.octave ?? 0)
  const [near, setNear] = useState<number | null>(here?.near ?? null)
  const [instead, setInstead] = useState(here?.instead ?? true)
  const [everyPass, setEveryPass] = useState(false)
  const told = {
    pass: place.pass,
    section: place.section,
    ending: place.ending,
    bar: place.bar,
    id: known?.id ?? null,
    name,
    typed: typed ?? [],
    relative_to: relativeTo,
    octave,
    near,
  }
  const reading = useFigure(document, told)
  const laid = reading.data
  const lines = typed ?? laid?.typed ?? ['']
  const setLine = (stream: number, line: string) => setTyped(lines.map((each, at) => (at === stream ? line : each)))
  const keep = async () => {
    const passes = everyPass ? null : [place.pass]
    const done = await remake((d) => keepFigure(d, { ...told, typed: lines, passes, instead }))
    if (done) onClose()
  }
  useKeys({ Escape: onClose, h: () => laid !== undefined && void hearLine(notesOf(laid)) })
  return (
    <section className="figure-sheet" aria-label="Figure">
      <div className="figure-words">
        <div className="pass-place">
          <b>Figure</b>
          <span>
            bar {number}
            {laid === undefined ? '' : `, over ${laid.over}`}
          </span>
        </div>
        <label>
          <span className="label">Name</span>
          <Input
            aria-label="Name of the figure"
            placeholder="answer, turnaround …"
            maxLength={40}
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <Segmented
          aria-label="What it goes along with"
          options={[
            { value: 'chord', label: 'goes with the chord' },
            { value: 'key', label: 'goes with the key' },
          ]}
          value={relativeTo}
          onChange={setRelativeTo}
        />
        <Segmented
          aria-label="Instead of the strokes or over them"
          options={[
            { value: true, label: 'instead of the strokes' },
            { value: false, label: 'over them' },
          ]}
          value={instead}
          onChange={setInstead}
        />
        <Segmented
          aria-label="In which passes"
          options={[
            { value: false, label: 'this pass' },
            { value: true, label: 'every pass' },
          ]}
          value={everyPass}
          onChange={setEveryPass}
        />
      </div>
      {lines.map((line, stream) => (
        <Input
          key={stream}
          aria-label={lines.length === 1 ? 'Notes as they are counted' : `Line ${stream + 1} as it is counted`}
          className="figure-line"
          spellCheck={false}
          value={line}
          placeholder="1=5:3 & 2=4:2+3:2 & 3 & 4 &"
          onChange={(event) => setLine(stream, event.target.value)}
        />
      ))}
      {reading.error instanceof ApiError ? (
        <p role="alert" className="finding finding-off">
          {reading.error.message}
        </p>
      ) : (
        <p className="muted">
          Count every beat; what is in brackets passes through air. After = string and fret, several with +: 2=3:2+2:3. 3:5h7 hammers on, p
          pulls off, s slides, g is a grace note, b bends. Or press the neck: the next syllable gets the note.
        </p>
      )}
      {laid !== undefined && (
        <div className="figure-drawn">
          <FigureTab laid={laid} />
          <FigureNeck laid={laid} onPlace={(note) => setTyped(withNote(lines, note))} />
        </div>
      )}
      <div className="button-row">
        <span className="label">Hand</span>
        <Button size="small" type={near === null ? 'primary' : 'default'} aria-pressed={near === null} onClick={() => setNear(null)}>
          where the grip is
        </Button>
        {laid?.hands.map((fret) => (
          <Button
            key={fret}
            size="small"
            type={near === fret ? 'primary' : 'default'}
            aria-pressed={near === fret}
            onClick={() => setNear(fret)}
          >
            fret {fret}
          </Button>
        ))}
        <span className="label">Octave</span>
        <Button size="small" aria-label="An octave lower" disabled={octave <= -2} onClick={() => setOctave(octave - 1)}>
          −
        </Button>
        <span>{octave === 0 ? 'as typed' : octave > 0 ? `${octave} up` : `${-octave} down`}</span>
        <Button size="small" aria-label="An octave higher" disabled={octave >= 2} onClick={() => setOctave(octave + 1)}>
          +
        </Button>
        {lines.length === 1 ? (
          <Button size="small" onClick={() => setTyped([...lines, lines[0] ?? ''])}>
            A second line
          </Button>
        ) : (
          <Button size="small" onClick={() => setTyped(lines.slice(0, 1))}>
            One line
          </Button>
        )}
        {laid !== undefined && laid.missing > 0 && (
          <span className="off">{countOf(laid.missing, 'note')} cannot be reached on this neck: try another octave.</span>
        )}
        <span className="figure-do">
          <Button onClick={() => laid !== undefined && void hearLine(notesOf(laid))}>
            Hear it <kbd>H</kbd>
          </Button>
          <Button type="primary" disabled={reading.error !== null || store.getState().mine === false} onClick={() => void keep()}>
            Keep it here
          </Button>
          <Button onClick={onClose}>
            Leave <kbd>Esc</kbd>
          </Button>
        </span>
      </div>
    </section>
  )
}

type Placed = ReturnType<typeof useDocument>['placed'][number]
type PlacedFigure = Extract<Placed, { instead?: boolean }>

/** The figure that is played at a place of a pass. */
export function playedAt({ placed, figures }: ReturnType<typeof useDocument>, at: FigurePlace): PlacedFigure | undefined {
  const known = new Set(figures?.map(({ id }) => id))
  return placed.findLast(
    (each): each is PlacedFigure =>
      known.has(each.what) &&
      each.at.section === at.section &&
      each.at.ending === at.ending &&
      each.at.bar === at.bar &&
      (each.passes == null || each.passes.includes(at.pass)),
  )
}

const notesOf = ({ steps }: LaidFigure): number[][] =>
  steps.filter(({ notes }) => notes.length > 0).map(({ notes }) => notes.map(({ midi }) => midi))

/** With a note at the first syllable that has none after the last that has one. */
function withNote([first = '', ...others]: string[], note: string): string[] {
  const words = first.split(' ')
  const from = words.findLastIndex((word) => word.includes('=')) + 1
  const at = words.findIndex((word, place) => place >= from && word !== '|' && !word.startsWith('('))
  return at < 0 ? [first, ...others] : [words.map((word, place) => (place === at ? `${word}=${note}` : word)).join(' '), ...others]
}

function FigureNeck({ laid, onPlace }: { laid: LaidFigure; onPlace: (place: string) => void }) {
  const { strings } = laid
  const { x, y } = useLongNeck(strings)
  const dots = [...new Map(laid.steps.flatMap(({ notes }) => notes).map((note) => [`${note.string}:${note.fret}`, note])).values()]
  return (
    <LongNeck strings={strings} className="map-neck" label="Neck to press notes on">
      {dots.map((dot) => (
        <g key={`${dot.string}-${dot.fret}`} className="stop both">
          <rect x={x(dot.fret) - 12} y={y(strings - dot.string) - 8} width={24} height={16} />
          <text x={x(dot.fret)} y={y(strings - dot.string) + 4}>
            {dot.degree}
          </text>
        </g>
      ))}
      <PressPlaces strings={strings} onPlace={onPlace} />
    </LongNeck>
  )
}
