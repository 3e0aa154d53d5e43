import { Button, Segmented } from 'antd'
import type { FeelReading } from '../../api/types'
import { lateness } from '../../ui/words'
import type { ListenedStroke } from './listened'

type Props = {
  stroke: ListenedStroke | undefined
  place: FeelReading['strokes'][number] | null
  /** strokes set by hand so far */
  count: number
  canUndo: boolean
  canHear: boolean
  playing: boolean
  onEdit: (part: Partial<ListenedStroke>) => void
  onNudge: (seconds: number) => void
  onUndo: () => void
  onHear: () => void
  onOne: () => void
}

/** One stroke, as it was heard and as it can be set by hand. */
export function StrokeCard({ stroke, place, count, canUndo, canHear, playing, onEdit, onNudge, onUndo, onHear, onOne }: Props) {
  if (stroke === undefined) return null
  return (
    <section className="stroke-card">
      <h2>
        Stroke{' '}
        <small className="muted">
          {stroke.t.toFixed(2)} s{place === null ? ', struck out' : ` · bar ${place.bar + 1}, ${place.name}`}
        </small>
      </h2>
      <div className="stroke-row">
        <span>Direction</span>
        <Segmented
          size="small"
          aria-label="Direction"
          value={stroke.direction ?? 'untold'}
          options={[
            { value: 'down', label: 'down' },
            { value: 'up', label: 'up' },
            { value: 'untold', label: 'not told' },
          ]}
          onChange={(to) => onEdit({ direction: to === 'untold' ? null : (to as 'down' | 'up') })}
        />
      </div>
      <div className="stroke-row">
        <span>Sound</span>
        <Segmented
          size="small"
          aria-label="Sound"
          value={stroke.out === true ? 'none' : stroke.muted === true ? 'dead' : 'rings'}
          options={[
            { value: 'rings', label: 'rings' },
            { value: 'dead', label: 'dead' },
            { value: 'none', label: 'no stroke' },
          ]}
          onChange={(to) => onEdit(to === 'none' ? { out: true } : { out: false, muted: to === 'dead' })}
        />
      </div>
      <div className="stroke-row">
        <span>Place</span>
        <span>
          <Button size="small" onClick={() => onNudge(-0.005)}>
            −5 ms
          </Button>{' '}
          <Button size="small" onClick={() => onNudge(0.005)}>
            +5 ms
          </Button>{' '}
          <b className="brass">{place === null ? '' : lateness(place.ms)}</b>
        </span>
      </div>
      <div className="button-row">
        <Button
          size="small"
          onClick={onHear}
          disabled={!canHear}
          title={canHear ? '' : 'The sound itself is gone after a reload; open it again to hear it'}
        >
          {playing ? 'Stop' : 'Hear it'} <kbd>P</kbd>
        </Button>
        <Button size="small" onClick={onOne}>
          Bar 1 is here <kbd>1</kbd>
        </Button>
        <Button size="small" onClick={onUndo} disabled={!canUndo}>
          Take back <kbd>Z</kbd>
        </Button>
      </div>
      {count > 0 && <p className="muted">By hand so far: {count === 1 ? 'one stroke' : `${count} strokes`}</p>}
    </section>
  )
}
