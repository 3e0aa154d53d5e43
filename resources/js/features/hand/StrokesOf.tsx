import { Segmented } from 'antd'
import type { Desk } from '../../api/desk'

const PATTERN = ''

/** The figures that are played in a section of a pass. */
export function figuresIn({ document: { placed, figures }, place }: Desk): { id: string; name: string }[] {
  return (figures ?? []).filter(({ id }) =>
    placed.some(({ what, at, passes }) => what === id && at.section === place.section && (passes == null || passes.includes(place.pass))),
  )
}

type Props = { figures: { id: string; name: string }[]; figure: string | null; onFigure: (figure: string | null) => void }

/** Whose strokes are worked at: the pattern's, or those of a figure that is played here. */
export function StrokesOf({ figures, figure, onFigure }: Props) {
  if (figures.length === 0) return null
  return (
    <Segmented
      size="small"
      aria-label="Whose strokes"
      value={figure ?? PATTERN}
      options={[
        { value: PATTERN, label: 'pattern' },
        ...figures.map(({ id, name }, place) => ({ value: id, label: name === '' ? `figure ${place + 1}` : name })),
      ]}
      onChange={(id) => onFigure(id === PATTERN ? null : id)}
    />
  )
}
