import { Segmented } from 'antd'
import type { Desk } from '../../api/desk'
import { figuresAt } from '../chart/figure/playedAt'

const PATTERN = ''

/** The figures that are played in a section of a pass, each once. */
export function figuresIn({ document, place }: Desk): { id: string; name: string }[] {
  const played = new Set(figuresAt(document, place).map(({ what }) => what))
  return (document.figures ?? []).filter(({ id }) => played.has(id))
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
