import { useFigure } from '../../api/song'
import type { BreakdownDocument } from '../../api/types'
import { useDocument } from '../bench/benchContext'
import { FigureTab } from '../chart/figure/FigureTab'
import type { PlacedFigure } from '../chart/figure/playedAt'

type Figure = NonNullable<BreakdownDocument['figures']>[number]

/** Every figure of the song in tab, as it is played where it comes first. */
export function LeadFigures() {
  const { figures, placed } = useDocument()
  const played = (figures ?? []).flatMap((figure) => {
    const first = placed.find((each): each is PlacedFigure => each.what === figure.id)
    return first === undefined || figure.streams.every(({ strokes }) => strokes.every(({ notes }) => notes === undefined))
      ? []
      : [{ figure, first }]
  })
  if (played.length === 0) return null
  return (
    <section>
      <h2>Figures</h2>
      <div className="lead-figures">
        {played.map(({ figure, first }) => (
          <LeadFigure key={figure.id} figure={figure} first={first} />
        ))}
      </div>
    </section>
  )
}

function LeadFigure({ figure, first }: { figure: Figure; first: PlacedFigure }) {
  const document = useDocument()
  const { section, ending, bar } = first.at
  const laid = useFigure(document, {
    pass: first.passes?.[0] ?? document.passes[0].id,
    section,
    ending,
    bar,
    id: figure.id,
    typed: [],
    relative_to: figure.relativeTo,
    octave: first.octave ?? 0,
    near: first.near ?? null,
    instead: first.instead ?? true,
    fixed: [...(first.fixed ?? [])],
  }).data
  return laid === undefined ? null : (
    <figure>
      <figcaption>
        <b>{figure.name === '' ? figure.id : figure.name}</b> over {laid.over}
      </figcaption>
      <FigureTab laid={laid} />
    </figure>
  )
}
