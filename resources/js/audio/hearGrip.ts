import type { Voicing } from '../api/types'
import { output } from './band'

const BETWEEN_STRINGS = 0.04
const RINGS = 1.6

const BETWEEN_GRIPS = 0.42

/** Strums a grip slowly from its lowest string, so that every note is heard. */
export async function hearGrip(voicing: Voicing): Promise<void> {
  if (!(await output.resume())) return
  strum(voicing, output.now() + 0.03, RINGS)
}

/** One grip after another, the last one ringing. */
export async function hearInTurn(voicings: Voicing[]): Promise<void> {
  if (!(await output.resume())) return
  const start = output.now() + 0.03
  voicings.forEach((voicing, index) => strum(voicing, start + index * BETWEEN_GRIPS, index === voicings.length - 1 ? RINGS : BETWEEN_GRIPS))
}

function strum(voicing: Voicing, start: number, dur: number): void {
  const strings = voicing.frets.length
  let order = 0
  voicing.midi.forEach((pitch, index) => {
    if (pitch === null) return
    output.play(
      { part: 'guitar', t: 0, dur, pitch, velocity: 0.7, kind: 'ring', string: strings - index, direction: 'down' },
      start + order * BETWEEN_STRINGS,
    )
    order++
  })
}

/** Sounds some notes together, as a double stop or a single note of a fill. */
export async function hearNotes(midi: number[]): Promise<void> {
  if (!(await output.resume())) return
  const start = output.now() + 0.03
  midi.forEach((pitch, index) =>
    output.play(
      { part: 'guitar', t: 0, dur: RINGS, pitch, velocity: 0.7, kind: 'ring', string: midi.length - index, direction: 'down' },
      start,
    ),
  )
}

/** Notes one after another, several at once where they belong together. */
export async function hearLine(notes: number[][]): Promise<void> {
  if (!(await output.resume())) return
  const start = output.now() + 0.03
  notes.forEach((together, index) =>
    together.forEach((pitch, voice) =>
      output.play(
        {
          part: 'guitar',
          t: 0,
          dur: BETWEEN_GRIPS,
          pitch,
          velocity: 0.7,
          kind: 'ring',
          string: together.length - voice,
          direction: 'down',
        },
        start + index * BETWEEN_GRIPS,
      ),
    ),
  )
}
