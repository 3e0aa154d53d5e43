import type { HandStroke } from '../api/types'

type Props = {
  kind: HandStroke['kind']
  direction: HandStroke['direction']
  accent: number
  by?: HandStroke['by']
  /** where the stroke crosses, and the heights of the strings it meets */
  x: number
  top: number
  bottom: number
  /** px sideways for each px down, along the curve */
  lean: number
  selected?: boolean
  /** of the line that is not written in */
  faint?: boolean
}

const WIDTHS = [4.5, 7.5, 10, 12.5]

/**
 * One stroke on the hand wave: a pick is a blade with a flat heel and a point in the direction of travel, fingers split its
 * heel, a thumb is round at both ends.
 */
export function Blade({ kind, direction, accent, by, x, top, bottom, lean, selected = false, faint = false }: Props) {
  const width = kind === 'air' ? 4.5 : kind === 'ghost' ? 4 : (WIDTHS[accent] ?? 7.5)
  const half = width / 2
  const middle = (top + bottom) / 2
  const at = (y: number) => x + lean * (y - middle)
  const down = direction === 'down'
  const heel = down ? top : bottom
  const point = down ? bottom : top
  const className = `blade blade-${kind}${selected ? ' blade-selected' : ''}${faint ? ' blade-faint' : ''}`
  if (by === 'thumb') {
    const [from, to] = [top + half, Math.max(top + half, bottom - half)]
    const place = (side: number, y: number) => `${(at(y) + side * half).toFixed(2)} ${y.toFixed(2)}`
    const arc = `A${half} ${half} 0 0 1`
    return <path d={`M${place(-1, from)}${arc} ${place(1, from)}L${place(1, to)}${arc} ${place(-1, to)}Z`} className={className} />
  }
  const shoulder = point + (down ? -1 : 1) * Math.min(width * 1.4, (bottom - top) * 0.45)
  const outline = [
    [at(heel) - half, heel],
    [at(heel) + half, heel],
    [at(shoulder) + half, shoulder],
    [at(point) + (down ? half * 0.6 : -half * 0.1), point],
    [at(shoulder) - half, shoulder],
  ]
    .map(([px, py]) => `${(px ?? 0).toFixed(2)},${(py ?? 0).toFixed(2)}`)
    .join(' ')
  const blade = <polygon points={outline} className={className} />
  if (by === undefined || by === 'pick' || kind === 'air') return blade
  const split = heel + (shoulder - heel) * 0.6
  return (
    <>
      {blade}
      <line x1={at(heel)} y1={heel} x2={at(split)} y2={split} className="blade-split" />
    </>
  )
}
