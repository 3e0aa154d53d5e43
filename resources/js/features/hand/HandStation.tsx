import { Button, Segmented, Select } from 'antd'
import { useEffect, useMemo, useRef, useState } from 'react'
import { reshape, useChoices, useHand } from '../../api/queries'
import type { BreakdownDocument, Hand, HandSlot, Timeline } from '../../api/types'
import { band } from '../../audio/band'
import { useBandFrames } from '../../audio/useBandFrames'
import { useKeys } from '../../ui/keys'
import { HandWave } from '../../ui/HandWave'
import { useBench, useDocument, useMine } from '../bench/benchContext'
import { useRemake } from '../bench/useRemake'
import { CountField } from './CountField'
import { FretLane } from './FretLane'
import { NeckRibbon } from './NeckRibbon'
import { PatternLibrary } from './PatternLibrary'
import { StrokePanel } from './StrokePanel'
import { copiedBar, lineEditor, withLines, type Kind } from './strokes'
import { WavePlayhead } from './WavePlayhead'

const GRIDS = [
  { value: 1, label: 'beats' },
  { value: 2, label: 'halves' },
  { value: 3, label: 'thirds' },
  { value: 4, label: 'quarters' },
  { value: 6, label: 'sixths' },
]

const FAULTS = ['silent-strings', 'below-the-nut']

const ACCENTS = [
  { value: 'flat', label: 'flat' },
  { value: 'back-beat', label: 'back-beat' },
  { value: 'boom-chuck', label: 'boom-chuck' },
  { value: 'reset', label: 'first beat resets' },
]
const LENGTHS = [
  { value: 'ringing', label: 'ringing' },
  { value: 'long-dry', label: 'long, dry, long, dry' },
  { value: 'release-2-4', label: 'release on 2 and 4' },
  { value: 'release-all', label: 'release on all' },
]

/** The pattern as the hand plays it: every slot is set by a click or one key. */
export default function HandStation() {
  const { store, tempo, level, setLevel, timeline } = useBench()
  const document = useDocument()
  const mine = useMine()
  const remake = useRemake()
  const [grid, setGrid] = useState<number | null>(null)
  const [selected, setSelected] = useState(0)
  const [library, setLibrary] = useState(false)
  const [kept, setKept] = useState<Hand | null>(null)
  const schools = useChoices().data?.schools ?? []
  const frame = useRef<HTMLDivElement>(null)
  const width = useWidth(frame)
  const hand = useHand(document, tempo, grid, level).data
  const slots = useMemo(() => hand?.slots ?? [], [hand])
  const bars = hand === undefined ? 1 : hand.sketch.beats / hand.sketch.beats_a_bar
  const slot: HandSlot | undefined = slots[Math.min(selected, slots.length - 1)]
  const [line, setLine] = useState(0)
  const lines = document.pattern.streams
  const { strokeAt, withKind, withoutStroke, changed, fixedDirection } = useMemo(() => lineEditor(Math.min(line, lines.length - 1)), [line, lines.length])
  const stroke = strokeAt(document, slot?.at ?? null)
  const edit = (next: (d: BreakdownDocument) => BreakdownDocument) => mine && store.change(next)
  const setKind = (kind: Kind) => slot !== undefined && hand !== undefined && edit((d) => withKind(d, slot, hand.grid, kind))
  const setAir = () => slot !== undefined && edit((d) => withoutStroke(d, slot.at))
  const direct = (direction: 'down' | 'up') => stroke !== undefined && edit((d) => fixedDirection(d, stroke.at, stroke.direction === direction && (stroke.fixed ?? []).includes('direction') ? null : direction))
  const accent = () => stroke !== undefined && edit((d) => changed(d, stroke.at, { accent: ((stroke.accent ?? 1) + 1) % 4 }))
  const push = () => stroke !== undefined && edit((d) => changed(d, stroke.at, { chord: stroke.chord === 'next' ? 'this' : 'next' }))
  const otherLine = () => {
    if (line === 0) edit((d) => withLines(d, 2))
    else edit((d) => withLines(d, 1))
    setLine(line === 0 && (mine || lines.length === 2) ? 1 : 0)
  }
  const copyBar = () => (bars === 1 ? void reshapeTo({ bars: 2 }) : slot !== undefined && hand !== undefined && edit((d) => copiedBar(d, bars, slot.at)))
  const lay = (shape: { accents?: string; lengths?: string }) => void remake((d) => reshape(d, shape))
  const reshapeTo = async (shape: { bars?: number; grid?: number }) => {
    if (await remake((d) => reshape(d, shape))) setGrid(shape.grid ?? grid)
  }
  const click = (at: HandSlot) => {
    if (at.slot !== slot?.slot) {
      setSelected(at.slot)
      if (strokeAt(document, at.at) === undefined && hand !== undefined) edit((d) => withKind(d, at, hand.grid, 'ring'))
      return
    }
    if (stroke === undefined) setKind('ring')
    else setAir()
  }
  useKeys({
    ArrowRight: () => setSelected((at) => (at + 1) % Math.max(1, slots.length)),
    ArrowLeft: () => setSelected((at) => (at + slots.length - 1) % Math.max(1, slots.length)),
    x: () => setKind('ring'),
    c: () => setKind('chuck'),
    g: () => setKind('ghost'),
    m: () => setKind('palm-mute'),
    s: () => stroke !== undefined && setKind(stroke.articulation === 'short' ? 'ring' : 'short'),
    a: accent,
    p: push,
    v: otherLine,
    b: () => mine && copyBar(),
    l: () => mine && setLibrary(true),
    '1': () => setLevel(1),
    '2': () => setLevel(2),
    '3': () => setLevel(3),
    '=': () => setKept(kept === null ? (hand ?? null) : null),
    d: () => direct('down'),
    u: () => direct('up'),
    '.': setAir,
    Delete: setAir,
    Backspace: setAir,
  }, !library)
  const round = useSoundingRound(bars)
  return (
    <div className="with-side">
      <div className="station-main">
        <NeckRibbon />
        <div className="station-head">
          <h2>Hand</h2>
          <p className="muted">{bars === 1 ? 'One bar' : `${bars} bars`}, repeated through the form. Click a slot, or use the keys.</p>
          {mine && (
            <div className="title-actions">
              <label className="inline">
                Beat in <Select aria-label="Beat divided in" style={{ width: 96 }} value={hand?.grid ?? 2} options={GRIDS.some((each) => each.value === hand?.grid) ? GRIDS : [...GRIDS, { value: hand?.grid ?? 2, label: 'mixed' }]} onChange={(to: number) => void reshapeTo({ grid: to })} />
              </label>
              <label className="inline">
                Bars <Segmented aria-label="Bars" options={[1, 2, 4]} value={bars} onChange={(to) => void reshapeTo({ bars: Number(to) })} />
              </label>
              <Select aria-label="Picking school" style={{ width: 168 }} value={document.school} options={schools.map(({ slug, name }) => ({ value: slug, label: name }))} onChange={(school: BreakdownDocument['school']) => edit((d) => ({ ...d, school }))} />
            </div>
          )}
        </div>
        <div className="hand-tools">
          {mine && (
            <Button size="small" onClick={() => setLibrary(!library)}>
              Patterns <kbd>L</kbd>
            </Button>
          )}
          {(mine || lines.length === 2) && (
            <Button size="small" aria-pressed={line === 1} onClick={otherLine}>
              {line === 1 ? `Line: ${lines[1]?.name ?? 'bass'}` : lines.length === 2 ? `Line: ${lines[0].name}` : 'Second line'} <kbd>V</kbd>
            </Button>
          )}
          <label className="inline">
            Level <Segmented aria-label="Level" size="small" options={[1, 2, 3]} value={level} onChange={(to) => setLevel(Number(to))} />
          </label>
          {mine && <Select aria-label="Weight" size="small" style={{ width: 150 }} placeholder="lay weight over it" value={null} options={ACCENTS} onChange={(accents: string | null) => accents !== null && lay({ accents })} />}
          {mine && <Select aria-label="Lengths" size="small" style={{ width: 170 }} placeholder="lay lengths over it" value={null} options={LENGTHS} onChange={(lengths: string | null) => lengths !== null && lay({ lengths })} />}
          <Button size="small" aria-pressed={kept !== null} onClick={() => setKept(kept === null ? (hand ?? null) : null)}>
            {kept === null ? 'Compare with this' : 'End comparing'} <kbd>=</kbd>
          </Button>
          {hand !== undefined && hand.advice.school !== document.school && (
            <span className="advice">
              {hand.advice.reason}{' '}
              {mine && (
                <Button size="small" onClick={() => edit((d) => ({ ...d, school: hand.advice.school }))}>
                  {schools.find(({ slug }) => slug === hand.advice.school)?.name}
                </Button>
              )}
            </span>
          )}
        </div>
        {library && <PatternLibrary onClose={() => setLibrary(false)} />}
        <div ref={frame} className="waves" hidden={library}>
          {hand !== undefined &&
            Array.from({ length: bars }, (_, bar) => {
              const from = bar * hand.sketch.beats_a_bar
              return (
                <div key={bar} className="wave-row">
                  <HandWave
                    sketch={hand.sketch}
                    slots={slots}
                    fromBeat={from}
                    toBeat={from + hand.sketch.beats_a_bar}
                    width={width}
                    height={bars === 1 ? 230 : 122}
                    chords={timeline === undefined ? [] : chordsOver(timeline, round, bar)}
                    tails={timeline === undefined ? [] : tailsOf(timeline, round)}
                    strings={6}
                    selectedAt={slot?.at ?? null}
                    line={lines.length === 2 ? line : null}
                    onSlot={click}
                  />
                  {timeline !== undefined && <FretLane tails={tailsOf(timeline, round)} dead={deadOf(timeline, round)} changes={chordsOver(timeline, round, bar)} fromBeat={from} toBeat={from + hand.sketch.beats_a_bar} width={width} />}
                  <WavePlayhead sketch={hand.sketch} fromBeat={from} toBeat={from + hand.sketch.beats_a_bar} width={width} height={bars === 1 ? 230 : 122} patternBars={bars} />
                </div>
              )
            })}
        </div>
        {hand !== undefined && !library && <CountField counted={hand.counted} />}
        <p className="legend" hidden={library || bars > 1}>
          <i className="key-strike" /> strikes <i className="key-air" /> air <i className="key-chuck" /> chuck, no pitch <i className="key-ghost" /> ghost <i className="key-ring" /> rings until the hand lets go <i className="key-swing" /> swing moves it from here
        </p>
      </div>
      <StrokePanel hand={hand} faults={timeline?.warnings.filter(({ kind }) => FAULTS.includes(kind)) ?? []} kept={kept} tempo={tempo} line={line} onPush={push} slot={slot} stroke={stroke} mine={mine} onKind={setKind} onAir={setAir} onAccent={(to) => stroke !== undefined && edit((d) => changed(d, stroke.at, { accent: to }))} onPart={(part) => stroke !== undefined && edit((d) => changed(d, stroke.at, part))} onDirection={direct} />
    </div>
  )
}

/** The first bar of the round of the pattern that sounds; 0 while nothing does. */
function useSoundingRound(patternBars: number): number {
  const [round, setRound] = useState(0)
  useBandFrames(() => {
    const at = band.position()
    setRound(at === null ? 0 : Math.floor(at.bar / patternBars) * patternBars)
  })
  return round
}

/** Chord names over one bar of the pattern in this round; beats count from the round's start. */
function chordsOver(timeline: Timeline, round: number, bar: number): { beats: number; symbol: string }[] {
  const start = round * timeline.beats_a_bar

  return timeline.chords.filter((chord) => chord.bar === round + bar).map((chord) => ({ beats: chord.t / timeline.beat_seconds - start, symbol: chord.symbol }))
}

/** How long the strokes of this round ring. */
function tailsOf(timeline: Timeline, round: number) {
  const beat = timeline.beat_seconds
  const start = round * timeline.beats_a_bar

  return timeline.strokes
    .filter((stroke) => stroke.bar >= round && stroke.bar < round + timeline.pattern_bars && stroke.kind !== 'chuck')
    .map((stroke) => ({ at: stroke.at, beats: stroke.t / beat - start, until: stroke.until / beat - start, strings: stroke.strings, cut: stroke.kind === 'short' || stroke.kind === 'palm-mute' }))
}

/** Where the fretting hand lies flat in this round, in beats. */
function deadOf(timeline: Timeline, round: number): number[] {
  const start = round * timeline.beats_a_bar
  return timeline.strokes.filter((stroke) => stroke.kind === 'chuck' && stroke.bar >= round && stroke.bar < round + timeline.pattern_bars).map((stroke) => stroke.t / timeline.beat_seconds - start)
}

function useWidth(box: React.RefObject<HTMLDivElement | null>): number {
  const [width, setWidth] = useState(900)
  useEffect(() => {
    const element = box.current
    if (element === null) return
    const observer = new ResizeObserver(() => setWidth(Math.max(320, element.clientWidth)))
    observer.observe(element)
    return () => observer.disconnect()
  }, [box])
  return width
}
