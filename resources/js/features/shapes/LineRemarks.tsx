import { Button } from 'antd'
import { ApiError } from '../../api/client'
import type { usePath } from '../../api/queries'

type Path = ReturnType<typeof usePath>
type Props = {
  path: Path
  /** the line's first place on the neck */
  first: Path['data']
  elsewhere: boolean
  /** whether open strings that give no root are told */
  alone: boolean
  mine: boolean
  onPinAll: () => void
}

/** What is to be said of the whole line before its sheets. */
export function LineRemarks({ path, first, elsewhere, alone, mine, onPinAll }: Props) {
  return (
    <>
      {path.error instanceof ApiError && (
        <p role="alert" className="finding finding-off">
          {path.error.message}
        </p>
      )}
      {path.isPending && path.error === null && <p className="loading">Finding grips …</p>}
      {path.data?.chords.length === 0 && (
        <div className="empty">
          <h2>No chords to hold yet</h2>
          <p>Type a chord line in Chart; the grips appear here at once.</p>
        </div>
      )}
      {elsewhere && (
        <p className="finding finding-swing">
          The same line in another place on the neck, pins left aside
          {path.data === undefined || first === undefined
            ? ''
            : `: the hand travels ${path.data.travel.frets} frets and ${path.data.travel.held} notes are held; in the first place ${first.travel.frets} and ${first.travel.held}`}
          . The first one is kept.{' '}
          {mine && (
            <Button size="small" onClick={onPinAll}>
              Pin this one instead
            </Button>
          )}
        </p>
      )}
      {alone && path.data !== undefined && path.data.without_open_root.length > 0 && (
        <p className="muted open-roots">
          Alone, a finger holds the root of {path.data.without_open_root.join(', ')}: no open string gives it.
        </p>
      )}
    </>
  )
}
