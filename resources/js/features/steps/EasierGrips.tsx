import { Button, Select } from 'antd'
import { useState } from 'react'
import { ApiError } from '../../api/client'
import { useEasier, usePath, useStudents } from '../../api/queries'
import { useBench, useMine } from '../bench/benchContext'
import { GripCard } from '../shapes/GripCard'

const HANDS = [
  { value: '', label: 'everybody: the grips as they are' },
  { value: 'small', label: 'a small hand' },
  { value: 'small no-barre', label: 'a small hand, no barre' },
  { value: 'medium no-barre', label: 'no barre yet' },
  { value: 'medium avoid-4', label: 'without the little finger' },
]

/** The same degrees on fewer strings for a hand that cannot take the grips, beside them. */
export function EasierGrips() {
  const { desk } = useBench()
  const mine = useMine()
  const students = useStudents(mine).data ?? []
  const [hand, setHand] = useState('')
  const chords = usePath(desk).data?.chords ?? []
  const easier = useEasier(desk, hand)
  const [open, setOpen] = useState(false)
  const shown = easier.data?.filter(({ instead }) => instead !== null) ?? []
  return (
    <section className="stage-hands" aria-label="For whose hand">
      <label>
        <span className="muted">for</span>
        <Select
          aria-label="Hand"
          size="small"
          value={hand}
          options={[...HANDS, ...students.map(({ name, hand: own }) => ({ value: own, label: `${name}: ${own}` }))]}
          onChange={(value: string) => {
            setHand(value)
            setOpen(value !== '')
          }}
          style={{ width: 240 }}
        />
      </label>
      {easier.error instanceof ApiError && <span className="cut">{easier.error.message}</span>}
      {hand !== '' && easier.data?.length === 0 && <span className="held">Every grip can be taken by this hand.</span>}
      {hand !== '' && shown.length > 0 && (
        <Button size="small" onClick={() => setOpen(!open)}>
          {open ? 'Hide' : 'Show'} {shown.length} easier
        </Button>
      )}
      {open && (
        <div className="easier-pairs">
          {shown.map((each) => {
            const chord = chords[each.chord]
            return chord === undefined || each.instead === null ? null : (
              <div key={each.chord} className="easier-pair" title={each.why}>
                <GripCard symbol={each.symbol} voicing={chord.voicing} />
                <span className="arrow">→</span>
                <GripCard symbol="easier" voicing={each.instead} />
              </div>
            )
          })}
        </div>
      )}
    </section>
  )
}
