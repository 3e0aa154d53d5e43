import { MARGIN } from '../../ui/HandWave'

type Tail = { at: number; beats: number; until: number; strings: number[]; cut: boolean }
type Props = {
  tails: Tail[]
  dead: number[]
  changes: { beats: number; symbol: string }[]
  fromBeat: number
  toBeat: number
  width: number
}

const HEIGHT = 22

/**
 * The fretting hand under the wave: pressed while strings sound, let go between, laid flat for a dead stroke, moved
 * where the chord changes.
 */
export function FretLane({ tails, dead, changes, fromBeat, toBeat, width }: Props) {
  const x = (beats: number) =>
    MARGIN + ((width - 2 * MARGIN) * (Math.min(toBeat, Math.max(fromBeat, beats)) - fromBeat)) / (toBeat - fromBeat)
  const here = tails.filter((tail) => tail.until > fromBeat && tail.beats < toBeat)
  const beat = (beats: number) => (beats - fromBeat + 1).toFixed(2)
  const flat = dead.filter((beats) => beats >= fromBeat && beats < toBeat)
  const words = `The fretting hand: ${here.length === 0 ? 'open' : `pressed ${here.map((tail) => `from beat ${beat(Math.max(fromBeat, tail.beats))} to ${beat(Math.min(toBeat, tail.until))}`).join(', ')}`}${flat.length === 0 ? '' : `; flat at ${flat.map(beat).join(', ')}`}`
  return (
    <svg className="fret-lane" width={width} height={HEIGHT} viewBox={`0 0 ${width} ${HEIGHT}`} role="img" aria-label={words}>
      <text x={4} y={15} className="lane-name">
        fret
      </text>
      <line x1={MARGIN} x2={width - MARGIN} y1={11} y2={11} className="lane-line" />
      {here.map((tail) => (
        <rect
          key={`${tail.at}-${tail.beats}`}
          x={x(tail.beats)}
          y={6}
          width={Math.max(2, x(tail.until) - x(tail.beats) - 1)}
          height={10}
          className={tail.cut ? 'pressed cut' : 'pressed'}
        />
      ))}
      {flat.map((beats) => (
        <path key={beats} d={`M${x(beats) - 4} 7l8 8m0 -8l-8 8`} className="laid" />
      ))}
      {changes
        .filter((change) => change.beats > fromBeat + 0.01 && change.beats < toBeat)
        .map((change) => (
          <path key={change.beats} d={`M${x(change.beats)} 1v20`} className="moved" />
        ))}
    </svg>
  )
}
