import { useMemo, useRef } from 'react'
import type { HandSketch } from '../../api/types'
import { band } from '../../audio/band'
import { useBandFrames } from '../../audio/useBandFrames'
import { patternCrossings, rowGeometry } from '../../ui/HandWave'
import { heightAt, waveKnots } from '../../ui/waveGeometry'

type Props = { sketch: HandSketch; fromBeat: number; toBeat: number; width: number; height: number; patternBars: number }

/** The dot that runs along the wave with the music. */
export function WavePlayhead({ sketch, fromBeat, toBeat, width, height, patternBars }: Props) {
  const group = useRef<SVGGElement>(null)
  const knots = useMemo(() => waveKnots(patternCrossings(sketch)), [sketch])
  const { toX, toY } = rowGeometry(width, height, fromBeat, toBeat, true, true)
  useBandFrames(() => {
    const at = band.position()
    const beat = at === null || at.countIn !== null ? -1 : (at.bar % patternBars) * sketch.beats_a_bar + band.beatsIntoBar()
    const here = beat >= fromBeat && beat < toBeat
    if (group.current !== null) {
      group.current.style.display = here ? '' : 'none'
      if (here) {
        group.current.setAttribute('transform', `translate(${toX(beat)} 0)`)
        group.current.lastElementChild?.setAttribute('cy', String(toY(heightAt(knots, beat))))
      }
    }
  })
  return (
    <svg className="wave-playhead" width={width} height={height} aria-hidden="true">
      <g ref={group} style={{ display: 'none' }}>
        <line y1={24} y2={height - 24} />
        <circle r={6.5} />
      </g>
    </svg>
  )
}
