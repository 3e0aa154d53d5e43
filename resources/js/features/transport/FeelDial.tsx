import { Popover } from 'antd'
import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import { useLean } from '../../ui/lean'
import { waveKnots, wavePath } from '../../ui/waveGeometry'

type Props = {
  p: number
  words: string
  /** how much later than straight the off-beat sounds, ms */
  offBeatMs: number
  disabled: boolean
  /** the share of the pair at which its second note is to sound */
  onChange: (share: number) => void
  /** a feel typed as a name, a ratio or a share; throws what the core says against it */
  onTyped: (typed: string) => Promise<void>
}

/** The core's share is the chosen one, rounded. */
const SAME = 0.002
const LONGEST_WAIT_MS = 4000
const LOWEST = 0.42
const HIGHEST = 0.75
const WIDTH = 116
const STOPS = [
  { at: 0.5, name: 'straight' },
  { at: 2 / 3, name: 'triplet' },
]

const clamp = (p: number): number => Math.min(HIGHEST, Math.max(LOWEST, p))

/** One beat of the hand wave with a handle at the off-beat: drag it and the wave leans. */
export function FeelDial({ p: told, words, offBeatMs, disabled, onChange, onTyped }: Props) {
  const track = useRef<SVGSVGElement>(null)
  // What was chosen last stands until the core has laid everything out by it, so that no step starts from an older place.
  const chosen = useLean((state) => state.p)
  const p = chosen ?? told
  useEffect(() => {
    if (chosen === null) return
    if (Math.abs(chosen - told) < SAME) return useLean.setState({ p: null })
    const given = setTimeout(() => useLean.setState({ p: null }), LONGEST_WAIT_MS)
    return () => clearTimeout(given)
  }, [chosen, told])
  const knots = waveKnots(
    [-1, 0, 1, 2].flatMap((beat) => [
      { x: beat, down: true },
      { x: beat + p, down: false },
    ]),
  )
  const toX = (x: number) => x * WIDTH
  const choose = (next: number) => {
    useLean.setState({ p: clamp(next) })
    onChange(clamp(next))
  }
  const drag = (event: PointerEvent) => {
    const box = track.current?.getBoundingClientRect()
    if (disabled || box === undefined || event.buttons === 0) return
    const raw = clamp((event.clientX - box.left) / box.width)
    const stop = STOPS.find((each) => Math.abs(each.at - raw) < 0.012)
    choose(stop?.at ?? raw)
  }
  const step = (event: KeyboardEvent) => {
    const by =
      event.key === 'ArrowRight' || event.key === 'ArrowUp' ? 0.01 : event.key === 'ArrowLeft' || event.key === 'ArrowDown' ? -0.01 : 0
    if (by === 0 || disabled) return
    event.preventDefault()
    event.stopPropagation()
    choose((useLean.getState().p ?? told) + by)
  }
  return (
    <div className="cell feel">
      <span className="cell-name">
        Feel<span className="feel-words">{words}</span>
      </span>
      <span className="cell-row">
        <FeelField p={p} offBeatMs={offBeatMs} disabled={disabled} onTyped={onTyped} />
        <svg
          ref={track}
          width={WIDTH}
          height={48}
          className="feel-dial"
          role="slider"
          tabIndex={disabled ? -1 : 0}
          aria-label="Place of the off-beat"
          aria-valuemin={Math.round(100 * LOWEST)}
          aria-valuemax={Math.round(100 * HIGHEST)}
          aria-valuenow={Math.round(100 * p)}
          aria-valuetext={words}
          aria-disabled={disabled}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId)
            drag(event)
          }}
          onPointerMove={drag}
          onKeyDown={step}
        >
          <rect width={WIDTH} height={48} fill="transparent" />
          <line x1={0} x2={WIDTH} y1={17} y2={17} className="dial-axis" />
          <clipPath id="dial">
            <rect width={WIDTH} height={36} />
          </clipPath>
          <path clipPath="url(#dial)" d={wavePath(knots, toX, (h) => 17 - 13 * h)} className="dial-wave" />
          <line x1={toX(LOWEST)} x2={toX(HIGHEST)} y1={41} y2={41} className="dial-range" />
          {STOPS.map((stop) => (
            <line key={stop.name} x1={toX(stop.at)} x2={toX(stop.at)} y1={37} y2={45} className="dial-range" />
          ))}
          <line x1={toX(p)} x2={toX(p)} y1={17} y2={41} className="dial-stem" />
          <circle cx={toX(p)} cy={17} r={3.5} className="dial-handle" />
          <path d={`M${toX(p)} 34l6 7l-6 7l-6 -7z`} className="dial-handle" />
        </svg>
      </span>
    </div>
  )
}

/** The share as a figure; a press on it lets a feel be typed. */
function FeelField({ p, offBeatMs, disabled, onTyped }: Pick<Props, 'p' | 'offBeatMs' | 'disabled' | 'onTyped'>) {
  const [open, setOpen] = useState(false)
  const [typed, setTyped] = useState('')
  const [refusal, setRefusal] = useState('')
  const take = async () => {
    try {
      await onTyped(typed)
      setOpen(false)
      setTyped('')
      setRefusal('')
    } catch (problem) {
      setRefusal(problem instanceof Error ? problem.message : 'That could not be read.')
    }
  }
  const field = (
    <label className="feel-field">
      Feel
      <input
        autoFocus
        aria-label="Feel as a name, a ratio or a share"
        value={typed}
        placeholder="shuffle, 3:2 or 62 %"
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') void take()
          if (event.key === 'Escape') setOpen(false)
        }}
      />
      {refusal === '' ? (
        <small className="muted">straight, light, triplet, shuffle, dotted, follows; Enter takes it</small>
      ) : (
        <span role="alert">{refusal}</span>
      )}
    </label>
  )
  return (
    <Popover open={open && !disabled} onOpenChange={setOpen} trigger="click" content={field} placement="top">
      <button type="button" className="feel-share" disabled={disabled} title="Press to type a feel">
        <span className="unseen">Feel: </span>
        {Math.round(100 * p)} %
        <small>{offBeatMs === 0 ? 'even' : `${offBeatMs > 0 ? '+' : '−'}${Math.abs(Math.round(offBeatMs))} ms`}</small>
      </button>
    </Popover>
  )
}
