import { Input, Select } from 'antd'
import { withLine, withPattern } from '../../api/desk'
import { playHere } from '../../api/song'
import { useBench } from './benchContext'
import { useRemake } from './useRemake'

const OWN = ''
const WORDS = { pattern: 'Strokes', line: 'Grips' }

/** Which pattern, or which line of grips, a section has: one that others share, or one of its own; and what it is called. */
export function PlayedHere({ what }: { what: 'pattern' | 'line' }) {
  const { store, desk, setPlace } = useBench()
  const remake = useRemake()
  const { document, place } = desk
  const entries = what === 'pattern' ? document.patterns : document.lines
  const here = desk[what]
  if (document.sections.length === 1 && document.passes.length === 1 && entries.length === 1) return null
  const named = (entry: { id: string; name: string }) =>
    entry.name === '' ? `${WORDS[what]} ${entries.findIndex(({ id }) => id === entry.id) + 1}` : entry.name
  const choose = (id: string) => void remake((d) => playHere({ ...desk, document: d }, what, id === OWN ? null : id))
  const rename = (name: string) =>
    store.change(
      (d) =>
        what === 'pattern' ? withPattern(d, here.id, (each) => ({ ...each, name })) : withLine(d, here.id, (each) => ({ ...each, name })),
      { together: `name-${here.id}` },
    )
  return (
    <fieldset className="played-here">
      <label>
        In section{' '}
        <Select
          aria-label="In section"
          value={place.section}
          options={document.sections.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(section: string) => setPlace({ ...place, section })}
        />
      </label>
      <label>
        {WORDS[what]}{' '}
        <Select
          aria-label={`${WORDS[what]} of this section`}
          value={here.id}
          options={[...entries.map((entry) => ({ value: entry.id, label: named(entry) })), { value: OWN, label: 'of its own' }]}
          onChange={choose}
        />
      </label>
      {entries.length > 1 && (
        <label>
          Called{' '}
          <Input
            aria-label={`Name of these ${WORDS[what].toLowerCase()}`}
            maxLength={40}
            value={here.name}
            onChange={(event) => rename(event.target.value)}
          />
        </label>
      )}
    </fieldset>
  )
}
