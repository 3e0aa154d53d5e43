import { Button } from 'antd'
import { useState } from 'react'
import { MoreButton } from '../../ui/MoreButton'
import { walkList } from '../../ui/walkList'
import { ago } from '../../ui/words'
import { barsOfTake } from './takeWords'
import { TakeTrend } from './TakeTrend'
import type { useShownTakes } from './useShownTakes'

/** The takes so far, the newest first; one can be set beside another. */
export function TakeList({ breakdown, takes }: { breakdown: string; takes: ReturnType<typeof useShownTakes> }) {
  const { list, rows, wanted, besideId } = takes
  const [picking, setPicking] = useState(false)
  const choose = (id: string, beside: boolean) => {
    if (!beside) return takes.showId(id)
    takes.putBeside(id)
    setPicking(false)
  }
  return (
    <>
      <h3>Takes</h3>
      {rows.length === 0 ? (
        <p className="muted">They are listed here with their reports.</p>
      ) : (
        <>
          <TakeTrend takes={rows} width={244} shown={wanted} />
          <div className="take-list" role="listbox" aria-label="Takes" onKeyDown={walkList}>
            {rows.map((take) => (
              <button
                key={take.id}
                type="button"
                role="option"
                aria-selected={take.id === wanted}
                className={take.id === wanted ? 'chosen' : take.id === besideId ? 'beside' : ''}
                onClick={(event) => choose(take.id, event.shiftKey || picking)}
              >
                <b>Take {take.number}</b>
                <span>
                  {take.player} · {take.tempo} bpm · {barsOfTake(take)}
                  {take.level < 3 ? `, level ${take.level}` : ''} · {ago(take.created_at)}
                </span>
                <em className={take.passed ? 'held' : 'cut'}>{take.passed ? 'locks' : 'not yet'}</em>
              </button>
            ))}
          </div>
          <MoreButton list={list} words="Older takes" />
          <div className="button-row">
            {rows.length > 1 && (
              <Button size="small" aria-pressed={picking} onClick={() => setPicking(!picking)}>
                {picking ? 'Now press the other take' : 'Set another take beside it'}
              </Button>
            )}
            <Button size="small" href={`/api/breakdowns/${breakdown}/takes.csv`} download>
              The log as a table
            </Button>
          </div>
        </>
      )}
    </>
  )
}
