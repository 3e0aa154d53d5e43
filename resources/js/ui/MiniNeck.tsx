import type { Voicing } from '../api/types'
import { neckScale, neckWindow } from './neckGeometry'
import { useNeckView } from './neckView'

/** A grip as a small picture: nut to the left and low string on top, unless somebody turned it. Squares are roots. */
export function MiniNeck({ voicing, width = 116, height = 54 }: { voicing: Voicing; width?: number; height?: number }) {
  const window = neckWindow([voicing.frets])
  const view = useNeckView()
  const { wireX, tipX, openX, row } = neckScale(window, width - 22, view)
  const strings = voicing.frets.length
  const y = (index: number) => 6 + (row(index, strings) * (height - 22)) / (strings - 1)
  const frets = Array.from({ length: window.last - window.first + 1 }, (_, index) => window.first + index)
  return (
    <svg width={width} height={height} className="mini-neck" aria-hidden="true">
      <g transform="translate(11 0)">
        {frets.map((fret) => (
          <line key={fret} x1={wireX(fret)} x2={wireX(fret)} y1={6} y2={height - 16} className={fret === 0 ? 'nut' : 'fret'} />
        ))}
        {voicing.frets.map((fret, index) => (
          <line
            key={index}
            x1={wireX(window.first)}
            x2={wireX(window.last)}
            y1={y(index)}
            y2={y(index)}
            className={fret === null ? 'string muted' : 'string'}
          />
        ))}
        {voicing.barres.map((barre) => (
          <line
            key={`${barre.fret}-${barre.from}`}
            x1={tipX(barre.fret)}
            x2={tipX(barre.fret)}
            y1={y(strings - barre.from)}
            y2={y(strings - barre.to)}
            className="barre"
          />
        ))}
        {voicing.frets.map((fret, index) => {
          if (fret === null) return <path key={index} d={`M${openX(6.5) - 2.5} ${y(index) - 2.5}l5 5m0 -5l-5 5`} className="mute-cross" />
          const x = fret === 0 ? openX(6.5) : tipX(fret)
          const root = voicing.degrees[index] === 'R'
          return root ? (
            <rect key={index} x={x - 4} y={y(index) - 4} width={8} height={8} className={fret === 0 ? 'dot open' : 'dot'} />
          ) : (
            <circle key={index} cx={x} cy={y(index)} r={4} className={fret === 0 ? 'dot open' : 'dot'} />
          )
        })}
        <text x={tipX(window.first + 1)} y={height - 3} className="fret-number">
          {window.first + 1}
        </text>
      </g>
    </svg>
  )
}
