import { useRef, type PointerEvent } from 'react'
import { neckScale } from '../../ui/neckGeometry'
import { gripText, moved, pressed, type Grip } from './gripText'

const LAST_FRET = 15
const WIDTH = 820
const LEFT = 46
const GAP = 22

type Props = { grip: Grip; degrees: (string | null)[]; root: { string: number; fret: number } | null; onGrip: (grip: Grip) => void }

/** A neck to press strings on: a click sounds a fret or mutes it, and dragging a dot takes the whole grip along. */
export function PressNeck({ grip, degrees, root, onGrip }: Props) {
  const drag = useRef<{ fret: number; grip: Grip; moved: boolean } | null>(null)
  const strings = grip.length
  const { wireX, tipX } = neckScale({ first: 0, last: LAST_FRET }, WIDTH)
  const x = (fret: number) => LEFT + (fret === 0 ? -14 : tipX(fret))
  const y = (string: number) => 16 + string * GAP
  const bottom = y(strings - 1)
  const fretAt = (event: PointerEvent) => {
    const svg = event.currentTarget.closest('svg')?.getBoundingClientRect()
    const px = svg === undefined ? 0 : ((event.clientX - svg.left) / svg.width) * (LEFT + WIDTH + 12) - LEFT
    return Array.from({ length: LAST_FRET + 1 }, (_, fret) => fret).findLast((fret) => px > (fret === 0 ? -Infinity : wireX(fret - 1))) ?? 0
  }
  const follow = (event: PointerEvent) => {
    if (drag.current === null) return
    const by = fretAt(event) - drag.current.fret
    if (by !== 0) drag.current.moved = true
    if (drag.current.moved) onGrip(moved(drag.current.grip, by, LAST_FRET))
  }

  return (
    <svg viewBox={`0 0 ${LEFT + WIDTH + 12} ${bottom + 34}`} className="press-neck" role="group" aria-label={`Neck with the grip ${gripText(grip)}`}>
      {Array.from({ length: LAST_FRET + 1 }, (_, fret) => (
        <line key={fret} x1={LEFT + wireX(fret)} x2={LEFT + wireX(fret)} y1={y(0) - 8} y2={bottom + 8} className={fret === 0 ? 'nut' : 'fret'} />
      ))}
      {grip.map((fret, string) => (
        <line key={string} x1={LEFT} x2={LEFT + WIDTH} y1={y(string)} y2={y(string)} className={fret === null ? 'string muted' : 'string'} strokeWidth={1.9 - (string * 1.2) / strings} />
      ))}
      {[3, 5, 7, 9, 12, 15].map((fret) => (
        <text key={fret} x={LEFT + tipX(fret)} y={bottom + 28} className="fret-number marked">
          {fret}
        </text>
      ))}
      {root !== null && !degrees.includes('R') && root.fret <= LAST_FRET && <rect x={x(root.fret) - 8} y={y(strings - root.string) - 8} width={16} height={16} className="imagined-root" />}
      {grip.map((fret, string) =>
        fret === null ? (
          <path key={string} d={`M${x(0) - 4} ${y(string) - 4}l8 8m0 -8l-8 8`} className="mute-cross" />
        ) : (
          <g key={string} className="now-dot">
            <rect x={x(fret) - 14} y={y(string) - 9} width={28} height={18} rx={degrees[string] === 'R' ? 0 : 9} />
            <text x={x(fret)} y={y(string) + 4}>
              {degrees[string] ?? '·'}
            </text>
          </g>
        ),
      )}
      {grip.map((_, string) =>
        Array.from({ length: LAST_FRET + 1 }, (__, fret) => {
          const left = fret === 0 ? 0 : LEFT + wireX(fret - 1)
          return (
            <rect
              key={`${string}-${fret}`}
              data-place={`${string}-${fret}`}
              className="press-place"
              x={left}
              y={y(string) - GAP / 2}
              width={LEFT + wireX(fret) - left}
              height={GAP}
              onPointerDown={(event) => {
                drag.current = grip[string] === fret && fret > 0 ? { fret, grip, moved: false } : null
                if (drag.current !== null) event.currentTarget.setPointerCapture(event.pointerId)
              }}
              onPointerMove={follow}
              onPointerUp={() => {
                if (drag.current?.moved !== true) onGrip(pressed(grip, string, fret))
                drag.current = null
              }}
            >
              <title>{`String ${strings - string}, ${fret === 0 ? 'open' : `fret ${fret}`}`}</title>
            </rect>
          )
        }),
      )}
    </svg>
  )
}
