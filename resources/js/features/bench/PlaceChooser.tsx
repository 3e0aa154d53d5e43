import { Select } from 'antd'
import type { SongPlace } from '../../api/types'
import { ordinal } from '../../ui/words'
import { useBench } from './benchContext'

/** Which section of which pass is worked at; out of the way while everywhere is alike. */
export function PlaceChooser() {
  const { desk, places, setPlace } = useBench()
  const { document, place } = desk
  if (document.patterns.length === 1 && document.lines.length === 1) return null
  const here = places.find((each) => each.pass === place.pass && each.section === place.section)
  const passes = document.passes.map(({ id, name }, index) => ({ value: id, label: name === '' ? `${ordinal(index + 1)} pass` : name }))
  return (
    <div className="place-chooser" role="group" aria-label="Where in the song">
      {passes.length > 1 && (
        <Select
          aria-label="Pass"
          size="small"
          value={place.pass}
          options={passes}
          onChange={(pass: string) => setPlace({ ...place, pass })}
        />
      )}
      <Select
        aria-label="Section"
        size="small"
        value={place.section}
        options={document.sections.map(({ id, name }) => ({ value: id, label: `Section ${name}` }))}
        onChange={(section: string) => setPlace({ ...place, section })}
      />
      <span className="muted">{here === undefined ? '' : wordsOf(here, document)}</span>
    </div>
  )
}

/** What is played there, and where else: whoever changes it changes it there too. */
function wordsOf(here: SongPlace, document: ReturnType<typeof useBench>['desk']['document']): string {
  if (here.role === 'out') return 'the guitar is out'
  const pattern = document.patterns.find(({ id }) => id === here.pattern)
  const line = document.lines.find(({ id }) => id === here.line)
  const named = [document.patterns.length > 1 ? pattern?.name : '', document.lines.length > 1 ? line?.name : ''].filter((name) => name)
  return [here.meter, ...named, ...(here.level < 3 ? [`level ${here.level}`] : [])].join(' · ')
}
