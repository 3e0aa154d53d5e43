import { Segmented, Select } from 'antd'
import type { ReactNode } from 'react'
import type { Shape } from '../../api/queries'
import type { School } from '../../api/types'
import { GRIDS } from './sheets'

type Accents = NonNullable<Shape['accents']>
type Lengths = NonNullable<Shape['lengths']>

const ACCENTS: { value: Accents; label: string }[] = [
  { value: 'flat', label: 'all alike' },
  { value: 'back-beat', label: 'on 2 and 4' },
  { value: 'boom-chuck', label: 'boom-chuck' },
  { value: 'reset', label: 'on the first beat' },
]
const LENGTHS: { value: Lengths; label: string }[] = [
  { value: 'ringing', label: 'all ringing' },
  { value: 'long-dry', label: 'long, dry, long, dry' },
  { value: 'release-2-4', label: 'let go on 2 and 4' },
  { value: 'release-all', label: 'let go on every beat' },
]

type Props = {
  /** parts of every beat; 0 where beats are divided differently */
  division: number
  bars: number
  /** null where it is no choice: a figure is struck like a pendulum */
  school: School | null
  schools: { slug: School; name: string }[]
  onReshape: (shape: Shape) => void
  onSchool: (school: School) => void
  onLay: (shape: Shape) => void
  /** where in the song it is played */
  children?: ReactNode
}

/** What is decided for the pattern as a whole. */
export function ArrangeForm({ division, bars, school, schools, onReshape, onSchool, onLay, children }: Props) {
  return (
    <section className="arrange-form" aria-label="Arrange the pattern">
      <label>
        Every beat in{' '}
        <Select
          aria-label="Beat divided in"
          value={division}
          options={division === 0 ? [...GRIDS, { value: 0, label: 'different parts' }] : GRIDS}
          onChange={(to: number) => to !== 0 && onReshape({ grid: to })}
        />
      </label>
      <label>
        Bars before it repeats{' '}
        <Segmented aria-label="Bars" options={[1, 2, 4]} value={bars} onChange={(to) => onReshape({ bars: Number(to) })} />
      </label>
      {school !== null && (
        <label>
          Picking school{' '}
          <Select
            aria-label="Picking school"
            value={school}
            options={schools.map(({ slug, name }) => ({ value: slug, label: name }))}
            onChange={onSchool}
          />
        </label>
      )}
      <label>
        Accent every bar{' '}
        <Select
          aria-label="Accents"
          placeholder="choose"
          value={null}
          options={ACCENTS}
          onChange={(accents: Accents | null) => accents !== null && onLay({ accents })}
        />
      </label>
      <label>
        Lengths in every bar{' '}
        <Select
          aria-label="Lengths"
          placeholder="choose"
          value={null}
          options={LENGTHS}
          onChange={(lengths: Lengths | null) => lengths !== null && onLay({ lengths })}
        />
      </label>
      {children}
      <p className="muted">Accents and lengths are written into the strokes; undo takes them out again.</p>
    </section>
  )
}
