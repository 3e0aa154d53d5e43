import type { LineDocument, PinDocument, VoicedChord } from './types'

type At = PinDocument['at']

export const samePlace = (a: At, b: At): boolean => a.section === b.section && a.ending === b.ending && a.bar === b.bar && a.tick === b.tick

export const pinOf = ({ place, symbol }: VoicedChord, frets: (number | null)[], linked = false, nickname = ''): PinDocument => ({
  at: place,
  symbol,
  frets: frets as PinDocument['frets'],
  ...(linked ? { linked } : {}),
  ...(nickname === '' ? {} : { nickname }),
})

/** A line with grips pinned, in the stead of those that were pinned there. */
export const pinned =
  (pins: PinDocument[]) =>
  (line: LineDocument): LineDocument => ({
    ...line,
    pins: [...line.pins.filter((pin) => !pins.some((each) => samePlace(each.at, pin.at))), ...pins],
  })

/** A line whose chord at a place goes free again. */
export const letGo =
  (at: At) =>
  (line: LineDocument): LineDocument => ({ ...line, pins: line.pins.filter((pin) => !samePlace(pin.at, at)) })
