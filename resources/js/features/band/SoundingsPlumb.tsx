import { Button } from 'antd'
import { useState } from 'react'
import type { Band } from '../../api/types'
import { band as player } from '../../audio/band'
import { usePlayer } from '../transport/Transport'
import { BalanceSheet } from './BalanceSheet'

const A_DB = 5
const TOP = 32
const A_PART = 52
/** What the parts share where there are many. */
const ROOM = 264
const LEFT = 34
const SHALLOWEST = -6
const DEEPEST = 16
const HEIGHT = TOP + (DEEPEST - SHALLOWEST) * A_DB + 16

/** Every part plumbed below the soloist as heard from a seat, and where comping should hang for the room. */
export function SoundingsPlumb({ band }: { band: Band }) {
  const { soloist, seats, ranges, parts } = band.soundings
  const { heardFrom } = usePlayer()
  const [testing, setTesting] = useState(false)
  const nameOf = (id: string) => band.parts.find((part) => part.id === id)?.words ?? id
  const seat = seats.find(({ slug }) => slug === heardFrom?.seat) ?? seats[0]
  const soundings = parts.map((each, place) => ({ ...each, below_db: seat?.below_db[place] ?? 0 }))
  if (soloist === null) {
    return (
      <section className="soundings" aria-label="Soundings">
        <h2>Soundings</h2>
        <p className="muted">Nobody leads in this band. Take a lead into the line-up, and every part is plumbed below it.</p>
      </section>
    )
  }
  const y = (db: number) => TOP + (Math.max(SHALLOWEST, Math.min(DEEPEST, db)) - SHALLOWEST) * A_DB
  const aPart = Math.min(A_PART, ROOM / Math.max(1, soundings.length))
  const width = LEFT + soundings.length * aPart
  const zone = soundings[0]
  return (
    <section className="soundings" aria-label="Soundings">
      <h2>
        Soundings <small className="muted">dB below a soloist that is {soloist}</small>
      </h2>
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={soundings
          .map((each) => `${nameOf(each.part)} ${Math.abs(each.below_db)} dB ${each.below_db < 0 ? 'above' : 'below'}`)
          .join(', ')}
      >
        <line x1={LEFT - 6} x2={width} y1={y(0)} y2={y(0)} className="plumb-zero" />
        {zone !== undefined && (
          <rect x={LEFT - 6} y={y(zone.least)} width={width - LEFT + 6} height={y(zone.most) - y(zone.least)} className="plumb-zone" />
        )}
        {[-5, 0, 5, 10, 15].map((db) => (
          <text key={db} x={0} y={y(db) + 4} className="plumb-db">
            {db === 0 ? '0' : db < 0 ? `+${-db}` : `−${db}`}
          </text>
        ))}
        {soundings.map((each, place) => {
          const x = LEFT + place * aPart + aPart / 2 - 6
          return (
            <g key={each.part} className={each.over ? 'plumb over' : 'plumb'}>
              <text x={x} y={14} textAnchor="middle" className="plumb-name">
                {nameOf(each.part)}
              </text>
              <line x1={x} x2={x} y1={y(0)} y2={y(each.below_db)} />
              <path d={`M${x - 6} ${y(each.below_db)}h12l-6 ${each.below_db < 0 ? -12 : 12}z`} />
              <text x={x + 9} y={y(each.below_db) + 5} className="plumb-db">
                {each.below_db < 0 ? `+${(-each.below_db).toFixed(1)}` : each.below_db.toFixed(1)}
              </text>
            </g>
          )
        })}
      </svg>
      <div className="button-row">
        <span className="label">Hear it from</span>
        {seats.map((each) => (
          <Button
            key={each.slug}
            size="small"
            aria-pressed={each.slug === seat?.slug}
            type={each.slug === seat?.slug ? 'primary' : 'default'}
            onClick={() => player.set({ heardFrom: { seat: each.slug, gainsDb: each.gains_db } })}
          >
            {each.words}
          </Button>
        ))}
      </div>
      <Button size="small" onClick={() => setTesting(true)}>
        Balance test …
      </Button>
      {testing && <BalanceSheet soundings={band.soundings} onClose={() => setTesting(false)} />}
      {ranges.map((words) => (
        <p key={words}>{words}</p>
      ))}
      <p className="muted">Comping hangs in the green, for the room. Hearing is precious: keep the whole band soft.</p>
    </section>
  )
}
