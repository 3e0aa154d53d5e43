import { useRef, useState } from 'react'
import { band } from '../../audio/band'
import { useBandFrames } from '../../audio/useBandFrames'
import { usePlayer } from './Transport'

type Props = { bars: number; sections: string[]; passes: { name: string; from: number; to: number }[] }

/**
 * The song as a row of bars: drag over some to loop them, press one twice to loop it alone, press "all" to go round. Where it
 * has several passes, each can be looped by its name, two in turn by pressing the second with Shift.
 */
export function LoopMap({ bars, sections, passes }: Props) {
  const player = usePlayer()
  const [from, setFrom] = useState<number | null>(null)
  const row = useRef<HTMLDivElement>(null)
  const loop = player.loop
  const shown = useRef(-1)
  useBandFrames(() => {
    const bar = band.position()?.bar ?? -1
    if (bar === shown.current) return
    row.current?.children[shown.current]?.classList.remove('now')
    row.current?.children[bar]?.classList.add('now')
    shown.current = bar
  })
  const select = (a: number, b: number) => band.set({ loop: [Math.min(a, b), Math.max(a, b)] })
  return (
    <div className="cell loop">
      <span className="cell-name">
        Loop{' '}
        <em>
          {loop === null
            ? `all ${bars} bars`
            : loop[0] === loop[1]
              ? `bar ${loop[0] + 1}`
              : `bars ${loop[0] + 1}–${Math.min(loop[1] + 1, bars)}`}
        </em>
        {loop !== null && (
          <button type="button" className="quiet" onClick={() => band.set({ loop: null })}>
            all
          </button>
        )}
      </span>
      <div
        ref={row}
        className={bars > 48 ? 'loop-bars many' : 'loop-bars'}
        role="group"
        aria-label="Bars to loop"
        onPointerLeave={() => setFrom(null)}
        onPointerUp={() => setFrom(null)}
      >
        {Array.from({ length: bars }, (_, bar) => (
          <button
            key={bar}
            type="button"
            aria-label={`Bar ${bar + 1}`}
            aria-pressed={loop === null || (bar >= loop[0] && bar <= loop[1])}
            onPointerDown={(event) => {
              event.currentTarget.releasePointerCapture(event.pointerId)
              setFrom(bar)
              select(bar, bar)
            }}
            onPointerEnter={() => from !== null && select(from, bar)}
            onKeyDown={(event) => event.key === 'Enter' && select(bar, bar)}
          />
        ))}
      </div>
      {passes.length < 2 ? (
        <span className="loop-sections">{sections.join(' · ')}</span>
      ) : (
        <span className="loop-sections" role="group" aria-label="Passes to loop">
          {passes.map(({ name, from: first, to }) => (
            <button
              key={first}
              type="button"
              aria-pressed={loop !== null && loop[0] <= first && to <= loop[1]}
              onClick={(event) =>
                select(
                  event.shiftKey && loop !== null ? Math.min(loop[0], first) : first,
                  event.shiftKey && loop !== null ? Math.max(loop[1], to) : to,
                )
              }
            >
              {name}
            </button>
          ))}
        </span>
      )}
    </div>
  )
}
