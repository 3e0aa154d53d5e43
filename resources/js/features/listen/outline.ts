/** Figures of the outline a second. */
const RATE = 100

/** The loudness from one second to another, mirrored about a middle line, as an SVG path; at most one point a pixel. */
export function outlinePath(
  outline: number[],
  from: number,
  to: number,
  toX: (t: number) => number,
  middle: number,
  reach: number,
): string {
  const width = Math.max(1, Math.abs(toX(to) - toX(from)))
  const first = Math.max(0, Math.floor(from * RATE))
  const last = Math.min(outline.length, Math.ceil(to * RATE))
  const step = Math.max(1, Math.floor((last - first) / width))
  const upper: string[] = []
  const lower: string[] = []
  for (let at = first; at < last; at += step) {
    const level = Math.max(...outline.slice(at, at + step)) / 100
    const x = toX(at / RATE).toFixed(1)
    upper.push(`${x} ${(middle - level * reach).toFixed(1)}`)
    lower.push(`${x} ${(middle + level * reach).toFixed(1)}`)
  }
  return upper.length === 0 ? '' : `M${upper.join('L')}L${lower.reverse().join('L')}Z`
}
