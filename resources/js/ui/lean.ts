import { create } from 'zustand'
import type { HandSketch } from '../api/types'

/** The share of the pair that the feel dial is being dragged to; null while nobody drags it and the core's figures stand. */
export const useLean = create<{ p: number | null }>(() => ({ p: null }))

const THIRDS = 1e-3

/** A place in beats that the core laid out at one share of the pair, where another share would put it; thirds stay. */
export function leantTo(beats: number, from: number, to: number, pairsABeat: number): number {
  const pairs = beats * pairsABeat
  const whole = Math.floor(pairs + 1e-6)
  const place = pairs - whole
  if (place < 1e-6 || (pairsABeat === 1 && Math.abs(3 * place - Math.round(3 * place)) < THIRDS && Math.abs(place - from) > THIRDS))
    return beats
  return (whole + (place <= from + 1e-9 ? (place / from) * to : to + ((place - from) / (1 - from)) * (1 - to))) / pairsABeat
}

/** The hand as it will lie, drawn at once while the dial moves; the core's answer takes its place. */
export const leantSketch = (sketch: HandSketch, to: number | null, pairsABeat: number): HandSketch =>
  to === null || Math.abs(to - sketch.p) < 1e-4
    ? sketch
    : { ...sketch, p: to, strokes: sketch.strokes.map((stroke) => ({ ...stroke, beats: leantTo(stroke.beats, sketch.p, to, pairsABeat) })) }
