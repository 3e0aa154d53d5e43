import { Button, Popover, Segmented } from 'antd'
import type { LineDocument } from '../../api/types'
import { PathWishesForm } from './PathWishesForm'
import type { Label } from './sheetMarks'
import { VIEWS, type View } from './views'

const COMPANY: Record<LineDocument['company'], string> = { alone: 'Alone', 'with-bass': 'With a bass', shell: 'Shells only' }

type Props = {
  view: View
  mine: boolean
  company: LineDocument['company']
  /** whether another place on the neck is looked at */
  elsewhere: boolean
  label: Label
  onView: (view: View) => void
  onCompany: () => void
  onElsewhere: () => void
  onLabel: (label: Label) => void
}

/** What can be asked of the neck, and how its sheets are labelled. */
export function ShapesHead({ view, mine, company, elsewhere, label, onView, onCompany, onElsewhere, onLabel }: Props) {
  return (
    <>
      <div className="station-head">
        <h2>Neck</h2>
        {view === 'sheets' && <p className="muted">one sheet a chord, time falls; straight and green is held, bent moves</p>}
        <div className="title-actions">
          <Button type={elsewhere ? 'primary' : 'default'} aria-pressed={elsewhere} onClick={onElsewhere}>
            Second place <kbd className={elsewhere ? 'on-ink' : ''}>E</kbd>
          </Button>
          {mine && (
            <Popover trigger="click" placement="bottomRight" content={<PathWishesForm />}>
              <Button>Ask of the line …</Button>
            </Popover>
          )}
          {view === 'sheets' && (
            <Segmented
              aria-label="Label the dots with"
              options={[
                { value: 'degrees', label: 'Degree' },
                { value: 'notes', label: 'Note' },
                { value: 'fingers', label: 'Finger' },
              ]}
              value={label}
              onChange={onLabel}
            />
          )}
        </div>
      </div>
      <nav className="view-row" aria-label="Tools of the neck">
        <button
          type="button"
          className="view-tab company"
          disabled={!mine}
          title="Who plays along decides what a grip may leave out"
          onClick={onCompany}
        >
          {COMPANY[company]} <kbd>B</kbd>
        </button>
        {VIEWS.filter(({ view: each }) => mine || each !== 'hands').map(({ view: each, key, label: words }) => (
          <button
            key={each}
            type="button"
            className={view === each ? 'view-tab on' : 'view-tab'}
            aria-pressed={view === each}
            onClick={() => onView(each)}
          >
            {words} <kbd className={view === each ? 'on-ink' : ''}>{key.toUpperCase()}</kbd>
          </button>
        ))}
      </nav>
    </>
  )
}
