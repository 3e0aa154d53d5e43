import { Button } from 'antd'
import type { Band, Patch } from '../../api/types'

const COUNTS = ['Nothing', 'One thing', 'Two things', 'Three things', 'Four things']

type Props = {
  band: Band
  chosen: number
  mine: boolean
  heard: 'now' | 'mended' | null
  onChoose: (place: number) => void
  /** takes a repair of the chosen clash */
  onSettle: (mend: number) => void
  /** plays the bars of the chosen clash, as they are where no change is told */
  onHear: (change: Patch[] | null) => void
  onStop: () => void
}

/** What is in whose way, the worst first, each with its ways out; and what was looked at. */
export function ClashList({ band, chosen, mine, heard, onChoose, onSettle, onHear, onStop }: Props) {
  const { clashes, holds, looked, unlooked } = band
  const at = Math.min(chosen, clashes.length - 1)
  return (
    <aside className="side wide clashes" aria-label="Clashes">
      <h2>
        {clashes.length === 0 ? 'Nothing to settle' : `${COUNTS[clashes.length] ?? `${clashes.length} things`} to settle, the worst first`}
      </h2>
      <ol>
        {clashes.map((clash, place) => (
          <li key={`${clash.kind}-${clash.parts.join()}-${clash.bars[0]}`} className={place === at ? 'clash chosen' : 'clash'}>
            <button type="button" aria-pressed={place === at} onClick={() => onChoose(place)}>
              <b>
                {place + 1}. {clash.title}
              </b>
              <span>{clash.text}</span>
              {clash.bars.length > 1 && <small className="muted">in {clash.bars.length} bars</small>}
            </button>
            {place === at && (
              <div className="button-row">
                {clash.mends.map((mend, number) => (
                  <span key={mend.words} className="mend">
                    <Button
                      size="small"
                      type={number === 0 ? 'primary' : 'default'}
                      disabled={!mine || mend.change === null}
                      onClick={() => onSettle(number)}
                    >
                      {mend.words} {number === 0 && <kbd className="on-ink">Enter</kbd>}
                    </Button>
                    <Button
                      size="small"
                      aria-label={`Hear it so: ${mend.words}`}
                      disabled={mend.change === null}
                      onClick={() => onHear(mend.change)}
                    >
                      Hear it so {number === 0 && <kbd>J</kbd>}
                    </Button>
                  </span>
                ))}
                <Button size="small" onClick={() => onHear(null)}>
                  Hear it now <kbd>H</kbd>
                </Button>
                {heard !== null && (
                  <Button size="small" onClick={onStop}>
                    Stop: it plays {heard === 'now' ? 'as it is' : 'mended'} <kbd>Esc</kbd>
                  </Button>
                )}
              </div>
            )}
          </li>
        ))}
      </ol>
      {holds.length > 0 && (
        <div className="holds">
          <b>Holds</b>
          {holds.map((words) => (
            <p key={words}>{words} Leave it alone.</p>
          ))}
        </div>
      )}
      <details open={clashes.length === 0}>
        <summary>{looked.length} things were looked at</summary>
        <p>{looked.join(', ')}.</p>
        {unlooked.map((words) => (
          <p key={words} className="muted">
            Not looked at: {words}.
          </p>
        ))}
      </details>
    </aside>
  )
}
