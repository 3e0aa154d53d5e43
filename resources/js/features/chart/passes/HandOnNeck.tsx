const FRETS = 12
const WIDTH = 78
const STRINGS = [0, 1, 2, 3]

/** Where on the neck a pass is played: the frets the hand covers. */
export function HandOnNeck({ hand }: { hand: number[] | null }) {
  const [low = 0, high = 0] = hand ?? []
  const x = (fret: number) => 3 + (Math.min(FRETS + 3, fret) * (WIDTH - 6)) / (FRETS + 3)
  return (
    <figure className="hand-on-neck">
      <svg width={WIDTH} height={28} viewBox={`0 0 ${WIDTH} 28`} aria-hidden="true">
        {hand !== null && <rect x={x(low - 1)} y={2} width={x(high) - x(low - 1)} height={24} className="neck-hand" />}
        {hand !== null && <rect x={x(low - 1)} y={0} width={x(high) - x(low - 1)} height={2.5} className="neck-hand-edge" />}
        {STRINGS.map((string) => (
          <line key={string} x1={3} x2={WIDTH - 3} y1={7 + 5 * string} y2={7 + 5 * string} className="string" />
        ))}
        <line x1={3} x2={3} y1={4} y2={25} className="nut" />
      </svg>
      <figcaption>{hand === null ? '' : low === high ? `fret ${low}` : `frets ${low}–${high}`}</figcaption>
    </figure>
  )
}
