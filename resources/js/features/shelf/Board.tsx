import type { BreakdownCard } from '../../api/types'
import { Blade } from '../../ui/Blade'
import { patternCrossings } from '../../ui/HandWave'
import { leanAt, waveKnots, wavePath } from '../../ui/waveGeometry'

type Props = {
  name: string
  cards: BreakdownCard[]
  chosen: string | null
  onChoose: (id: string) => void
  onOpen: (card: BreakdownCard) => void
}

export const bookId = (id: string): string => `book-${id}`

/** One row of the shelf: neighbours join, since every curve crosses the strings on its bar line. */
export function Board({ name, cards, chosen, onChoose, onOpen }: Props) {
  return (
    <section aria-label={name}>
      <h2 className="board-name">{name}</h2>
      <div className="board">
        {cards.map((card) => (
          <button
            key={card.id}
            id={bookId(card.id)}
            type="button"
            className={card.id === chosen ? 'book chosen' : 'book'}
            aria-pressed={card.id === chosen}
            onClick={() => onChoose(card.id)}
            onDoubleClick={() => onOpen(card)}
            onKeyDown={(event) => {
              if (event.key !== 'Enter') return
              event.preventDefault()
              onOpen(card)
            }}
          >
            <BarOfHand card={card} />
            <b>{card.title}</b>
            <span>
              {card.key} · {card.feel} · {card.tempo}
            </span>
          </button>
        ))}
      </div>
    </section>
  )
}

const WIDTH = 246
const HEIGHT = 92

function BarOfHand({ card }: { card: BreakdownCard }) {
  const { sketch } = card
  const knots = waveKnots(patternCrossings(sketch))
  const toX = (beat: number) => (beat / sketch.beats_a_bar) * WIDTH
  const toY = (h: number) => HEIGHT / 2 - h * 40
  const clip = `book-clip-${card.id}`
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} preserveAspectRatio="none" className="book-wave" aria-hidden="true">
      <clipPath id={clip}>
        <rect width={WIDTH} height={HEIGHT} />
      </clipPath>
      {[0, 1, 2, 3, 4, 5].map((string) => (
        <line
          key={string}
          x1={0}
          x2={WIDTH}
          y1={HEIGHT / 2 + (string - 2.5) * 7.4}
          y2={HEIGHT / 2 + (string - 2.5) * 7.4}
          className="wave-string"
        />
      ))}
      <g clipPath={`url(#${clip})`}>
        <path d={wavePath(knots, toX, toY)} className="wave-rise" />
      </g>
      <line x1={0} x2={0} y1={0} y2={HEIGHT} className="bar-line" />
      <line x1={WIDTH} x2={WIDTH} y1={0} y2={HEIGHT} className="bar-line closing" />
      {sketch.strokes
        .filter((stroke) => stroke.beats < sketch.beats_a_bar && stroke.kind !== 'air')
        .map((stroke) => (
          <Blade
            key={stroke.at}
            kind={stroke.kind}
            direction={stroke.direction}
            accent={stroke.accent}
            x={toX(stroke.beats)}
            top={HEIGHT / 2 - 23}
            bottom={HEIGHT / 2 + 23}
            lean={leanAt(knots, stroke.beats, WIDTH / sketch.beats_a_bar, 40)}
          />
        ))}
    </svg>
  )
}
