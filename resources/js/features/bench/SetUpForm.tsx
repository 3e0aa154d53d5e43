import { Input, Select } from 'antd'
import { useChoices } from '../../api/queries'
import { useBench, useDocument } from './benchContext'
import { Marking } from './Marking'

/** What strikes, where, what the hand rests on, tone and loudness: one line, put together by a press or typed. */
export function SetUpForm() {
  const { store } = useBench()
  const { guitar } = useDocument()
  const choices = useChoices().data
  const words = choices?.set_up ?? []
  const line = guitar.setUp ?? ''
  const set = (setUp: string) =>
    store.change((d) => ({ ...d, guitar: { ...d.guitar, setUp: setUp.slice(0, 160) } }), { together: 'set-up' })
  /** Of a row one: another of the same row goes. */
  const take = (row: string[], word: string) => {
    const left = line.split(', ').filter((part) => part !== '' && !row.includes(part))
    set([...left, ...(line.split(', ').includes(word) ? [] : [word])].join(', '))
  }
  return (
    <fieldset className="set-up">
      <legend>
        Set-up <Marking on={{ what: 'guitar', field: 'setUp' }} label="set-up" />
      </legend>
      <Input
        aria-label="Set-up"
        maxLength={160}
        placeholder="pick, near the bridge, clean …"
        value={line}
        onChange={(event) => set(event.target.value)}
      />
      {words.map(({ name, words: row }) => (
        <div key={name} className="set-up-row" role="group" aria-label={name}>
          {row.map((word) => (
            <button key={word} type="button" aria-pressed={line.split(', ').includes(word)} onClick={() => take(row, word)}>
              {word}
            </button>
          ))}
        </div>
      ))}
      <label>
        The original is in
        <Select
          aria-label="Tuning of the original"
          value={guitar.recordedIn ?? ''}
          options={[
            { value: '', label: 'this tuning, or nobody knows' },
            ...(choices?.tunings ?? []).map(({ slug, name }) => ({ value: slug, label: name })),
          ]}
          onChange={(tuning: string) =>
            store.change((d) => {
              const guitar = { ...d.guitar, recordedIn: tuning }
              if (tuning === '') delete (guitar as { recordedIn?: string }).recordedIn
              return { ...d, guitar }
            })
          }
        />
      </label>
      {guitar.recordedIn !== undefined && guitar.recordedIn !== guitar.tuning && (
        <small className="muted">The original is in another tuning: it will sound different.</small>
      )}
    </fieldset>
  )
}
