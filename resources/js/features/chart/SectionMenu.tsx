import { Button, Popover, Select } from 'antd'
import { forkEnding, moveSection, splitSection, takeSectionOut } from '../../api/song'
import type { ChartSection } from '../../api/types'
import { useDocument } from '../bench/benchContext'
import { useRemake } from '../bench/useRemake'

type Props = { id: string; name: string; index: number; written: ChartSection | undefined }

/** What is done to a section as a whole: moved, split, taken out. What is held to its places goes along. */
export function SectionMenu({ id, name, index, written }: Props) {
  const remake = useRemake()
  const sections = useDocument().sections.length
  const move = (position: number) => void remake((d) => moveSection(d, id, position))
  const bars = written?.bars.length ?? 0
  const starts = Array.from({ length: Math.max(0, bars - 1) }, (_, bar) => ({ value: bar + 1, label: `with bar ${bar + 2}` }))
  const actions = (
    <div className="section-actions" role="group" aria-label={`Section ${name}`}>
      <Button disabled={index === 0} onClick={() => move(index - 1)}>
        Move up
      </Button>
      <Button disabled={index === sections - 1} onClick={() => move(index + 1)}>
        Move down
      </Button>
      <Select
        aria-label={`Split section ${name}`}
        placeholder="Split: a new one begins …"
        value={null}
        disabled={starts.length === 0}
        options={starts}
        onChange={(bar: number | null) => bar !== null && void remake((d) => splitSection(d, id, bar))}
      />
      <Select
        aria-label={`Two endings for section ${name}`}
        placeholder="Two endings: fork …"
        value={null}
        disabled={starts.length === 0 || (written?.endings.length ?? 0) > 0}
        options={starts.slice(0, 8).map(({ value }) => ({ value, label: `the last ${value === 1 ? 'bar' : `${value} bars`}` }))}
        onChange={(last: number | null) => last !== null && void remake((d) => forkEnding(d, id, last))}
      />
      <Button disabled={sections === 1} aria-label={`Take out section ${name}`} onClick={() => void remake((d) => takeSectionOut(d, id))}>
        Take out
      </Button>
    </div>
  )
  return (
    <Popover trigger="click" placement="topRight" content={actions} destroyOnHidden>
      <Button aria-label={`Section ${name}: move, split, take out`}>…</Button>
    </Popover>
  )
}
