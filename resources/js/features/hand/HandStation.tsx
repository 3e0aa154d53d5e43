import { Segmented, Select } from 'antd'
import { useEffect, useMemo, useRef, useState } from 'react'
import { reshape, useHand } from '../../api/queries'
import type { BreakdownDocument, HandSlot, Timeline } from '../../api/types'
import { band } from '../../audio/band'
import { useKeys } from '../../ui/keys'
import { HandWave } from '../../ui/HandWave'
import { useBench, useDocument, useMine } from '../bench/benchContext'
import { useRemake } from '../bench/useRemake'
import { NeckRibbon } from './NeckRibbon'
import { StrokePanel } from './StrokePanel'
import { changed, fixedDirection, strokeAt, withKind, withoutStroke, type Kind } from './strokes'
import { WavePlayhead } from './WavePlayhead'

const GRIDS = [
  { value: 1, label: 'beats' },
  { value: 2, label: 'halves' },
  { value: 3, label: 'thirds' },
  { value: 4, label: 'quarters' },
  { value: 6, label: 'sixths' },
]

/** The pattern as the hand plays it: every slot is set by a click or one key. */
export default function HandStation() {
  const { store, tempo, timeline } = useBench()
  const document = useDocument()
  const mine = useMine()
  const remake = useRemake()
  const [grid, setGrid] = useState<number | null>(null)
  const [selected, setSelected] = useState(0)
  const frame = useRef<HTMLDivElement>(null)
  const width = useWidth(frame)
  const hand = useHand(document, tempo, grid).data
  const slots = useMemo(() => hand?.slots ?? [], [hand])
  const slot: HandSlot | undefined = slots[Math.min(selected, slots.length - 1)]
  const stroke = strokeAt(document, slot?.at ?? null)
  const edit = (next: (d: BreakdownDocument) => BreakdownDocument) => mine && store.change(next)
  const setKind = (kind: Kind) => slot !== undefined && hand !== undefined && edit((d) => withKind(d, slot, hand.grid, kind))
  const setAir = () => slot !== undefined && edit((d) => withoutStroke(d, slot.at))
  const direct = (direction: 'down' | 'up') => stroke !== undefined && edit((d) => fixedDirection(d, stroke.at, stroke.direction === direction && (stroke.fixed ?? []).includes('direction') ? null : direction))
  const accent = () => stroke !== undefined && edit((d) => changed(d, stroke.at, { accent: ((stroke.accent ?? 1) + 1) % 4 }))
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
    d: () => direct('down'),
    u: () => direct('up'),
    '.': setAir,
    Delete: setAir,
    Backspace: setAir,
  })
  const bars = hand === undefined ? 1 : hand.sketch.beats / hand.sketch.beats_a_bar
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
                Bars <Segmented aria-label="Bars" options={[1, 2]} value={bars} onChange={(to) => void reshapeTo({ bars: Number(to) })} />
              </label>
              <Segmented
                aria-label="Picking school"
                options={[{ value: 'pendulum', label: 'Pendulum' }, { value: 'all-down', label: 'All down' }]}
                value={document.school}
                onChange={(school) => edit((d) => ({ ...d, school: school as BreakdownDocument['school'] }))}
              />
            </div>
          )}
        </div>
        <div ref={frame} className="waves">
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
                    height={bars === 1 ? 260 : 180}
                    chords={timeline === undefined ? [] : chordsOver(timeline, round, bar)}
                    tails={timeline === undefined ? [] : tailsOf(timeline, round)}
                    strings={6}
                    selectedAt={slot?.at ?? null}
                    onSlot={click}
                  />
                  <WavePlayhead sketch={hand.sketch} fromBeat={from} toBeat={from + hand.sketch.beats_a_bar} width={width} height={bars === 1 ? 260 : 180} patternBars={bars} />
                </div>
              )
            })}
        </div>
        <p className="legend">
          <i className="key-strike" /> strikes <i className="key-air" /> air <i className="key-chuck" /> chuck, no pitch <i className="key-ghost" /> ghost <i className="key-ring" /> rings until the hand lets go <i className="key-swing" /> swing moves it from here
        </p>
      </div>
      <StrokePanel hand={hand} slot={slot} stroke={stroke} mine={mine} onKind={setKind} onAir={setAir} onAccent={(to) => stroke !== undefined && edit((d) => changed(d, stroke.at, { accent: to }))} onPart={(part) => stroke !== undefined && edit((d) => changed(d, stroke.at, part))} onDirection={direct} />
    </div>
  )
}

/** The first bar of the round of the pattern that sounds; 0 while nothing does. */
function useSoundingRound(patternBars: number): number {
  const [round, setRound] = useState(0)
  useEffect(() => {
    const timer = setInterval(() => {
      const at = band.position()
      setRound(at === null ? 0 : Math.floor(at.bar / patternBars) * patternBars)
    }, 50)

    return () => clearInterval(timer)
  }, [patternBars])

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
