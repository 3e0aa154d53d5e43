import type { LaidFigure } from '../../../api/types'
import { LongNeck, useLongNeck } from '../../../ui/LongNeck'
import { PressPlaces } from '../../../ui/PressPlaces'

/** Where the notes of a figure lie; every place can be pressed where somebody wants to know. */
export function FigureNeck({ laid, onPlace }: { laid: LaidFigure; onPlace?: (place: string) => void }) {
  const { strings } = laid
  const { x, y } = useLongNeck(strings)
  const dots = [...new Map(laid.steps.flatMap(({ notes }) => notes).map((note) => [`${note.string}:${note.fret}`, note])).values()]
  return (
    <LongNeck strings={strings} className="map-neck" label={onPlace === undefined ? 'Where the notes lie' : 'Neck to press notes on'}>
      {dots.map((dot) => (
        <g key={`${dot.string}-${dot.fret}`} className="stop both">
          <rect x={x(dot.fret) - 12} y={y(strings - dot.string) - 8} width={24} height={16} />
          <text x={x(dot.fret)} y={y(strings - dot.string) + 4}>
            {dot.degree}
          </text>
        </g>
      ))}
      {onPlace !== undefined && <PressPlaces strings={strings} onPlace={onPlace} />}
    </LongNeck>
  )
}
