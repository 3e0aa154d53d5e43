import { App, Button, Checkbox } from 'antd'
import { useState } from 'react'
import { patched } from '../../api/desk'
import { convertTuning } from '../../api/queries'
import type { BreakdownDocument, FeelOffer, Hearing } from '../../api/types'
import { useKeys } from '../../ui/keys'
import { useBench, useDocument, useMine } from '../bench/benchContext'

/** What was heard beside what the breakdown has; nothing changes before the press, and one step back undoes it all. */
export function TakeOver({ offers, tuning }: { offers: FeelOffer[]; tuning: Hearing['tuning'] }) {
  const { store, setTempo } = useBench()
  const document = useDocument()
  const { message } = App.useApp()
  const mine = useMine()
  const [left, setLeft] = useState<string[]>([])
  const [done, setDone] = useState(false)
  const near = tuning?.near[0]
  const retune = near !== undefined && near.slug !== document.guitar.tuning ? near : null
  const open = offers.filter((offer) => offer.change.length > 0)
  const chosen = open.filter((offer) => !left.includes(offer.what))
  const tunes = retune !== null && !left.includes('Tuning')
  const count = chosen.length + (tunes ? 1 : 0)
  const take = async () => {
    if (count === 0 || !mine) return
    const { taken, setAside } = takenOver(document, chosen)
    const retuned = tunes ? (await convertTuning(taken, retune.slug)).document : taken
    if (setAside) return void message.info('The breakdown has changed meanwhile. It is compared anew; press again in a moment.')
    store.change(() => retuned)
    if (retuned.start.tempo !== document.start.tempo) setTempo(retuned.start.tempo)
    setDone(true)
  }
  useKeys({ Enter: () => void take() })
  const tick = (what: string, on: boolean) => setLeft(on ? left.filter((each) => each !== what) : [...left, what])
  return (
    <section className="take-over">
      <h2>Take over into the breakdown</h2>
      {offers.map((offer) => {
        const same = offer.change.length === 0
        return (
          <Checkbox
            key={offer.what}
            checked={!same && !left.includes(offer.what)}
            disabled={same || !mine}
            onChange={(event) => tick(offer.what, event.target.checked)}
          >
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
        {count === 0
          ? 'Nothing to take over'
          : `Take over ${count === 1 ? 'this one' : `these ${['', '', 'two', 'three', 'four'][count] ?? count}`}`}{' '}
        <kbd className="on-ink">Enter</kbd>
      </Button>
      <p className="muted">
        {done && count === 0
          ? 'Taken over. Ctrl Z takes all of it back.'
          : 'Nothing in the breakdown changes before you press, and one step back undoes it all.'}
      </p>
    </section>
  )
}

/**
 * The breakdown with offers taken over. Each was made of the breakdown as it stands: what several change together, such as
 * the song's beginning, is laid over one another.
 */
function takenOver(document: BreakdownDocument, offers: FeelOffer[]): { taken: BreakdownDocument; setAside: boolean } {
  let taken = document
  for (const offer of offers) {
    for (const patch of offer.change) {
      const alone = patched(document, [patch])
      if (alone === null) return { taken: document, setAside: true }
      taken =
        patch.field === 'start'
          ? { ...taken, start: { ...taken.start, ...changedIn(document.start, alone.start) } }
          : (patched(taken, [patch]) ?? taken)
    }
  }
  return { taken, setAside: false }
}

const changedIn = <T extends object>(before: T, after: T): Partial<T> =>
  Object.fromEntries(
    Object.entries(after).filter(([name, value]) => JSON.stringify(value) !== JSON.stringify(before[name as keyof T])),
  ) as Partial<T>
