import { useRef, type PointerEvent } from 'react'
import { LAST_FRET, LONG_NECK_WIDTH, LongNeck, useLongNeck } from '../../ui/LongNeck'
import { gripText, moved, pressed, type Grip } from '../../ui/gripText'

type Props = { grip: Grip; degrees: (string | null)[]; root: { string: number; fret: number } | null; onGrip: (grip: Grip) => void }

/** A neck to press strings on: a click sounds a fret or mutes it, and dragging a dot takes the whole grip along. */
export function PressNeck({ grip, degrees, root, onGrip }: Props) {
  const drag = useRef<{ fret: number; grip: Grip; moved: boolean } | null>(null)
  const strings = grip.length
  const { x, y, box } = useLongNeck(strings)
  const fretAt = (event: PointerEvent) => {
    const svg = event.currentTarget.closest('svg')?.getBoundingClientRect()
    const px = svg === undefined ? 0 : ((event.clientX - svg.left) / svg.width) * LONG_NECK_WIDTH
    return (
      Array.from({ length: LAST_FRET + 1 }, (_, fret) => fret).find(
        (fret) => px >= box(0, fret).x && px < box(0, fret).x + box(0, fret).width,
      ) ?? 0
    )
  }
  const follow = (event: PointerEvent) => {
    if (drag.current === null) return
    const by = fretAt(event) - drag.current.fret
    if (by !== 0) drag.current.moved = true
    if (drag.current.moved) onGrip(moved(drag.current.grip, by, LAST_FRET))
  }

  return (
    <LongNeck
      strings={strings}
      muted={grip.map((fret) => fret === null)}
      className="press-neck"
      label={`Neck with the grip ${gripText(grip)}`}
    >
      {root !== null && !degrees.includes('R') && root.fret <= LAST_FRET && (
        <rect x={x(root.fret) - 8} y={y(strings - root.string) - 8} width={16} height={16} className="imagined-root" />
      )}
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
          return (
            <rect
              key={`${string}-${fret}`}
              data-place={`${string}-${fret}`}
              className="press-place"
              {...box(string, fret)}
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
    </LongNeck>
  )
}
