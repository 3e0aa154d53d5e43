import { withLine } from '../../api/desk'
import { letGo, pinned, pinOf } from '../../api/pins'
import type { LineDocument, VoicedChord, Voicing } from '../../api/types'
import { useBench, useMine } from '../bench/benchContext'

/** Holds chords of the line to grips: one chord, all of them, or a grip that the same chord on other roots follows. */
export function usePins() {
  const { store, desk } = useBench()
  const mine = useMine()
  const change = (line: (before: LineDocument) => LineDocument) => {
    if (mine) store.change((d) => withLine(d, desk.line.id, line))
  }
  const asIs = (chord: VoicedChord, frets: (number | null)[]) => pinOf(chord, frets, chord.linked, chord.nickname)
  return {
    pin: (chord: VoicedChord, voicing: Voicing) => change(pinned([asIs(chord, voicing.frets)])),
    pinFrets: (chord: VoicedChord, frets: (number | null)[]) => change(pinned([asIs(chord, frets)])),
    name: (chord: VoicedChord, nickname: string) => change(pinned([pinOf(chord, chord.voicing.frets, chord.linked, nickname)])),
    letGo: (chord: VoicedChord) => change(letGo(chord.place)),
    link: (chord: VoicedChord, voicing: Voicing) => change(pinned([pinOf(chord, voicing.frets, !chord.linked, chord.nickname)])),
    pinAll: (chords: VoicedChord[]) => change((line) => ({ ...line, pins: chords.map((chord) => asIs(chord, chord.voicing.frets)) })),
  }
}
