import { useState } from 'react'
import type { Hand, HandSlot, Timeline } from '../../api/types'
import { band } from '../../audio/band'
import { useBandFrames } from '../../audio/useBandFrames'
import { HandWave } from '../../ui/HandWave'
import { FretLane } from './FretLane'
import { leantSketch, leantTo, useLean } from '../../ui/lean'
import { WavePlayhead } from './WavePlayhead'

type Props = { hand: Hand; /** pairs of notes in a beat that swing: 1 for eighths, 2 for sixteenths */ pairsABeat: number; timeline: Timeline | undefined; bars: number; width: number; selectedAt: number | null; line: number | null; onSlot: (slot: HandSlot) => void }

/** The pattern bar under bar: the pick hand's wave, the fretting hand's lane, and the place that sounds. */
export function Waves({ hand, pairsABeat, timeline, bars, width, selectedAt, line, onSlot }: Props) {
  const round = useSoundingRound(bars)
  const lean = useLean((state) => state.p)
  const sketch = leantSketch(hand.sketch, lean, pairsABeat)
  const slots = lean === null ? hand.slots : hand.slots.map((slot) => ({ ...slot, beats: leantTo(slot.beats, hand.sketch.p, lean, pairsABeat) }))
  const height = bars === 1 ? 230 : 122
  const tails = timeline === undefined ? [] : tailsOf(timeline, round)
  return Array.from({ length: bars }, (_, bar) => {
    const from = bar * hand.sketch.beats_a_bar
    const to = from + hand.sketch.beats_a_bar
    const chords = timeline === undefined ? [] : chordsOver(timeline, round, bar)
    return (
      <div key={bar} className="wave-row">
        <HandWave sketch={sketch} slots={slots} fromBeat={from} toBeat={to} width={width} height={height} chords={chords} tails={tails} hits={timeline === undefined ? [] : hitsOf(timeline, round)} strings={6} selectedAt={selectedAt} line={line} onSlot={onSlot} />
        {timeline !== undefined && <FretLane tails={tails} dead={deadOf(timeline, round)} changes={chords} fromBeat={from} toBeat={to} width={width} />}
        <WavePlayhead sketch={hand.sketch} fromBeat={from} toBeat={to} width={width} height={height} patternBars={bars} />
      </div>
    )
  })
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
    .map((stroke) => ({ at: stroke.at, beats: stroke.t / beat - start, until: stroke.until / beat - start, strings: stroke.strings, ends: stroke.ends.map((end) => end / beat - start), cut: stroke.kind === 'short' || stroke.kind === 'palm-mute' }))
}

/** The strings each stroke of this round meets. */
function hitsOf(timeline: Timeline, round: number): { at: number; strings: number[] }[] {
  return timeline.strokes.filter((stroke) => stroke.bar >= round && stroke.bar < round + timeline.pattern_bars)
}

/** Where the fretting hand lies flat in this round, in beats. */
function deadOf(timeline: Timeline, round: number): number[] {
  const start = round * timeline.beats_a_bar
  return timeline.strokes.filter((stroke) => stroke.kind === 'chuck' && stroke.bar >= round && stroke.bar < round + timeline.pattern_bars).map((stroke) => stroke.t / timeline.beat_seconds - start)
}
