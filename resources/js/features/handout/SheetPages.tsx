type Props = { pages: string[]; chosen: string | null; onChoose: (part: string | null) => void }

/** The sides as they will be printed; a part that is pressed is chosen in the list beside them. */
export function SheetPages({ pages, chosen, onChoose }: Props) {
  return (
    <div
      className="sheet-pages"
      data-chosen={chosen ?? ''}
      onClick={(event) => onChoose((event.target as Element).closest('[data-part]')?.getAttribute('data-part') ?? null)}
    >
      {pages.map((page, place) => (
        // The drawing is the core's own: every text in it is escaped there.
        <div key={place} className="sheet" dangerouslySetInnerHTML={{ __html: page }} />
      ))}
    </div>
  )
}
