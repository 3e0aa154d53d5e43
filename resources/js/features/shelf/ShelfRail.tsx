import { Mark } from '../../ui/Mark'

type Props = { name: string | undefined; count: string; onHelp: () => void; onSignOut: () => void }

export function ShelfRail({ name, count, onHelp, onSignOut }: Props) {
  return (
    <header className="rail">
      <span className="brand">
        <Mark /> Gravik
      </span>
      <nav aria-label="Place">
        <span className="station-tab active">
          <span>
            <b>Shelf</b>
            <small>{count}</small>
          </span>
        </span>
      </nav>
      <div className="rail-end">
        <span>{name}</span>
        <button type="button" className="quiet" onClick={onHelp}>
          Keys <kbd>?</kbd>
        </button>
        <button type="button" className="quiet" onClick={onSignOut}>
          Sign out
        </button>
      </div>
    </header>
  )
}
