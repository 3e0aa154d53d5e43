import { Button, Select } from 'antd'
import { useState } from 'react'
import { useChoices } from '../../api/queries'
import { useBalanceNotes, useBalances, type HeardBalance } from '../../api/school'

const WITHOUT = 'without'
const keyOf = (gain: number | null) => (gain === null ? WITHOUT : String(gain))

type Props = { group: string; breakdown: string; members: { id: number; name: string }[] }

/** Whoever does not play listens: three loudnesses of the guitar, two seats, with and without it. */
export function BandBalance({ group, breakdown, members }: Props) {
  const listening = useChoices().data?.listening
  const heard = useBalances(group, breakdown).data ?? []
  const { note, takeBack } = useBalanceNotes(group)
  const [listener, setListener] = useState(members[0]?.id)
  const [seat, setSeat] = useState<HeardBalance['seat']>('room')
  const [gain, setGain] = useState(WITHOUT)
  const say = (verdict: HeardBalance['verdict']) =>
    listener !== undefined && note.mutate({ breakdown, heard_by: listener, seat, gain_db: gain === WITHOUT ? null : Number(gain), verdict })
  return (
    <section aria-label="Balance test">
      <h2>Balance test</h2>
      <div className="button-row">
        <Select
          aria-label="Who listens"
          value={listener}
          onChange={setListener}
          options={members.map(({ id, name }) => ({ value: id, label: name }))}
        />
        <Select
          aria-label="From where"
          value={seat}
          onChange={setSeat}
          options={listening?.seats.map(({ slug, words }) => ({ value: slug, label: `from ${words}` }))}
        />
        <Select
          aria-label="How loud the guitar is"
          value={gain}
          onChange={setGain}
          options={listening?.gains.map(({ gain_db, words }) => ({ value: keyOf(gain_db), label: words }))}
        />
        {listening?.verdicts.map(({ slug, words }) => (
          <Button key={slug} onClick={() => say(slug)} loading={note.isPending}>
            {words}
          </Button>
        ))}
      </div>
      {note.error !== null && (
        <p role="alert" className="finding finding-off">
          {note.error.message}
        </p>
      )}
      {heard.length > 0 && (
        <table className="figures-table">
          <tbody>
            {heard.map((each) => (
              <tr key={each.id}>
                <th scope="row">{each.heard_by}</th>
                <td>{`from ${listening?.seats.find(({ slug }) => slug === each.seat)?.words ?? '…'}`}</td>
                <td>{listening?.gains.find(({ gain_db }) => gain_db === each.gain_db)?.words}</td>
                <td>
                  <b>{listening?.verdicts.find(({ slug }) => slug === each.verdict)?.words}</b>
                </td>
                <td>{each.on}</td>
                <td>
                  <Button
                    size="small"
                    type="text"
                    aria-label={`Take back what ${each.heard_by} heard`}
                    onClick={() => takeBack.mutate(each.id)}
                  >
                    ×
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  )
}
