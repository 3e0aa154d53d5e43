import type { Band } from '../../api/types'

const HEIGHT = 150
const TOP = 30
const A_PART = 62
const LEFT = 34
const DEEPEST = 20

/** Every part plumbed below the soloist, and where comping should hang. */
export function SoundingsPlumb({ band }: { band: Band }) {
  const { soundings, soloist } = band
  if (soloist === null) {
    return (
      <section className="soundings" aria-label="Soundings">
        <h2>Soundings</h2>
        <p className="muted">Nobody leads in this band. Take a lead into the line-up, and every part is plumbed below it.</p>
      </section>
    )
  }
  const y = (db: number) => TOP + (Math.max(-2, Math.min(DEEPEST, db)) / DEEPEST) * (HEIGHT - TOP - 8)
  const width = LEFT + soundings.length * A_PART
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
        aria-label={soundings.map((each) => `${each.part} ${each.below_db} dB below`).join(', ')}
      >
        <line x1={LEFT - 6} x2={width} y1={y(0)} y2={y(0)} className="plumb-zero" />
        {zone !== undefined && (
          <rect x={LEFT - 6} y={y(zone.least)} width={width - LEFT + 6} height={y(zone.most) - y(zone.least)} className="plumb-zone" />
        )}
        {[0, 5, 10, 15].map((db) => (
          <text key={db} x={0} y={y(db) + 4} className="plumb-db">
            {db === 0 ? '0' : `−${db}`}
          </text>
        ))}
        {soundings.map((each, place) => {
          const x = LEFT + place * A_PART + A_PART / 2 - 6
          return (
            <g key={each.part} className={each.over ? 'plumb over' : 'plumb'}>
              <text x={x} y={14} textAnchor="middle" className="plumb-name">
                {each.part}
              </text>
              <line x1={x} x2={x} y1={y(0)} y2={y(each.below_db)} />
              <path d={`M${x - 6} ${y(each.below_db)}h12l-6 12z`} />
              <text x={x + 9} y={y(each.below_db) + 5} className="plumb-db">
                {each.below_db.toFixed(1)}
              </text>
            </g>
          )
        })}
      </svg>
      <p className="muted">Comping hangs in the band of green. Hearing is precious: keep the whole band as soft as the room allows.</p>
    </section>
  )
}
