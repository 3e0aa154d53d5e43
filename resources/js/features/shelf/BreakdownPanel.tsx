import { Button } from 'antd'
import { useTakes } from '../../api/queries'
import type { BreakdownCard } from '../../api/types'
import { ago } from '../../ui/words'
import { TakeTrend } from '../lock/TakeTrend'

type Props = {
  card: BreakdownCard
  teacher: boolean
  onOpen: () => void
  onDuplicate: () => void
  onRename: () => void
  onDelete: () => void
  onGive: () => void
}

/** What is known of the chosen breakdown, and what can be done with it. */
export function BreakdownPanel({ card, teacher, onOpen, onDuplicate, onRename, onDelete, onGive }: Props) {
  const takes = useTakes(card.id).items ?? []
  const last = takes[0]
  return (
    <aside className="side" aria-label={card.title}>
      <h2>{card.title}</h2>
      <p className="muted">
        {card.genre === '' ? card.feel : card.genre} · {card.meter} · {card.tempo} bpm
      </p>
      <p className="muted">{card.mine ? `Changed ${ago(card.updated_at)}` : 'Assigned to you'}</p>
      <Button type="primary" size="large" block onClick={onOpen}>
        Open <kbd className="on-ink">Enter</kbd>
      </Button>
      {teacher && card.mine && (
        <div className="button-row">
          <Button onClick={onGive}>
            Give <kbd>G</kbd>
          </Button>
          <Button onClick={onDuplicate}>Duplicate</Button>
          <Button onClick={onRename}>Rename</Button>
          <Button danger onClick={onDelete}>
            Delete
          </Button>
        </div>
      )}
      <h3>Takes</h3>
      {last === undefined ? (
        <p className="muted">Nobody has played along yet. Open it and go to Lock.</p>
      ) : (
        <>
          <TakeTrend takes={takes} width={268} />
          <p>
            <b>
              {last.player}, take {last.number}
            </b>
            , {last.tempo} bpm, {ago(last.created_at)}
          </p>
          <p className={last.passed ? 'finding finding-holds' : 'finding finding-off'}>
            {last.passed ? `It locks. ${last.finding ?? ''}` : last.finding}
          </p>
        </>
      )}
    </aside>
  )
}
