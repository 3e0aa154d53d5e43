import type { ReactNode } from 'react'
import { neckScale } from './neckGeometry'
import { useNeckView, type NeckView } from './neckView'

export const LAST_FRET = 15
const WIDTH = 810
const LEFT = 44
const TOP = 18
const GAP = 23

/** Places on the long neck in its own units: x of a fret, y of a string counted from the lowest, the box of a place to press. */
export function longNeck(strings: number, view: NeckView) {
  const { wireX, tipX, openX, row } = neckScale({ first: 0, last: LAST_FRET }, WIDTH, view)
  const wire = (fret: number): number => LEFT + (fret < 0 ? openX(LEFT) : wireX(fret))
  const y = (string: number): number => TOP + row(string, strings) * GAP
  return {
    x: (fret: number): number => LEFT + (fret === 0 ? openX(14) : tipX(fret)),
    wire,
    y,
    bottom: TOP + (strings - 1) * GAP,
    box: (string: number, fret: number) => ({
      x: Math.min(wire(fret - 1), wire(fret)),
      width: Math.abs(wire(fret) - wire(fret - 1)),
      y: y(string) - GAP / 2,
      height: GAP,
    }),
  }
}

export const useLongNeck = (strings: number) => longNeck(strings, useNeckView())

/** The width of the drawing in its own units, the room beyond the nut on either side. */
export const LONG_NECK_WIDTH = 2 * LEFT + WIDTH

type Props = { strings: number; muted?: boolean[]; className: string; label?: string; children: ReactNode }

/** Fifteen frets with true spacing; what lies on them is drawn by whoever asks. */
export function LongNeck({ strings, muted = [], className, label, children }: Props) {
  const { x, y, wire, bottom } = useLongNeck(strings)
  return (
    <svg
      viewBox={`0 0 ${LONG_NECK_WIDTH} ${bottom + GAP + 12}`}
      className={className}
      {...(label === undefined ? {} : { role: 'group', 'aria-label': label })}
    >
      {Array.from({ length: LAST_FRET + 1 }, (_, fret) => (
        <line key={fret} x1={wire(fret)} x2={wire(fret)} y1={TOP - 8} y2={bottom + 8} className={fret === 0 ? 'nut' : 'fret'} />
      ))}
      {Array.from({ length: strings }, (_, string) => (
        <line
          key={string}
          x1={wire(0)}
          x2={wire(LAST_FRET)}
          y1={y(string)}
          y2={y(string)}
          className={muted[string] === true ? 'string muted' : 'string'}
          strokeWidth={1.9 - (string * 1.2) / strings}
        />
      ))}
      {[3, 5, 7, 9, 12, 15].map((fret) => (
        <text key={fret} x={x(fret)} y={bottom + 27} className="fret-number marked">
          {fret}
        </text>
      ))}
      {children}
    </svg>
  )
}
