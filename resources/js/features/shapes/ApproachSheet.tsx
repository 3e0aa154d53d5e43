import { Button, InputNumber, Segmented } from 'antd'
import { useState } from 'react'
import { ApiError } from '../../api/client'
import { samePlace } from '../../api/pins'
import { placeMove, useApproaches } from '../../api/queries'
import type { ApproachOffer, VoicedChord } from '../../api/types'
import { hearInTurn } from '../../audio/hearGrip'
import { useKeys } from '../../ui/keys'
import { useBench, useMine } from '../bench/benchContext'
import { useRemake } from '../bench/useRemake'
import { GripCard } from './GripCard'

const SLOTS = [
  { value: 240, label: 'sixteenths' },
  { value: 480, label: 'eighths' },
  { value: 960, label: 'quarters' },
]

/** Ways of coming to the chosen chord, counted back from it so that it comes on time. */
export function ApproachSheet({ chord, index }: { chord: VoicedChord; index: number }) {
  const { desk } = useBench()
  const { document } = desk
  const remake = useRemake()
  const mine = useMine()
  const [steps, setSteps] = useState(3)
  const [slot, setSlot] = useState(480)
  const offers = useApproaches(desk, index, steps, slot)
  const here = document.placed.find((each) => samePlace(each.at, chord.place) && 'symbol' in each && each.symbol === chord.symbol)
  const placed = document.moves.find(({ id }) => id === here?.what)?.rule
  const place = (offer: ApproachOffer | undefined) => {
    if (offer === undefined || !mine) return
    const takeOut = placed?.kind === offer.kind && placed.steps === offer.steps && placed.slotTicks === slot
    const move = takeOut ? null : { move: offer.kind, steps: offer.steps, slot_ticks: slot }
    void remake((d) => placeMove(d, index, move))
  }
  const list = offers.data ?? []
  useKeys(Object.fromEntries(list.map((offer, place_) => [String(place_ + 1), () => place(offer)])))

  return (
    <section tabIndex={0} className="tool-sheet" aria-label="Approach">
      <div className="tool-head">
        <h2>
          Coming to {chord.symbol} in bar {chord.form_bar + 1}
        </h2>
        <label>
          Grips before it{' '}
          <InputNumber
            aria-label="Grips before it"
            min={1}
            max={8}
            precision={0}
            value={steps}
            onChange={(value) => value !== null && setSteps(value)}
          />
        </label>
        <Segmented aria-label="A grip every" options={SLOTS} value={slot} onChange={setSlot} />
      </div>
      {offers.error instanceof ApiError && (
        <p role="alert" className="finding finding-off">
          {offers.error.message}
        </p>
      )}
      <ol className="offers">
        {list.map((offer, at) => {
          const on = placed?.kind === offer.kind && placed.steps === offer.steps && placed.slotTicks === slot
          return (
            <li key={offer.kind} className={on ? 'offer on' : 'offer'}>
              <div className="offer-words">
                <b>{offer.words}</b>
                <small>from {offer.from}</small>
                <span className="button-row">
                  <Button size="small" onClick={() => void hearInTurn([...offer.grips.map((grip) => grip.voicing), chord.voicing])}>
                    Hear
                  </Button>
                  {mine && (
                    <Button size="small" type={on ? 'default' : 'primary'} onClick={() => place(offer)}>
                      {on ? 'Take it out' : 'Place it'} <kbd className={on ? '' : 'on-ink'}>{at + 1}</kbd>
                    </Button>
                  )}
                </span>
              </div>
              <div className="grip-row">
                {offer.grips.map((grip, step) => (
                  <GripCard key={step} {...grip} differs={differs(list, at, offer.grips.length - step)} />
                ))}
                <span className="arrow">→</span>
                <GripCard symbol={chord.symbol} voicing={chord.voicing} />
              </div>
            </li>
          )
        })}
      </ol>
    </section>
  )
}

/** Whether a grip, counted back from the chord, is another one than in the way above it. */
function differs(offers: ApproachOffer[], at: number, fromEnd: number): boolean {
  const above = offers[at - 1]?.grips
  const here = offers[at]?.grips
  if (above === undefined || here === undefined) return false
  return above.at(-fromEnd)?.voicing.frets.join() !== here.at(-fromEnd)?.voicing.frets.join()
}
