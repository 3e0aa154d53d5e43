import type { Timeline } from '../../../api/types'
import { barEnd } from '../../../audio/bars'
import { Blade } from '../../../ui/Blade'
import type { PlayedBar } from './rows'

const HEIGHT = 46
const BASE = 40
const RAILS = [0.25, 0.5, 0.75]

/** px of a stroke by how loud the bar is there: 1 hush to 4 full, and what its part adds. */
const tall = (level: number): number => Math.min(36, Math.max(9, 6 + 7 * level))

/** The strokes of a bar, as tall as it is loud; what only rings, is free, written out or out is drawn so. */
export function PassBar({ timeline, bar }: { timeline: Timeline; bar: PlayedBar }) {
  const { told, index } = bar
  const seconds = barEnd(timeline, index) - told.t
  const share = (t: number) => Math.min(1, Math.max(0, (t - told.t) / seconds))
  const [from = 3, to = from] = told.loud
  const strokes = told.pattern === null ? [] : timeline.strokes.filter((stroke) => stroke.bar === index)
  const top = (at: number) => BASE - tall(from + at * (to - from))
  return (
    <svg className={`pass-bar texture-${told.texture}`} height={HEIGHT} aria-hidden="true">
      {told.pattern === null ? (
        <text x="50%" y={BASE - 8} textAnchor="middle" className="bar-out">
          out
        </text>
      ) : (
        <>
          <svg width="100%" height={HEIGHT} viewBox={`0 0 100 ${HEIGHT}`} preserveAspectRatio="none">
            <line x1="0" x2="100" y1={top(0) - 4} y2={top(1) - 4} className="loud-line" vectorEffect="non-scaling-stroke" />
          </svg>
          {told.texture === 'rings' && <Rails top={BASE - tall(from)} />}
          {told.texture === 'written' && <rect x="1" y="2" width="99%" height={BASE - 2} className="written-frame" />}
          {strokes.map((stroke) => {
            const at = share(stroke.t)
            return (
              <svg key={stroke.t} x={`${(2 + 96 * at).toFixed(2)}%`} overflow="visible">
                <g transform="scale(0.62 1)">
                  <Blade
                    kind={stroke.kind}
                    direction={stroke.direction}
                    accent={stroke.accent}
                    x={4}
                    top={top(at)}
                    bottom={BASE}
                    lean={stroke.direction === 'down' ? 0.24 : -0.24}
                  />
                </g>
              </svg>
            )
          })}
        </>
      )}
      <line x1="0" x2="100%" y1={BASE + 1} y2={BASE + 1} className="bar-base" />
    </svg>
  )
}

/** A chord that rings on: three rails, and a post where the hand lets go. */
function Rails({ top }: { top: number }) {
  return (
    <g className="ring-rails">
      <rect x="2%" y={top} width="96%" height={BASE - top} />
      {RAILS.map((share) => (
        <line key={share} x1="2%" x2="98%" y1={top + share * (BASE - top)} y2={top + share * (BASE - top)} />
      ))}
      <line x1="98%" x2="98%" y1={top} y2={BASE} className="post" />
    </g>
  )
}
