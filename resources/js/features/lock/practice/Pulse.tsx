import { useRef } from 'react'
import { band } from '../../../audio/band'
import { useBandFrames } from '../../../audio/useBandFrames'

const WIDTH = 880
const HEIGHT = 92
const MIDDLE = HEIGHT / 2

/** The pulse as one slow swing over some beats: down through the line at its beginning, up through it half way. */
export function Pulse({ beats, beatsABar }: { beats: number; beatsABar: number }) {
  const dot = useRef<SVGCircleElement>(null)
  const toX = (share: number) => 20 + share * (WIDTH - 40)
  const toY = (share: number) => MIDDLE + 32 * Math.sin(2 * Math.PI * share)
  const path = Array.from(
    { length: 81 },
    (_, point) => `${point === 0 ? 'M' : 'L'}${toX(point / 80).toFixed(1)} ${toY(point / 80).toFixed(1)}`,
  ).join('')
  useBandFrames(() => {
    if (dot.current === null) return
    const elapsed = band.elapsedBars() * beatsABar
    const share = (((elapsed / beats) % 1) + 1) % 1
    dot.current.setAttribute('cx', toX(share).toFixed(1))
    dot.current.setAttribute('cy', toY(share).toFixed(1))
  })
  return (
    <svg
      className="pulse"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`One swing is ${beats} ${beats === 1 ? 'beat' : 'beats'}`}
    >
      <line x1={20} x2={WIDTH - 20} y1={MIDDLE} y2={MIDDLE} className="slot-line solid" />
      <path d={path} className="pulse-line" />
      {beats > 1 &&
        Array.from({ length: beats + 1 }, (_, beat) => (
          <line key={beat} x1={toX(beat / beats)} x2={toX(beat / beats)} y1={MIDDLE - 6} y2={MIDDLE + 6} className="beat-line" />
        ))}
      <circle ref={dot} r={9} cx={toX(0)} cy={MIDDLE} className="pulse-dot" />
    </svg>
  )
}
