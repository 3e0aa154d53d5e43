import { useState } from 'react'
import type { Hand, HandSlot, Timeline } from '../../api/types'
import { band } from '../../audio/band'
import { beatsSince } from '../../audio/bars'
import { useBandFrames } from '../../audio/useBandFrames'
import { Drawing } from '../../ui/Drawing'
import { HandWave } from '../../ui/HandWave'
import { FretLane } from './FretLane'
import { leantSketch, leantTo, useLean } from '../../ui/lean'
import { useBench } from '../bench/benchContext'
import { firstRound, roundAt } from './rounds'
import { WavePlayhead } from './WavePlayhead'

type Props = {
  hand: Hand
  /** pairs of notes in a beat that swing: 1 for eighths, 2 for sixteenths */ pairsABeat: number
  timeline: Timeline | undefined
  bars: number
  width: number
  selectedAt: number | null
  line: number | null
  onSlot: (slot: HandSlot) => void
}

/** The pattern bar under bar: the pick hand's wave, the fretting hand's lane, and the place that sounds. */
export function Waves({ hand, pairsABeat, timeline, bars, width, selectedAt, line, onSlot }: Props) {
  const round = useSoundingRound(timeline, hand.pattern)
  const lean = useLean((state) => state.p)
  const sketch = leantSketch(hand.sketch, lean, pairsABeat)
  const slots =
    lean === null ? hand.slots : hand.slots.map((slot) => ({ ...slot, beats: leantTo(slot.beats, hand.sketch.p, lean, pairsABeat) }))
  const height = bars === 1 ? 230 : 122
  const strokes = timeline === undefined ? [] : strokesOf(timeline, round, bars, hand.pattern)
  const tails = timeline === undefined ? [] : tailsOf(timeline, round, strokes)
  return Array.from({ length: bars }, (_, bar) => {
    const from = bar * hand.sketch.beats_a_bar
    const to = from + hand.sketch.beats_a_bar
    const chords = timeline === undefined ? [] : chordsOver(timeline, round, bar)
    return (
      <div key={bar} className="wave-row">
        <Drawing name={`the hand, bar ${bar + 1}`}>
          <HandWave
            sketch={sketch}
            slots={slots}
            fromBeat={from}
            toBeat={to}
            width={width}
            height={height}
            chords={chords}
            tails={tails}
            hits={strokes}
            strings={6}
            selectedAt={selectedAt}
            line={line}
            onSlot={onSlot}
          />
        </Drawing>
        {timeline !== undefined && (
          <FretLane tails={tails} dead={deadOf(timeline, round, strokes)} changes={chords} fromBeat={from} toBeat={to} width={width} />
        )}
        <WavePlayhead
          sketch={hand.sketch}
          fromBeat={from}
          toBeat={to}
          width={width}
          height={height}
          timeline={timeline}
          pattern={hand.pattern}
        />
      </div>
    )
  })
}

/** The first bar of the round of the pattern that sounds; while nothing sounds, of the place that is worked at. */
function useSoundingRound(timeline: Timeline | undefined, pattern: string): number {
  const { place } = useBench().desk
  const [sounding, setSounding] = useState<number | null>(null)
  useBandFrames(() => {
    const at = band.position()
    setSounding(at === null || timeline === undefined ? null : roundAt(timeline, pattern, at.bar))
  })
  if (timeline === undefined) return 0
  // A round that belonged to what was played before is none any more.
  return sounding !== null && roundAt(timeline, pattern, sounding) === sounding ? sounding : firstRound(timeline, pattern, place)
}

/** Chord names over one bar of the pattern in this round; beats count from the round's start. */
function chordsOver(timeline: Timeline, round: number, bar: number): { beats: number; symbol: string }[] {
  return timeline.chords
    .filter((chord) => chord.bar === round + bar)
    .map((chord) => ({ beats: beatsSince(timeline, round, chord.t), symbol: chord.symbol }))
}

/** The strokes of one round of a pattern. */
const strokesOf = (timeline: Timeline, round: number, bars: number, pattern: string) =>
  timeline.strokes.filter((stroke) => stroke.pattern === pattern && stroke.bar >= round && stroke.bar < round + bars)

/** How long the strokes of a round ring. */
function tailsOf(timeline: Timeline, round: number, strokes: Timeline['strokes']) {
  const beats = (t: number) => beatsSince(timeline, round, t)
  return strokes
    .filter((stroke) => stroke.kind !== 'chuck')
    .map((stroke) => ({
      at: stroke.at,
      beats: beats(stroke.t),
      until: beats(stroke.until),
      strings: stroke.strings,
      ends: stroke.ends.map(beats),
      cut: stroke.kind === 'short' || stroke.kind === 'palm-mute',
    }))
}

/** Where the fretting hand lies flat, in beats from the round's start. */
const deadOf = (timeline: Timeline, round: number, strokes: Timeline['strokes']): number[] =>
  strokes.filter((stroke) => stroke.kind === 'chuck').map((stroke) => beatsSince(timeline, round, stroke.t))
