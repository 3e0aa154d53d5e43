import { Button, Input, InputNumber } from 'antd'
import { Fragment, useState } from 'react'
import { useChoices, useStarts } from '../../../api/queries'
import { useMoves } from '../../../api/song'
import { useDocument } from '../../bench/benchContext'
import type { usePassChanges } from './usePassChanges'

const FILL = 'muted-fill'
const USUAL_SLOTS = 4

type Props = {
  /** the numbers lay moves now, as they stand in the row */
  laying: boolean
  changes: ReturnType<typeof usePassChanges>
}

/** Moves that can be laid over the chosen bars: those of the house, and those the teacher recorded; and a way to record one. */
export function MovesRow({ laying, changes }: Props) {
  const moves = useChoices().data?.moves ?? []
  const own = useMoves().data ?? []
  const { genre, start } = useDocument()
  const usual =
    useStarts(start.key)
      .data?.profiles.find(({ word }) => word === genre)
      ?.moves.map(({ slug }) => slug) ?? []
  const [slots, setSlots] = useState(USUAL_SLOTS)
  const [naming, setNaming] = useState(false)
  const [name, setName] = useState('')
  const record = async () => {
    if (name.trim() === '' || !(await changes.record(name.trim()))) return
    setNaming(false)
    setName('')
  }
  return (
    <div className={laying ? 'figure-row laying' : 'figure-row'} role="group" aria-label="Moves">
      <span className="label">
        Moves <kbd>M</kbd>
      </span>
      {moves.map(({ slug, words, why }, place) => (
        <Fragment key={slug}>
          <Button
            size="small"
            className={usual.includes(slug) ? 'usual-move' : ''}
            title={usual.includes(slug) ? `Usual in ${genre}: ${why}` : why}
            onClick={() => void changes.lay(slug, slug === FILL ? slots : undefined)}
          >
            {words} {laying && <kbd>{place + 1}</kbd>}
          </Button>
          {slug === FILL && (
            <InputNumber
              size="small"
              aria-label="Slots of the fill"
              className="fill-slots"
              min={1}
              max={24}
              value={slots}
              onChange={(to) => setSlots(to ?? USUAL_SLOTS)}
            />
          )}
        </Fragment>
      ))}
      {own.map(({ id, name: called }) => (
        <Button key={id} size="small" className="own-move" onClick={() => void changes.playMove(id)}>
          {called}
        </Button>
      ))}
      {naming ? (
        <Input
          size="small"
          aria-label="Name of the move"
          placeholder="a name, then Enter"
          autoFocus
          maxLength={40}
          style={{ width: 170 }}
          value={name}
          onChange={(event) => setName(event.target.value)}
          onPressEnter={() => void record()}
          onKeyDown={(event) => {
            if (event.key !== 'Escape') return
            event.stopPropagation()
            setNaming(false)
          }}
        />
      ) : (
        <Button size="small" title="What this bar plays, to be found in every breakdown" onClick={() => setNaming(true)}>
          Record this bar …
        </Button>
      )}
    </div>
  )
}
