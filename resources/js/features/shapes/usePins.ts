import type { PinDocument, VoicedChord, Voicing } from '../../api/types'
import { useBench, useMine } from '../bench/benchContext'

const isAt = (chord: VoicedChord) => (each: { section: number; bar: number; at: number }) => each.section === chord.section && each.bar === chord.bar && each.at === chord.at

/** Holds chords of the line to grips: one chord, all of them, or a grip that the same chord on other roots follows. */
export function usePins() {
  const { store } = useBench()
  const mine = useMine()
  const asPin = (chord: VoicedChord, voicing: Voicing): PinDocument => ({ section: chord.section, bar: chord.bar, at: chord.at, symbol: chord.symbol, frets: voicing.frets as PinDocument['frets'] })
  return {
    pin: (chord: VoicedChord, voicing: Voicing) => {
      if (mine) store.change((d) => ({ ...d, pins: [...d.pins.filter((each) => !isAt(chord)(each)), { ...asPin(chord, voicing), ...(chord.linked ? { linked: true } : {}) }] }))
    },
    pinFrets: (chord: VoicedChord, frets: (number | null)[]) => {
      if (mine) store.change((d) => ({ ...d, pins: [...d.pins.filter((each) => !isAt(chord)(each)), { ...asPin(chord, chord.voicing), frets: frets as PinDocument['frets'], ...(chord.linked ? { linked: true } : {}) }] }))
    },
    letGo: (chord: VoicedChord) => {
      if (mine) store.change((d) => ({ ...d, pins: d.pins.filter((each) => !isAt(chord)(each)) }))
    },
    link: (chord: VoicedChord, voicing: Voicing) => {
      if (mine) store.change((d) => ({ ...d, pins: [...d.pins.filter((each) => !isAt(chord)(each)), { ...asPin(chord, voicing), ...(chord.linked ? {} : { linked: true }) }] }))
    },
    pinAll: (chords: VoicedChord[]) => store.change((d) => ({ ...d, pins: chords.map((chord) => asPin(chord, chord.voicing)) })),
  }
}
