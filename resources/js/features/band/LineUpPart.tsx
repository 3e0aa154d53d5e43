import { Button, Checkbox, InputNumber, Select, Slider } from 'antd'
import { changeSeats, takePartOut } from '../../api/song'
import type { Band, BreakdownDocument } from '../../api/types'
import { useRemake } from '../bench/useRemake'

export type Part = BreakdownDocument['parts'][number]

type Props = {
  part: Part
  /** what can be said of it */
  told: Band['parts'][number]
  limits: Band['registers']
  mine: boolean
  onChange: (changed: Partial<Part>) => void
}

/** One part of the band, in a row. */
export function LineUpPart({ part, told, limits, mine, onChange }: Props) {
  const remake = useRemake()
  const { words, register } = told
  return (
    <tr>
      <th scope="row">{words}</th>
      <td>
        {told.ways.length > 0 ? (
          <Select
            size="small"
            aria-label={`How the ${words} plays`}
            value={told.way}
            disabled={!mine}
            options={told.ways.map(({ slug, words: label }) => ({ value: slug, label }))}
            onChange={(plays) => plays !== null && onChange({ plays: plays as NonNullable<Part['plays']> })}
            popupMatchSelectWidth={false}
          />
        ) : (
          <span className="muted">its strokes</span>
        )}
        {told.timbres.length > 0 && (
          <Select
            size="small"
            aria-label={`What the ${words} sound like`}
            value={part.sound ?? told.timbres[0]}
            disabled={!mine}
            options={told.timbres.map((value) => ({ value, label: value }))}
            onChange={(sound) => onChange({ sound })}
            popupMatchSelectWidth={false}
          />
        )}
      </td>
      <td>
        <Slider
          ariaLabelForHandle={`Loudness of the ${words}`}
          min={0}
          max={1}
          step={0.05}
          value={part.level}
          disabled={!mine}
          onChange={(level) => onChange({ level })}
          tooltip={{ formatter: (level) => `${Math.round(100 * (level ?? 0))} %` }}
        />
      </td>
      <td>
        {register === null ? (
          <span className="muted">{part.instrument === 'drums' ? '–' : 'its grips'}</span>
        ) : (
          <>
            <Slider
              range
              ariaLabelForHandle={[`Lowest note of the ${words}`, `Highest note of the ${words}`]}
              min={limits.lowest}
              max={limits.highest}
              value={part.register ?? register}
              disabled={!mine}
              onChange={([low = limits.lowest, high = limits.highest]) =>
                high - low >= limits.narrowest && onChange({ register: [low, high] })
              }
              tooltip={{ open: false }}
            />
            <small>{told.register_words}</small>
          </>
        )}
      </td>
      <td>
        <InputNumber
          size="small"
          aria-label={`The ${words} late by, in ms`}
          min={-100}
          max={100}
          precision={0}
          value={part.offsetMs}
          disabled={!mine}
          onChange={(offsetMs) => offsetMs !== null && onChange({ offsetMs })}
        />{' '}
        ms
      </td>
      <td>
        <Checkbox
          aria-label={`The ${words} straight, whatever the others do`}
          checked={part.straight}
          disabled={!mine}
          onChange={({ target }) => onChange({ straight: target.checked })}
        />
      </td>
      <td className="button-row">
        {mine && part.instrument === 'second-guitar' && (
          <Button size="small" title="You play the second guitar, and it plays what you played" onClick={() => void remake(changeSeats)}>
            Change seats
          </Button>
        )}
        {mine && part.instrument !== 'guitar' && (
          <Button size="small" aria-label={`Take the ${words} out`} onClick={() => void remake((d) => takePartOut(d, part.id))}>
            out
          </Button>
        )}
      </td>
    </tr>
  )
}
