import { useMemo, useRef, useState, type ReactNode } from 'react'
import { atFigure } from '../../api/desk'
import { useChoices } from '../../api/queries'
import type { Hand, Timeline } from '../../api/types'
import { beatsSince } from '../../audio/bars'
import { useKeys } from '../../ui/keys'
import { useSheet } from '../../ui/useSheet'
import { useTabState } from '../../ui/useTabState'
import { useWidth } from '../../ui/useWidth'
import { BenchContext, useBench, useMine } from '../bench/benchContext'
import { Marking } from '../bench/Marking'
import { PlayedHere } from '../bench/PlayedHere'
import { usePatches } from '../bench/usePatches'
import { TapSheet } from '../rhythm/TapSheet'
import { CountField } from './CountField'
import { ArrangeForm } from './ArrangeForm'
import { HandTools } from './HandTools'
import { NeckRibbon } from './NeckRibbon'
import { PatternLibrary } from './PatternLibrary'
import { SchoolSheet } from './SchoolSheet'
import { SHEETS, type Sheet } from './sheets'
import { StrokePanel } from './StrokePanel'
import { figuresIn, StrokesOf } from './StrokesOf'
import { usePatternDesk } from './usePatternDesk'
import { Waves } from './Waves'

/** The pattern of a place, or a figure that is played there, as the hand plays it. */
export default function HandStation() {
  const bench = useBench()
  const [asked, setFigure] = useTabState<string | null>(`strokes-of:${bench.store.getState().id}`, null)
  const figures = figuresIn(bench.desk)
  const figure = figures.some(({ id }) => id === asked) ? asked : null
  const desk = useMemo(() => atFigure(bench.desk, figure), [bench.desk, figure])
  return (
    <BenchContext.Provider value={{ ...bench, desk }}>
      <HandAt key={figure} chooser={<StrokesOf figures={figures} figure={figure} onFigure={setFigure} />} />
    </BenchContext.Provider>
  )
}

/** Every slot is set by a click or one key. */
function HandAt({ chooser }: { chooser: ReactNode }) {
  const { desk, tempo, setLevel, timeline } = useBench()
  const { document, pattern } = desk
  const mine = useMine()
  const apply = usePatches()
  const [sheet, setSheet] = useSheet<Sheet>(
    'wave',
    SHEETS.filter((each) => mine || !each.edits).map((each) => each.sheet),
  )
  const at = usePatternDesk()
  const { hand, slots, slot, stroke, line, lines, bars, setKind } = at
  const [kept, setKept] = useState<Hand | null>(null)
  const compare = () => setKept(kept === null ? (hand ?? null) : null)
  const schools = useChoices().data?.schools ?? []
  const frame = useRef<HTMLDivElement>(null)
  const width = useWidth(frame)
  useKeys(
    {
      ArrowRight: () => at.step(1),
      ArrowLeft: () => at.step(-1),
      x: () => setKind('ring'),
      c: () => setKind('chuck'),
      g: () => setKind('ghost'),
      m: () => setKind('palm-mute'),
      s: () => stroke !== undefined && setKind(stroke.articulation === 'short' ? 'ring' : 'short'),
      a: at.accent,
      p: () => at.grip('next'),
      o: () => at.grip('open'),
      h: at.exchangeBeat,
      v: at.otherLine,
      b: at.copyBar,
      w: at.divideBeat,
      ...Object.fromEntries(SHEETS.map(({ sheet: to, key, edits }) => [key, () => (mine || !edits) && setSheet(to)])),
      '1': () => setLevel(1),
      '2': () => setLevel(2),
      '3': () => setLevel(3),
      '=': compare,
      d: () => at.direct('down'),
      u: () => at.direct('up'),
      '.': at.setAir,
      Delete: at.setAir,
      Backspace: at.setAir,
    },
    sheet === 'wave',
  )
  return (
    <div className="with-side">
      <div className="station-main">
        {sheet === 'wave' && <NeckRibbon />}
        <HandTools
          hand={hand}
          sheet={sheet}
          onSheet={setSheet}
          line={line}
          onLine={at.otherLine}
          comparing={kept !== null}
          chooser={chooser}
          onCompare={compare}
        >
          {mine && (
            <ArrangeForm
              division={at.division}
              bars={bars}
              school={desk.figure === undefined ? pattern.school : null}
              schools={schools}
              onReshape={(shape) => void at.reshapeTo(shape)}
              onSchool={at.setSchool}
              onLay={at.lay}
            >
              {desk.figure === undefined && (
                <>
                  <span className="button-row">
                    <span className="muted">mark the school</span>
                    <Marking
                      on={{ what: 'pattern', field: 'school', id: pattern.id }}
                      label="the picking school"
                      others={schools.map(({ slug }) => slug).filter((slug) => slug !== pattern.school)}
                    />
                  </span>
                  <PlayedHere what="pattern" />
                </>
              )}
            </ArrangeForm>
          )}
        </HandTools>
        {sheet === 'wave' && hand?.beside_band != null && (
          <p className="muted">Beside the part with the band: {hand.beside_band === '' ? 'the same strokes' : hand.beside_band}.</p>
        )}
        <p role="status" className="unseen">
          {slot === undefined
            ? ''
            : `Slot ${slot.slot + 1} of ${slots.length}, counted ${slot.syllable === '' ? 'nothing' : slot.syllable}: ${
                stroke === undefined
                  ? 'air'
                  : (hand?.sketch.strokes
                      .filter((each) => each.at === slot.at && each.kind !== 'air')
                      .map((each) => `${each.kind} ${each.direction}`)
                      .join(' and ') ?? '')
              }`}
        </p>
        <div ref={frame} className="hand-sheet">
          {sheet === 'patterns' && <PatternLibrary onClose={() => setSheet('wave')} />}
          {sheet === 'schools' && (
            <SchoolSheet width={width} advised={hand?.advice.school} reason={hand?.advice.reason ?? ''} onClose={() => setSheet('wave')} />
          )}
          {sheet === 'tap' && (
            <TapSheet width={width} bars={bars} onTake={({ change }) => apply(change)} onClose={() => setSheet('wave')} />
          )}
          {sheet === 'wave' && hand !== undefined && (
            <Waves
              hand={hand}
              pairsABeat={document.start.feel.unit === 'sixteenth' ? 2 : 1}
              timeline={timeline}
              bars={bars}
              width={width}
              selectedAt={slot?.at ?? null}
              line={lines.length === 2 ? line : null}
              onSlot={at.click}
            />
          )}
        </div>
        {hand !== undefined && sheet === 'wave' && (
          <CountField
            counted={hand.counted[line] ?? ''}
            line={line}
            name={lines.length === 2 ? `: ${lines[line]?.name ?? 'the other line'}` : ''}
          />
        )}
        <p className="legend" hidden={sheet !== 'wave' || bars > 1}>
          <i className="key-strike" /> strikes <i className="key-air" /> air <i className="key-chuck" /> chuck, no pitch{' '}
          <i className="key-ghost" /> ghost <i className="key-palm" /> palm-mute <i className="key-short" /> short{' '}
          <i className="key-ring" /> rings until the hand lets go <i className="key-swing" /> swing moves it from here{' '}
          <span>
            <i className="key-lane" /> the fretting hand presses
          </span>{' '}
          <span>
            <b className="lane-cross">×</b> it lies flat
          </span>
        </p>
      </div>
      <StrokePanel
        hand={hand}
        faults={timeline?.warnings ?? []}
        kept={kept}
        tempo={tempo}
        line={line}
        slot={slot}
        stroke={stroke}
        sounds={soundOf(timeline, pattern.id, stroke?.at)}
        mine={mine}
        onKind={setKind}
        onAir={at.setAir}
        onAccent={(accent) => at.setPart({ accent })}
        onPart={at.setPart}
        onDirection={at.direct}
      />
    </div>
  )
}

/** How long the stroke at this place of the pattern sounds where it first comes in the form. */
function soundOf(timeline: Timeline | undefined, pattern: string, at: number | undefined): { beats: number; seconds: number } | undefined {
  const first = timeline?.strokes.find((stroke) => stroke.at === at && stroke.pattern === pattern)
  return timeline === undefined || first === undefined
    ? undefined
    : { seconds: first.until - first.t, beats: beatsSince(timeline, first.bar, first.until) - beatsSince(timeline, first.bar, first.t) }
}
