import { useMemo, useRef } from 'react'
import type { HandSketch, Timeline } from '../../api/types'
import { band } from '../../audio/band'
import { useBandFrames } from '../../audio/useBandFrames'
import { patternCrossings, rowGeometry, twoLines } from '../../ui/HandWave'
import { roundAt } from './rounds'
import { heightAt, waveKnots } from '../../ui/waveGeometry'

type Props = {
  sketch: HandSketch
  fromBeat: number
  toBeat: number
  width: number
  height: number
  timeline: Timeline | undefined
  pattern: string
}

/** The dot that runs along the wave with the music. */
export function WavePlayhead({ sketch, fromBeat, toBeat, width, height, timeline, pattern }: Props) {
  const group = useRef<SVGGElement>(null)
  const knots = useMemo(() => waveKnots(patternCrossings(sketch)), [sketch])
  const { toX, toY } = rowGeometry(width, height, fromBeat, toBeat, true, true)
  useBandFrames(() => {
    const at = band.position()
    const round = at === null || at.countIn !== null || timeline === undefined ? null : roundAt(timeline, pattern, at.bar)
    const beat = at === null || round === null ? -1 : (at.bar - round) * sketch.beats_a_bar + band.beatsIntoBar()
    const here = beat >= fromBeat && beat < toBeat
    if (group.current !== null) {
      group.current.style.display = here ? '' : 'none'
      if (here) {
        group.current.setAttribute('transform', `translate(${toX(beat)} 0)`)
        group.current.querySelector('circle')?.setAttribute('cy', String(toY(heightAt(knots, beat))))
      }
    }
  })
  return (
    <svg className="wave-playhead" width={width} height={height} aria-hidden="true">
      <g ref={group} style={{ display: 'none' }}>
        <line y1={24} y2={height - 24} />
        {!twoLines(sketch) && <circle r={6.5} />}
      </g>
    </svg>
  )
}
