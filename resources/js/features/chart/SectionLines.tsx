import { Button, Input, Select } from 'antd'
import { forkEnding, takeEndingOut } from '../../api/song'
import type { BreakdownDocument, ChartSection } from '../../api/types'
import { useBench, useDocument, useMine } from '../bench/benchContext'
import { Marking } from '../bench/Marking'
import { useRemake } from '../bench/useRemake'
import { LineField } from './LineField'
import { ordinal } from '../../ui/words'
import { SectionMenu } from './SectionMenu'

type Section = BreakdownDocument['sections'][number]
type Ending = NonNullable<Section['endings']>[number]

/** A section as it is typed: its line, and how it ends each time. */
export function SectionLines({ section, index, written }: { section: Section; index: number; written: ChartSection | undefined }) {
  const { store } = useBench()
  const mine = useMine()
  const remake = useRemake()
  const set = (part: Partial<Section>) =>
    store.change(
      (d) => ({
        ...d,
        sections: d.sections.map((each) => (each.id === section.id ? { ...each, ...part } : each)) as BreakdownDocument['sections'],
      }),
      { together: `section-${index}` },
    )
  const endings = [...(section.endings ?? [])] as Ending[]
  const setEnding = (number: number, part: Partial<Ending>) =>
    set({ endings: endings.map((each, place) => (place === number ? { ...each, ...part } : each)) as NonNullable<Section['endings']> })
  return (
    <>
      <div className="chart-line">
        <Input
          aria-label="Section name"
          className="section-name"
          maxLength={40}
          disabled={!mine}
          value={section.name}
          onChange={(event) => event.target.value.trim() !== '' && set({ name: event.target.value })}
        />
        <LineField
          problems={written?.problems ?? []}
          value={section.line}
          disabled={!mine}
          placeholder="| Dm6 | B♭7 | Gm7 A7 | Dm6 |"
          onChange={(line) => set({ line })}
        />
        <Marking on={{ what: 'section', field: 'line', id: section.id }} label={`the chords of ${section.name}`} />
        {mine && <SectionMenu id={section.id} name={section.name} index={index} written={written} />}
      </div>
      {endings.map((ending, number) => (
        <div key={number} className="chart-line ending">
          <EndingTimes
            ending={ending}
            number={number}
            disabled={!mine}
            times={written?.times ?? 1}
            onChange={(part) => setEnding(number, part)}
          />
          <LineField
            name={`${ordinal(number + 1)} ending`}
            problems={written?.endings[number]?.problems ?? []}
            value={ending.line}
            disabled={!mine}
            onChange={(line) => setEnding(number, { line })}
          />
          {mine && (
            <Button
              aria-label={`Take out the ${ordinal(number + 1)} ending of section ${section.name}`}
              onClick={() => void remake((d) => takeEndingOut(d, section.id, number))}
            >
              ×
            </Button>
          )}
        </div>
      ))}
      {mine && endings.length > 0 && (
        <Button size="small" className="one-more-ending" onClick={() => void remake((d) => forkEnding(d, section.id, 1))}>
          One more ending
        </Button>
      )}
    </>
  )
}

type TimesProps = { ending: Ending; number: number; disabled: boolean; times: number; onChange: (part: Partial<Ending>) => void }

/** When a section ends so: in some of its times in a pass, or in some passes. */
function EndingTimes({ ending, number, disabled, times, onChange }: TimesProps) {
  const { passes } = useDocument()
  const options = [
    ...Array.from({ length: times }, (_, time) => ({
      value: `t${time + 1}`,
      label: times === 1 ? 'usually' : `${ordinal(time + 1)} time`,
    })),
    ...passes.map(({ id, name }, place) => ({ value: `p${id}`, label: name === '' ? `pass ${place + 1}` : name })),
  ]
  return (
    <Select
      mode="multiple"
      aria-label={`When the ${ordinal(number + 1)} ending comes`}
      disabled={disabled}
      value={[...ending.times.map((time) => `t${time}`), ...(ending.passes ?? []).map((pass) => `p${pass}`)]}
      options={options}
      maxTagCount="responsive"
      onChange={(chosen: string[]) =>
        chosen.length > 0 &&
        onChange({
          times: chosen.filter((each) => each.startsWith('t')).map((each) => Number(each.slice(1))) as Ending['times'],
          passes: chosen.filter((each) => each.startsWith('p')).map((each) => each.slice(1)) as NonNullable<Ending['passes']>,
        })
      }
    />
  )
}
