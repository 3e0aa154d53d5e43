import { Button, Select, Slider } from 'antd'
import { addPart, takePartOut } from '../../api/song'
import type { Band, BreakdownDocument } from '../../api/types'
import { useBench, useDocument, useMine } from '../bench/benchContext'
import { useRemake } from '../bench/useRemake'
import { KeepWord } from './KeepWord'

type Part = BreakdownDocument['parts'][number]

/** Who is in the band, how each plays, how loud and how high. */
export function LineUpForm({ band }: { band: Band }) {
  const { store } = useBench()
  const document = useDocument()
  const mine = useMine()
  const remake = useRemake()
  const change = (id: string, part: Partial<Part>) =>
    store.change(
      (d) => ({ ...d, parts: d.parts.map((each) => (each.id === id ? { ...each, ...part } : each)) as BreakdownDocument['parts'] }),
      { together: `part-${id}` },
    )
  return (
    <section className="line-up" aria-label="Line-up">
      {document.parts.map((part) => {
        const told = band.parts.find(({ id }) => id === part.id)
        return (
          <div key={part.id} className="line-up-part">
            <b>{part.id}</b>
            {told !== undefined && told.ways.length > 0 ? (
              <Select
                size="small"
                aria-label={`How the ${part.id} play`}
                value={told.way}
                disabled={!mine}
                options={told.ways.map(({ slug, words }) => ({ value: slug, label: words }))}
                onChange={(plays) => plays !== null && change(part.id, { plays: plays as NonNullable<Part['plays']> })}
                popupMatchSelectWidth={false}
              />
            ) : (
              <span className="muted">its strokes</span>
            )}
            <label>
              <span className="unseen">Loudness of the {part.id}</span>
              <Slider
                min={0}
                max={1}
                step={0.05}
                value={part.level}
                disabled={!mine}
                onChange={(level) => change(part.id, { level })}
                tooltip={{ formatter: (level) => `${Math.round(100 * (level ?? 0))} %` }}
              />
            </label>
            {mine && part.instrument !== 'guitar' && (
              <Button size="small" aria-label={`Take the ${part.id} out`} onClick={() => void remake((d) => takePartOut(d, part.id))}>
                out
              </Button>
            )}
          </div>
        )
      })}
      {mine && band.absent.length > 0 && (
        <div className="button-row">
          <span className="label">Take in</span>
          {band.absent.map((instrument) => (
            <Button key={instrument} size="small" onClick={() => void remake((d) => addPart(d, instrument))}>
              {instrument}
            </Button>
          ))}
        </div>
      )}
      {mine && <KeepWord />}
    </section>
  )
}
