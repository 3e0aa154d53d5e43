import { Button, Input } from 'antd'
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { ApiError } from '../../api/client'
import { forgetGrip, keepGrip, useOwnGrips } from '../../api/queries'
import type { VoicedChord, Voicing } from '../../api/types'
import { useDocument } from '../bench/benchContext'
import { gripText } from '../../ui/gripText'

type Props = { chord: VoicedChord; voicing: Voicing; naming: boolean; onNaming: (on: boolean) => void; onLook: (voicing: Voicing) => void }

/** The teacher's own dictionary: grips under nicknames, laid on the root of the chord at hand. */
export function OwnGrips({ chord, voicing, naming, onNaming, onLook }: Props) {
  const document = useDocument()
  const client = useQueryClient()
  const grips = useOwnGrips(document, chord.symbol).data ?? []
  const [name, setName] = useState('')
  const [refusal, setRefusal] = useState('')
  const fresh = () => client.invalidateQueries({ queryKey: ['grips'] })
  const keep = async () => {
    try {
      await keepGrip({ name, symbol: chord.symbol, frets: gripText(voicing.frets), tuning: document.guitar.tuning })
      setName('')
      setRefusal('')
      onNaming(false)
      await fresh()
    } catch (problem) {
      setRefusal(problem instanceof ApiError ? problem.message : 'It could not be kept. Try again.')
    }
  }
  const here = grips.filter((grip) => grip.here !== null)
  return (
    <section className="own-grips">
      <h3>
        My grips{' '}
        {!naming && (
          <Button size="small" title="A grip with a name of yours comes back here on any root" onClick={() => onNaming(true)}>
            Name this one <kbd>N</kbd>
          </Button>
        )}
      </h3>
      {naming && (
        <form
          className="field-row"
          onSubmit={(event) => {
            event.preventDefault()
            void keep()
          }}
        >
          <Input
            autoFocus
            aria-label="Name of this grip"
            placeholder="any name you use"
            value={name}
            maxLength={60}
            onChange={(event) => setName(event.target.value)}
            onKeyDown={(event) => event.key === 'Escape' && onNaming(false)}
          />
          <Button htmlType="submit" type="primary" disabled={name.trim() === ''}>
            Keep
          </Button>
        </form>
      )}
      {refusal !== '' && (
        <p role="alert" className="finding finding-off">
          {refusal}
        </p>
      )}
      <ul className="own-list">
        {here.map((grip) => (
          <li key={grip.id}>
            <button type="button" className="quiet" onClick={() => grip.here !== null && onLook(grip.here)}>
              <b>{grip.name}</b> {grip.here == null ? '' : gripText(grip.here.frets)}
            </button>
            <button type="button" className="quiet" aria-label={`Forget ${grip.name}`} onClick={() => void forgetGrip(grip.id).then(fresh)}>
              ×
            </button>
          </li>
        ))}
      </ul>
      {here.length === 0 && !naming && grips.length > 0 && (
        <p className="muted">{`None of your ${grips.length} named grips is a chord like ${chord.symbol}.`}</p>
      )}
    </section>
  )
}
