import { useMemo, useRef, useState } from 'react'
import { reshape, useChoices, useHand, type Shape } from '../../api/queries'
import { withPattern } from '../../api/desk'
import type { Hand, HandSlot, PatternDocument, Timeline } from '../../api/types'
import { beatsSince } from '../../audio/bars'
import { useKeys } from '../../ui/keys'
import { useSheet } from '../../ui/useSheet'
import { useTabState } from '../../ui/useTabState'
import { useWidth } from '../../ui/useWidth'
import { useBench, useMine } from '../bench/benchContext'
import { PlayedHere } from '../bench/PlayedHere'
import { useRemake } from '../bench/useRemake'
import { CountField } from './CountField'
import { ArrangeForm } from './ArrangeForm'
import { HandTools } from './HandTools'
import { NeckRibbon } from './NeckRibbon'
import { PatternLibrary } from './PatternLibrary'
import { SchoolSheet } from './SchoolSheet'
import { GRIDS, SHEETS, type Sheet } from './sheets'
import { StrokePanel } from './StrokePanel'
import { lineEditor, withLines, type Kind } from './strokes'
import { TapSheet } from './TapSheet'
import { Waves } from './Waves'

/** The pattern as the hand plays it: every slot is set by a click or one key. */
export default function HandStation() {
  const { store, desk, tempo, level, setLevel, timeline } = useBench()
  const { document, pattern } = desk
  const mine = useMine()
  const remake = useRemake()
  const [grid, setGrid] = useState<number | null>(null)
  const [selected, setSelected] = useTabState(`slot:${store.getState().id}`, 0)
  const [sheet, setSheet] = useSheet<Sheet>(
    'wave',
    SHEETS.filter((each) => mine || !each.edits).map((each) => each.sheet),
  )
  const [kept, setKept] = useState<Hand | null>(null)
  const schools = useChoices().data?.schools ?? []
  const frame = useRef<HTMLDivElement>(null)
  const width = useWidth(frame)
  const [divided, setDivided] = useState<{ beat: number; division: number; from: PatternDocument; to: PatternDocument | undefined } | null>(
    null,
  )
  const hand = useHand(desk, tempo, grid, level, divided === null ? null : { beat: divided.beat, division: divided.division }).data
  const slots = useMemo(() => hand?.slots ?? [], [hand])
  const bars = hand === undefined ? 1 : hand.sketch.beats / hand.sketch.beats_a_bar
  const mixed = new Set(slots.map(({ division }) => division)).size > 1
  const slot: HandSlot | undefined = slots[Math.min(selected, slots.length - 1)]
  const [line, setLine] = useState(0)
  const lines = pattern.streams
  const { strokeAt, withKind, withoutStroke, changed, fixedDirection } = useMemo(
    () => lineEditor(Math.min(line, lines.length - 1), hand?.habits[line]),
    [line, lines.length, hand?.habits],
  )
  const stroke = strokeAt(pattern, slot?.at ?? null)
  const edit = (next: (pattern: PatternDocument) => PatternDocument) => mine && store.change((d) => withPattern(d, pattern.id, next))
  const setKind = (kind: Kind) => slot !== undefined && edit((d) => withKind(d, slot, kind))
  const setAir = () => slot !== undefined && edit((d) => withoutStroke(d, slot.at))
  const direct = (direction: 'down' | 'up') =>
    stroke !== undefined &&
    edit((d) =>
      fixedDirection(d, stroke.at, stroke.direction === direction && (stroke.fixed ?? []).includes('direction') ? null : direction),
    )
  const accent = () => stroke !== undefined && edit((d) => changed(d, stroke.at, { accent: ((stroke.accent ?? 1) + 1) % 4 }))
  const grip = (chord: 'next' | 'open') =>
    stroke !== undefined && edit((d) => changed(d, stroke.at, { chord: stroke.chord === chord ? 'this' : chord }))
  const compare = () => setKept(kept === null ? (hand ?? null) : null)
  const otherLine = () => {
    if (line === 0) edit((d) => withLines(d, 2))
    else edit((d) => withLines(d, 1))
    setLine(line === 0 && (mine || lines.length === 2) ? 1 : 0)
  }
  const lay = (shape: Shape) => mine && void remake((d) => reshape({ ...desk, document: d }, shape))
  const copyBar = () => (bars === 1 ? void reshapeTo({ bars: 2 }) : slot !== undefined && lay({ copy_bar: slot.at }))
  const reshapeTo = async (shape: Shape) => {
    if (!(await remake((d) => reshape({ ...desk, document: d }, shape)))) return
    setGrid(shape.grid ?? grid)
    setDivided(null)
  }
  /**
   * The beat at the cursor in the next division: halves, thirds, quarters, sixths, whole. Going on starts from the
   * strokes there were, so that trying divisions wears nothing down.
   */
  const divideBeat = async () => {
    if (slot === undefined || hand === undefined) return
    const beat = Math.floor(slot.beats + 1e-6)
    const division = GRIDS[(GRIDS.findIndex(({ value }) => value === slot.division) + 1) % GRIDS.length]?.value ?? 2
    const from = divided !== null && divided.beat === beat && divided.to === pattern ? divided.from : pattern
    if (!(await remake((d) => reshape({ ...desk, document: withPattern(d, pattern.id, () => from) }, { beat, division })))) return
    setGrid(null)
    setDivided({ beat, division, from, to: store.getState().document.patterns.find(({ id }) => id === pattern.id) })
    setSelected(slots.findIndex((each) => each.on_beat && Math.floor(each.beats + 1e-6) === beat))
  }
  const click = (at: HandSlot) => {
    if (at.slot !== slot?.slot) {
      setSelected(at.slot)
      if (strokeAt(pattern, at.at) === undefined) edit((d) => withKind(d, at, 'ring'))
      return
    }
    if (stroke === undefined) setKind('ring')
    else setAir()
  }
  useKeys(
    {
      ArrowRight: () => setSelected((selected + 1) % Math.max(1, slots.length)),
      ArrowLeft: () => setSelected((selected + slots.length - 1) % Math.max(1, slots.length)),
      x: () => setKind('ring'),
      c: () => setKind('chuck'),
      g: () => setKind('ghost'),
      m: () => setKind('palm-mute'),
      s: () => stroke !== undefined && setKind(stroke.articulation === 'short' ? 'ring' : 'short'),
      a: accent,
      p: () => grip('next'),
      o: () => grip('open'),
      h: () => lines.length === 2 && slot !== undefined && lay({ exchange_beat: slot.at }),
      v: otherLine,
      b: () => mine && copyBar(),
      w: () => mine && void divideBeat(),
      ...Object.fromEntries(SHEETS.map(({ sheet: to, key, edits }) => [key, () => (mine || !edits) && setSheet(to)])),
      '1': () => setLevel(1),
      '2': () => setLevel(2),
      '3': () => setLevel(3),
      '=': compare,
      d: () => direct('down'),
      u: () => direct('up'),
      '.': setAir,
      Delete: setAir,
      Backspace: setAir,
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
          onLine={otherLine}
          comparing={kept !== null}
          onCompare={compare}
        >
          {mine && (
            <ArrangeForm
              division={mixed ? 0 : (slots[0]?.division ?? 2)}
              bars={bars}
              school={pattern.school}
              schools={schools}
              onReshape={(shape) => void reshapeTo(shape)}
              onSchool={(school) => edit((d) => ({ ...d, school }))}
              onLay={lay}
            >
              <PlayedHere what="pattern" />
            </ArrangeForm>
          )}
        </HandTools>
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
          {sheet === 'tap' && <TapSheet width={width} bars={bars} onClose={() => setSheet('wave')} />}
          {sheet === 'wave' && hand !== undefined && (
            <Waves
              hand={hand}
              pairsABeat={document.start.feel.unit === 'sixteenth' ? 2 : 1}
              timeline={timeline}
              bars={bars}
              width={width}
              selectedAt={slot?.at ?? null}
              line={lines.length === 2 ? line : null}
              onSlot={click}
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
        onAir={setAir}
        onAccent={(to) => stroke !== undefined && edit((d) => changed(d, stroke.at, { accent: to }))}
        onPart={(part) => stroke !== undefined && edit((d) => changed(d, stroke.at, part))}
        onDirection={direct}
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
