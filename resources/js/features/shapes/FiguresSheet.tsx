import { useFigure } from '../../api/song'
import { ordinal } from '../../ui/words'
import { useBench, useDocument } from '../bench/benchContext'
import { FigureNeck } from '../chart/figure/FigureNeck'
import { FigureTab } from '../chart/figure/FigureTab'
import { figuresAt, type PlacedFigure } from '../chart/figure/playedAt'
import { ShellWords } from '../chart/figure/ShellWords'

/** Where the hand goes for the figures of this section and pass, each as it is played at its place. */
export function FiguresSheet() {
  const { desk } = useBench()
  const placed = figuresAt(desk.document, desk.place).sort((a, b) => (a.at.ending ?? -1) - (b.at.ending ?? -1) || a.at.bar - b.at.bar)
  if (placed.length === 0) {
    return (
      <section className="tool-sheet" aria-label="Figures" tabIndex={0}>
        <h2>Figures</h2>
        <p className="muted">
          None is played in this section of this pass. On the Chart, choose a bar of the pass and press I to write one.
        </p>
      </section>
    )
  }
  return (
    <section className="tool-sheet" aria-label="Figures" tabIndex={0}>
      {placed.map((each) => (
        <OneFigure key={`${each.what}-${each.at.ending}-${each.at.bar}`} placed={each} />
      ))}
    </section>
  )
}

function OneFigure({ placed }: { placed: PlacedFigure }) {
  const { desk } = useBench()
  const document = useDocument()
  const figure = document.figures?.find(({ id }) => id === placed.what)
  const { section, ending, bar } = placed.at
  const laid = useFigure(document, {
    pass: desk.place.pass,
    section,
    ending,
    bar,
    id: placed.what,
    typed: [],
    relative_to: figure?.relativeTo ?? 'chord',
    octave: placed.octave ?? 0,
    near: placed.near ?? null,
    instead: placed.instead ?? true,
    fixed: [...(placed.fixed ?? [])],
  }).data
  if (laid === undefined) return null
  const place = document.figures?.findIndex(({ id }) => id === placed.what) ?? 0
  return (
    <article className="figure-here">
      <h3>
        {figure?.name === undefined || figure.name === '' ? `Figure ${place + 1}` : figure.name}
        <small>
          {' '}
          over {laid.over}, hand at fret {laid.near}, from the {ordinal(bar + 1)} bar
          {ending === null ? '' : ` of the ${ordinal(ending + 1)} ending`}
        </small>
      </h3>
      <div className="figure-drawn">
        <FigureTab laid={laid} />
        <FigureNeck laid={laid} />
      </div>
      <ShellWords laid={laid} />
    </article>
  )
}
