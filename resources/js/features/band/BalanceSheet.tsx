import { Button } from 'antd'
import { useEffect, useState } from 'react'
import type { Band, BreakdownDocument } from '../../api/types'
import { band as player } from '../../audio/band'
import { Dialog } from '../../ui/Dialog'
import { useBench, useDocument, useMine } from '../bench/benchContext'

type Balance = Band['soundings']['balance']
type Seat = Band['soundings']['seats'][number]
type Step = Balance['steps'][number]
type Note = NonNullable<BreakdownDocument['balance']>[number]
type Trial = { seat: Seat; step: Step }

/** The guitar in the band at several gains and from two seats, with and without it; what was heard is noted with the song. */
export function BalanceSheet({ soundings: { balance, seats }, onClose }: { soundings: Band['soundings']; onClose: () => void }) {
  const { store } = useBench()
  const document = useDocument()
  const mine = useMine()
  const [trial, setTrial] = useState<Trial | null>(null)
  const notes = document.balance ?? []
  useEffect(() => asItWas(), [])
  const hear = (seat: Seat, step: Step) => {
    player.set({ heardFrom: { seat: seat.slug, gainsDb: { ...seat.gains_db, guitar: (seat.gains_db.guitar ?? 0) + (step.gain_db ?? 0) } } })
    player.mute('guitar', step.gain_db === null)
    setTrial({ seat, step })
    if (!player.playing) void player.start()
  }
  const note = (verdict: Note['verdict']) => {
    if (trial === null) return
    const heard: Note = {
      on: new Date().toISOString().slice(0, 10),
      seat: trial.seat.slug,
      ...(trial.step.gain_db === null ? {} : { gainDb: trial.step.gain_db }),
      verdict,
    }
    store.change((d) => ({ ...d, balance: [...(d.balance ?? []), heard].slice(-MOST) }))
  }
  const take = ({ level }: Step) =>
    store.change((d) => ({
      ...d,
      parts: d.parts.map((part) => (part.instrument === 'guitar' ? { ...part, level } : part)) as BreakdownDocument['parts'],
    }))
  const seatWords = (slug: string) => seats.find((seat) => seat.slug === slug)?.words ?? slug
  return (
    <Dialog title="Balance test" open width={640} footer={null} onCancel={onClose} className="balance">
      <p className="muted">Sit where the listeners sit. Hear the band without the guitar, with a little of it, and with a lot.</p>
      <table aria-label="Gains by seat">
        <tbody>
          {seats.map((seat) => (
            <tr key={seat.slug}>
              <th scope="row">From {seat.words}</th>
              {balance.steps.map((step) => {
                const on = trial?.seat.slug === seat.slug && trial.step.gain_db === step.gain_db
                return (
                  <td key={String(step.gain_db)}>
                    <Button aria-pressed={on} type={on ? 'primary' : 'default'} onClick={() => hear(seat, step)}>
                      {gainWords(step.gain_db)}
                    </Button>
                  </td>
                )
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <div className="button-row" role="group" aria-label="How it sits">
        <span className="label">{trial === null ? 'Hear one, then say how it sits' : `From ${trial.seat.words} it is`}</span>
        {balance.verdicts.map(({ slug, words }) => (
          <Button key={slug} size="small" disabled={trial === null || !mine} onClick={() => note(slug)}>
            {words}
          </Button>
        ))}
        {trial !== null && mine && trial.step.gain_db !== null && trial.step.gain_db !== 0 && (
          <Button size="small" onClick={() => take(trial.step)}>
            Keep {gainWords(trial.step.gain_db)} for the guitar
          </Button>
        )}
      </div>
      {notes.length === 0 ? (
        <p className="muted">Nothing is noted yet. What you note stays with the song.</p>
      ) : (
        <ol className="balance-notes" aria-label="What was heard">
          {notes.map((each, place) => (
            <li key={place}>
              {each.on}, from {seatWords(each.seat)}, {gainWords(each.gainDb ?? null)}:{' '}
              <b>{balance.verdicts.find(({ slug }) => slug === each.verdict)?.words}</b>
              {mine && (
                <Button
                  size="small"
                  type="text"
                  aria-label={`Take note ${place + 1} back`}
                  onClick={() => store.change((d) => ({ ...d, balance: (d.balance ?? []).filter((_, at) => at !== place) }))}
                >
                  ×
                </Button>
              )}
            </li>
          ))}
        </ol>
      )}
    </Dialog>
  )
}

/** What the document holds at most. */
const MOST = 100

const gainWords = (gain: number | null): string =>
  gain === null ? 'without it' : gain === 0 ? 'as written' : `${gain > 0 ? '+' : '−'}${Math.abs(gain)} dB`

/** @returns what gives the mix back as it was heard before */
function asItWas(): () => void {
  const { heardFrom, muted } = player.snapshot()
  return () => {
    player.set({ heardFrom })
    player.mute('guitar', muted.guitar)
  }
}
