import type { ReactNode } from 'react'
import { neckScale } from './neckGeometry'

export const LAST_FRET = 15
const WIDTH = 810
const LEFT = 44
const TOP = 18
const { wireX, tipX } = neckScale({ first: 0, last: LAST_FRET }, WIDTH)

/** Places on the long neck in its own units: x of a fret, y of a string counted from the lowest. */
export const longNeck = {
  gap: 23,
  width: LEFT + WIDTH + 12,
  x: (fret: number): number => LEFT + (fret === 0 ? -14 : tipX(fret)),
  wire: (fret: number): number => (fret < 0 ? 0 : LEFT + wireX(fret)),
  y: (string: number): number => TOP + string * longNeck.gap,
  height: (strings: number): number => TOP + strings * longNeck.gap + 12,
}

type Props = { strings: number; muted?: boolean[]; className: string; label?: string; children: ReactNode }

/** Fifteen frets with true spacing, the low string on top; what lies on them is drawn by whoever asks. */
export function LongNeck({ strings, muted = [], className, label, children }: Props) {
  const { x, y, wire } = longNeck
  return (
    <svg viewBox={`0 0 ${longNeck.width} ${longNeck.height(strings)}`} className={className} {...(label === undefined ? {} : { role: 'group', 'aria-label': label })}>
      {Array.from({ length: LAST_FRET + 1 }, (_, fret) => (
        <line key={fret} x1={wire(fret)} x2={wire(fret)} y1={y(0) - 8} y2={y(strings - 1) + 8} className={fret === 0 ? 'nut' : 'fret'} />
      ))}
      {Array.from({ length: strings }, (_, string) => (
        <line key={string} x1={wire(0)} x2={wire(LAST_FRET)} y1={y(string)} y2={y(string)} className={muted[string] === true ? 'string muted' : 'string'} strokeWidth={1.9 - (string * 1.2) / strings} />
      ))}
      {[3, 5, 7, 9, 12, 15].map((fret) => (
        <text key={fret} x={x(fret)} y={y(strings - 1) + 27} className="fret-number marked">
          {fret}
        </text>
      ))}
      {children}
    </svg>
  )
}
