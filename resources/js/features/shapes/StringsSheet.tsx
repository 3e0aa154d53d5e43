import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import { ApiError } from '../../api/client'
import { convertTuning, moveCapo, useChoices, useStatedTuning, useStringsPlan } from '../../api/queries'
import { hearNotes } from '../../audio/hearGrip'
import { useDesk, useDocument, useMine } from '../bench/benchContext'
import { BELOW_THE_CAPO, useRemake } from '../bench/useRemake'

const steps = (semitones: number) =>
  semitones === 0 ? 'stays' : `${Math.abs(semitones)} semitone${Math.abs(semitones) > 1 ? 's' : ''} ${semitones > 0 ? 'up' : 'down'}`

/** How the guitar must be set up for the tune: string by string to its tuning, and where a capo would open its grips. */
export function StringsSheet() {
  const desk = useDesk()
  const { document } = desk
  const mine = useMine()
  const remake = useRemake()
  const tunings = useChoices().data?.tunings ?? []
  const [from, setFrom] = useState('')
  const plan = useStringsPlan(desk, from)
  const moveTo = (capo: number) => void remake((d) => moveCapo(d, capo), BELOW_THE_CAPO)
  if (plan.error instanceof ApiError)
    return (
      <p role="alert" className="finding finding-off">
        {plan.error.message}
      </p>
    )
  return (
    <section className="strings-sheet" aria-label="Capo and tuning">
      <div>
        <div className="button-row">
          <h2>Capo</h2>
          {mine && document.guitar.capo > 0 && (
            <Button size="small" onClick={() => moveTo(0)}>
              Take it off fret {document.guitar.capo}
            </Button>
          )}
        </div>
        <p className="muted">the same sound in the shapes of an easier key; press a shape key to put the capo there</p>
        {plan.data?.capo.length === 0 && <p>No capo up to the seventh fret puts this key in the shapes of an easy one.</p>}
        <table className="capo-table">
          <thead>
            <tr>
              <th>Capo</th>
              <th>Shapes of</th>
              <th>Open grips</th>
              <th>What sounds, and what is held</th>
            </tr>
          </thead>
          <tbody>
            {plan.data?.capo.map((choice) => (
              <tr key={choice.capo} className={choice.capo === document.guitar.capo ? 'chosen' : ''}>
                <td>{choice.capo === 0 ? 'none' : `fret ${choice.capo}`}</td>
                <td>
                  {mine && choice.capo !== document.guitar.capo ? (
                    <Button size="small" onClick={() => moveTo(choice.capo)}>
                      {choice.shape_key}
                    </Button>
                  ) : (
                    <b>{choice.shape_key}</b>
                  )}
                </td>
                <td>
                  {choice.open_grips} of {choice.shapes.length}
                </td>
                <td className="pairs">
                  {choice.shapes.map((pair) => (
                    <span key={pair.sounding}>
                      <small>{pair.sounding}</small> {pair.shape}
                    </span>
                  ))}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div>
        <h2>Tuning</h2>
        <label className="inline">
          The guitar is in{' '}
          <Select
            aria-label="The guitar is in"
            value={from}
            onChange={setFrom}
            style={{ width: 210 }}
            options={[{ value: '', label: 'its usual tuning' }, ...tunings.map((tuning) => ({ value: tuning.slug, label: tuning.name }))]}
          />
        </label>
        <ul className="retune-list">
          {plan.data?.retune.map((step) => (
            <li key={step.string} className={step.needed && step.semitones !== 0 ? 'to-do' : ''}>
              <span>string {step.string}</span>
              <span>{step.from === step.to ? step.to : `${step.from} → ${step.to}`}</span>
              <span>{step.needed ? steps(step.semitones) : 'not used in this tune'}</span>
              <Button size="small" aria-label={`Hear ${step.to} for string ${step.string}`} onClick={() => void hearNotes([step.midi])}>
                Hear {step.to}
              </Button>
              {step.caution !== null && <p className="finding finding-swing">{step.caution}</p>}
            </li>
          ))}
        </ul>
        <StatedTuning />
        <p className="muted">Advice only: what your strings bear depends on their gauge. A guitar workshop knows yours.</p>
      </div>
    </section>
  )
}

/** A retuning as it is spoken, held against a typed list, and taken over with every grip of the line. */
function StatedTuning() {
  const document = useDocument()
  const mine = useMine()
  const remake = useRemake()
  const [stated, setStated] = useState('')
  const [typed, setTyped] = useState('')
  const read = useStatedTuning(stated, typed)
  const answer = stated.trim() === '' || read.error !== null ? undefined : read.data
  return (
    <div className="stated">
      <h3>In words</h3>
      <label className="tool-field">
        What was said
        <Input
          aria-label="Retuning in words"
          placeholder="whole step down, drop low string, open major on D"
          value={stated}
          onChange={(event) => setStated(event.target.value)}
        />
      </label>
      <label className="tool-field">
        The list that was written, lowest string first
        <Input aria-label="Typed tuning" placeholder="D2,G2,C3,F3,A3,D4" value={typed} onChange={(event) => setTyped(event.target.value)} />
      </label>
      {stated.trim() !== '' && read.error instanceof ApiError && (
        <p role="alert" className="finding finding-off">
          {read.error.message}
        </p>
      )}
      {answer !== undefined && (
        <>
          <p>
            <b>{answer.pitches.join(' ')}</b>
          </p>
          {answer.contradictions.map((each) => (
            <p key={each.string} className="finding finding-off">
              String {each.string}: the list says {each.typed}, the words say {each.stated}. Which is meant?
            </p>
          ))}
          {mine && answer.slug !== document.guitar.tuning && (
            <Button size="small" onClick={() => void remake((d) => convertTuning(d, answer.slug))}>
              Take the whole line to this tuning
            </Button>
          )}
        </>
      )}
    </div>
  )
}
