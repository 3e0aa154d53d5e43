import type { Timeline } from '../../api/types'
import { barEnd, beatsSince } from '../../audio/bars'
import { Blade } from '../../ui/Blade'

const TOP = 5
const BOTTOM = 29

/** The strokes of one bar under its chords: where they fall, how they are struck, how long they ring. */
export function BarStrokes({ timeline, bar }: { timeline: Timeline; bar: number }) {
  const start = timeline.bars[bar]?.t ?? 0
  const seconds = barEnd(timeline, bar) - start
  const place = (t: number) => `${(100 * Math.min(1, (t - start) / seconds)).toFixed(2)}%`
  const strokes = timeline.strokes.filter((stroke) => stroke.bar === bar)

  return (
    <svg
      className="bar-strokes"
      role="img"
      aria-label={
        strokes.length === 0
          ? 'No strokes'
          : strokes
              .map(
                (stroke) =>
                  `${stroke.kind === 'ring' ? '' : `${stroke.kind} `}${stroke.direction} at beat ${(1 + beatsSince(timeline, bar, stroke.t)).toFixed(2)}`,
              )
              .join(', ')
      }
    >
      {strokes
        .filter((stroke) => stroke.kind !== 'chuck' && stroke.kind !== 'ghost')
        .map((stroke) => (
          <line key={stroke.at} x1={place(stroke.t)} x2={place(stroke.until)} y1={BOTTOM} y2={BOTTOM} className="ring-line" />
        ))}
      {strokes.map((stroke) => (
        <svg key={stroke.at} x={place(stroke.t)} overflow="visible">
          <Blade
            kind={stroke.kind}
            direction={stroke.direction}
            accent={stroke.accent}
            x={0}
            top={TOP}
            bottom={BOTTOM}
            lean={stroke.direction === 'down' ? 0.2 : -0.2}
          />
        </svg>
      ))}
    </svg>
  )
}
