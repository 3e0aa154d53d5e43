import type { ClassRow } from '../../api/school'

const STEP = 15
const HEIGHT = 44

/** The last sittings as leaning blocks, as high as their tempo: full where the gate was passed. */
export function Sittings({ sittings }: { sittings: ClassRow['sittings'] }) {
  if (sittings.length === 0) return <span className="muted">not played yet</span>
  const most = Math.max(...sittings.map(({ tempo }) => tempo))
  const least = Math.min(...sittings.map(({ tempo }) => tempo))
  const height = (tempo: number) => 10 + ((tempo - least) / Math.max(1, most - least)) * (HEIGHT - 14)
  const width = STEP * sittings.length
  const last = sittings.at(-1)
  return (
    <span className="sittings">
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={`Tempos of the last takes: ${sittings.map(({ tempo, passed }) => `${tempo}${passed ? ' clean' : ''}`).join(', ')}`}
      >
        {sittings.map(({ tempo, passed }, place) => (
          <path
            key={place}
            d={`M${place * STEP + 1} ${HEIGHT}l3 ${-height(tempo)}h${STEP - 5}l-3 ${height(tempo)}z`}
            className={passed ? 'sitting clean' : 'sitting'}
          />
        ))}
      </svg>
      <small>{last?.tempo} bpm</small>
    </span>
  )
}
