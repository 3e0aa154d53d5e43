import { Button, Input, Segmented } from 'antd'
import { useRef, useState } from 'react'
import { ApiError } from '../../../api/client'
import type { LaidFigure } from '../../../api/types'
import { hearLine } from '../../../audio/hearGrip'
import { useKeys } from '../../../ui/keys'
import { useWidth } from '../../../ui/useWidth'
import { countOf } from '../../../ui/words'
import { useMine } from '../../bench/benchContext'
import { Marking } from '../../bench/Marking'
import { kept } from '../../listen/listened'
import { TapSheet } from '../../rhythm/TapSheet'
import { FigureNeck } from './FigureNeck'
import { FigureParts } from './FigureParts'
import { FigureTab } from './FigureTab'
import { HandRow } from './HandRow'
import type { FigurePlace } from './playedAt'
import { RecordedRhythm } from './RecordedRhythm'
import { RegisterRow } from './RegisterRow'
import { ShellWords } from './ShellWords'
import { inOrder, useFigureDesk } from './useFigureDesk'

type Props = { place: FigurePlace; id: string; number: number; onClose: () => void }

/** A figure is typed as it is counted, or pressed on the neck, and seen at once where it is to be played. */
export function FigureSheet({ place, id, number, onClose }: Props) {
  const mine = useMine()
  const at = useFigureDesk(place, onClose)
  const { laid, lines, chosen, first, steps } = at
  const [tapping, setTapping] = useState(false)
  const box = useRef<HTMLElement>(null)
  const width = useWidth(box)
  const recording = kept(id)
  const move = (by: number, extend: boolean) => {
    const to = Math.max(0, Math.min(steps.length - 1, (chosen === null ? -1 : by > 0 ? chosen.to : chosen.from) + by))
    if (steps.length > 0)
      at.choose(extend && chosen !== null ? { from: Math.min(chosen.from, to), to: Math.max(chosen.to, to) } : { from: to, to })
  }
  useKeys(
    {
      Escape: () => (chosen === null ? onClose() : at.choose(null)),
      h: () => laid !== undefined && void hearLine(notesOf(laid)),
      t: () => setTapping(true),
      x: at.handOver,
      ArrowRight: () => move(1, false),
      ArrowLeft: () => move(-1, false),
      'Shift+ArrowRight': () => move(1, true),
      'Shift+ArrowLeft': () => move(-1, true),
    },
    !tapping,
  )
  return (
    <section className="figure-sheet" aria-label="Figure" ref={box}>
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
            value={at.name}
            onChange={(event) => at.setName(event.target.value)}
          />
        </label>
        <Segmented
          aria-label="What it goes along with"
          options={[
            { value: 'chord', label: 'goes with the chord' },
            { value: 'key', label: 'goes with the key' },
          ]}
          value={at.relativeTo}
          onChange={at.setRelativeTo}
        />
        <Segmented
          aria-label="Instead of the strokes or over them"
          options={[
            { value: true, label: 'instead of strokes' },
            { value: false, label: 'over them' },
          ]}
          value={at.instead}
          onChange={at.setInstead}
        />
        <Segmented
          aria-label="In which passes"
          options={[
            { value: false, label: 'this pass' },
            { value: true, label: 'every pass' },
          ]}
          value={at.everyPass}
          onChange={at.setEveryPass}
        />
        <FigureParts document={at.document} parts={at.parts} onParts={at.setParts} />
        <span className="figure-do">
          <Button onClick={() => laid !== undefined && void hearLine(notesOf(laid))}>
            Hear it <kbd>H</kbd>
          </Button>
          <Button type="primary" disabled={at.refusal !== null || !mine} onClick={() => void at.keep()}>
            Keep it here
          </Button>
          <Button onClick={onClose}>
            Leave <kbd>Esc</kbd>
          </Button>
        </span>
      </div>
      {tapping ? (
        <TapSheet
          width={width - 48}
          bars={laid?.bars ?? 1}
          onTake={({ counted }) => {
            void at.doIt({ rhythm: counted })
            return true
          }}
          onClose={() => setTapping(false)}
        />
      ) : (
        <>
          {lines.map((line, stream) => (
            <Input
              key={stream}
              aria-label={lines.length === 1 ? 'Notes as they are counted' : `Line ${stream + 1} as it is counted`}
              className="figure-line"
              spellCheck={false}
              value={line}
              placeholder="1=5:3 & 2=4:2+3:2 & 3 & 4 &"
              onChange={(event) => at.setLine(stream, event.target.value)}
            />
          ))}
          {at.refusal instanceof ApiError ? (
            <p role="alert" className="finding finding-off">
              {at.refusal.message}
            </p>
          ) : (
            <p className="muted">
              Count every beat, or write notes alone and tap their rhythm; (in brackets) is air. After = string:fret, several with +. 3:5h7
              hammers on, p pulls off, s slides, g grace note, b bends, B strikes it bent, r lets it down.
            </p>
          )}
          <div className="button-row">
            <span className="label">Rhythm</span>
            <Button size="small" onClick={() => setTapping(true)}>
              Tap it <kbd>T</kbd>
            </Button>
            {recording !== null && <RecordedRhythm listened={recording} onTake={(rhythm) => void at.doIt({ rhythm })} />}
            {at.known !== undefined && (
              <>
                <span className="label">Mark</span>
                <Marking on={{ what: 'figure', field: 'notes', id: at.known.id }} label={`the notes of “${at.known.name}”`} colour />
              </>
            )}
            <span className="label">Lines</span>
            {lines.length === 1 ? (
              <>
                <Button size="small" onClick={() => at.setTyped([...lines, lines[0] ?? ''])}>
                  A second line
                </Button>
                {laid !== undefined && laid.rooms.length > 0 && (
                  <Button size="small" onClick={() => void at.doIt({ punctuate: true })}>
                    Chords where it rests
                  </Button>
                )}
              </>
            ) : (
              <>
                <Button size="small" disabled={chosen === null} onClick={at.handOver}>
                  Hand over to the other line <kbd>X</kbd>
                </Button>
                <Button size="small" onClick={() => at.setTyped(lines.slice(0, 1))}>
                  One line
                </Button>
              </>
            )}
          </div>
          {laid !== undefined && (
            <div className="figure-drawn">
              <FigureTab
                laid={laid}
                chosen={chosen}
                onStep={(step, extend) =>
                  at.choose(
                    extend && chosen !== null
                      ? { from: Math.min(chosen.from, step), to: Math.max(chosen.to, step) }
                      : chosen?.from === step && chosen.to === step
                        ? null
                        : { from: step, to: step },
                  )
                }
              />
              <FigureNeck laid={laid} onPlace={at.press} />
              <div className="figure-told">
                <p role="status" className="fixing">
                  {first === undefined ? (
                    'Choose a note with ← → and press the neck to play it elsewhere; with none chosen the next syllable gets the note.'
                  ) : first.notes.length === 0 ? (
                    'This stroke strikes the grip.'
                  ) : (
                    <>
                      String {first.notes[0]?.string}, fret {first.notes[0]?.fret}: press the neck to play it elsewhere.{' '}
                      {first.notes
                        .filter(({ fixed }) => fixed)
                        .map((note) => (
                          <Button key={note.note} size="small" onClick={() => at.setFree(note)}>
                            Fixed here: let the rule choose again
                          </Button>
                        ))}
                    </>
                  )}
                </p>
                <ShellWords laid={laid} />
              </div>
            </div>
          )}
          {at.known !== undefined && mine && <RegisterRow figure={at.known.id} onDone={onClose} />}
        </>
      )}
      <div className="button-row">
        <HandRow hands={laid?.hands ?? []} near={at.near} onNear={at.setNear} octave={at.octave} onOctave={at.setOctave} />
        {laid !== undefined && laid.missing > 0 && (
          <span className="off">{countOf(laid.missing, 'note')} cannot be reached on this neck: try another octave.</span>
        )}
      </div>
    </section>
  )
}

const notesOf = (laid: LaidFigure): number[][] =>
  inOrder(laid)
    .filter(({ notes }) => notes.length > 0)
    .map(({ notes }) => notes.map(({ midi }) => midi))
