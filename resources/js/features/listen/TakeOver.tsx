import { Button, Checkbox } from 'antd'
import { useState } from 'react'
import { call } from '../../api/client'
import type { BreakdownDocument, FeelOffer, Hearing } from '../../api/types'
import { useKeys } from '../../ui/keys'
import { useBench, useDocument, useMine } from '../bench/benchContext'

/** What was heard beside what the breakdown has; nothing changes before the press, and one step back undoes it all. */
export function TakeOver({ offers, tuning }: { offers: FeelOffer[]; tuning: Hearing['tuning'] }) {
  const { store, setTempo } = useBench()
  const document = useDocument()
  const mine = useMine()
  const [left, setLeft] = useState<string[]>([])
  const [done, setDone] = useState(false)
  const near = tuning?.near[0]
  const retune = near !== undefined && near.slug !== document.tuning ? near : null
  const open = offers.filter((offer) => Object.keys(offer.change).length > 0)
  const chosen = open.filter((offer) => !left.includes(offer.what))
  const tunes = retune !== null && !left.includes('Tuning')
  const count = chosen.length + (tunes ? 1 : 0)
  const take = async () => {
    if (count === 0 || !mine) return
    const change = Object.assign({}, ...chosen.map((offer) => offer.change)) as Partial<BreakdownDocument>
    const retuned = tunes ? (await call<{ document: BreakdownDocument }>('POST', 'compute/tuning', { document: { ...document, ...change }, tuning: retune.slug })).document : null
    store.change((d) => ({ ...d, ...(retuned ?? {}), ...change }))
    if (change.tempo !== undefined) setTempo(change.tempo)
    setDone(true)
  }
  useKeys({ Enter: () => void take() })
  const tick = (what: string, on: boolean) => setLeft(on ? left.filter((each) => each !== what) : [...left, what])
  return (
    <section className="take-over">
      <h2>Take over into the breakdown</h2>
      {offers.map((offer) => {
        const same = Object.keys(offer.change).length === 0
        return (
          <Checkbox key={offer.what} checked={!same && !left.includes(offer.what)} disabled={same || !mine} onChange={(event) => tick(offer.what, event.target.checked)}>
            <b>{offer.what}</b> <b className="heard">{offer.heard}</b>
            <small className="muted">{same ? 'the breakdown has the same' : `the breakdown has ${offer.has}`}</small>
          </Checkbox>
        )
      })}
      {retune !== null && (
        <Checkbox checked={!left.includes('Tuning')} disabled={!mine} onChange={(event) => tick('Tuning', event.target.checked)}>
          <b>Tuning</b> <b className="heard">{retune.name}</b>
          <small className="muted">every grip goes over to it</small>
        </Checkbox>
      )}
      <Button type="primary" disabled={count === 0 || !mine} onClick={() => void take()}>
        {count === 0 ? 'Nothing to take over' : `Take over ${count === 1 ? 'this one' : `these ${['', '', 'two', 'three', 'four'][count] ?? count}`}`} <kbd className="on-ink">Enter</kbd>
      </Button>
      <p className="muted">{done && count === 0 ? 'Taken over. Ctrl Z takes all of it back.' : 'Nothing in the breakdown changes before you press, and one step back undoes it all.'}</p>
    </section>
  )
}
