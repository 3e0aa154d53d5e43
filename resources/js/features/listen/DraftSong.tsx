import { Button } from 'antd'
import { useState } from 'react'
import type { BreakdownDocument, Sketch } from '../../api/types'
import { KEYS } from '../../ui/choices'
import { useKeys } from '../../ui/keys'
import { useBench, useMine } from '../bench/benchContext'
import type { Harmony } from './listened'

type Props = { sketch: Sketch | undefined; problem: string | null; harmony: Harmony; onHarmony: (harmony: Harmony) => void }

/** A song drafted from the recording: each thing with how sure it is, taken over in one press and undone in one step. */
export function DraftSong({ sketch, problem, harmony, onHarmony }: Props) {
  const { store, setTempo } = useBench()
  const mine = useMine()
  const [done, setDone] = useState(false)
  const take = (document: BreakdownDocument | undefined) => {
    if (document === undefined || !mine) return
    store.change(() => document)
    setTempo(document.start.tempo)
    setDone(true)
  }
  useKeys({ Enter: () => take(sketch?.document) })
  return (
    <section className="draft-song">
      <h2>Draft the song</h2>
      <div className="draft-told">
        <label>
          Bass
          <select
            aria-label="Who has the bass"
            value={harmony.company}
            onChange={(event) => onHarmony({ ...harmony, company: event.target.value as Harmony['company'] })}
          >
            <option value="alone">in the grips</option>
            <option value="with-bass">a bass player</option>
          </select>
        </label>
        <label>
          Key
          <select
            aria-label="Key"
            value={harmony.key ?? ''}
            onChange={(event) => onHarmony({ ...harmony, key: event.target.value || null })}
          >
            <option value="">{sketch === undefined || sketch.key_given ? 'as heard' : `${sketch.key} (heard)`}</option>
            {KEYS.map((key) => (
              <option key={key}>{key}</option>
            ))}
          </select>
        </label>
      </div>
      {problem !== null ? (
        <p role="alert" className="finding finding-off">
          {problem}
        </p>
      ) : sketch === undefined ? (
        <p className="loading">Reading the chords …</p>
      ) : (
        <>
          {sketch.remarks.map((remark) => (
            <p key={remark} className="finding finding-off">
              {remark}
            </p>
          ))}
          <div className="draft-acts">
            <Button type="primary" disabled={!mine} onClick={() => take(sketch.document)}>
              Draft all of it <kbd className="on-ink">Enter</kbd>
            </Button>
            <Button disabled={!mine} onClick={() => take(sketch.chords_alone.document)}>
              Form and chords only
            </Button>
          </div>
          <p className="muted" role="status">
            {done
              ? 'Drafted. What is unsure is marked on the chart; Ctrl Z brings back what was there.'
              : 'It takes the place of the sections, strokes and grips on the bench; one step back undoes it.'}
          </p>
          <ul className="draft-parts">
            {sketch.parts.map((part) => (
              <li key={part.what}>
                <b>{part.what}</b>
                <span>{part.says}</span>
                <Sureness share={part.sure} />
                <small className="muted">{part.why}</small>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}

/** Ten leaning blocks, as many filled as it is sure by tenths. */
function Sureness({ share }: { share: number }) {
  const filled = Math.round(10 * share)
  return (
    <svg width={76} height={12} role="img" aria-label={`${Math.round(100 * share)} % sure`}>
      {Array.from({ length: 10 }, (_, tenth) => (
        <path key={tenth} d={`M${tenth * 7.4 + 3} 1h4.6l-2.6 10h-4.6z`} className={tenth < filled ? 'sure-block' : 'sure-block hollow'} />
      ))}
    </svg>
  )
}
