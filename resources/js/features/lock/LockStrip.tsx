import type { LockSlot, Take, Timeline } from '../../api/types'
import { lateness } from '../../ui/words'

const WIDTH = 892
const HEIGHT = 170
/** px for each ms of lateness */
const PX_PER_MS = 0.68

/** Every slot is a lens: bars run from top to bottom in it, so that a drift shows as a slope. */
export function LockStrip({ take, timeline }: { take: Take; timeline: Timeline | undefined }) {
  const { report } = take
  const planned = timeline?.strokes.filter((stroke) => stroke.bar < timeline.pattern_bars) ?? []
  const lens = Math.min(112, WIDTH / Math.max(1, report.slots.length))
  const bars = Math.max(take.bars, ...report.hits.map((hit) => hit.bar + 1))
  const scale = Math.min(PX_PER_MS, (lens / 2 - 6) / 60)
  return (
    <div className="lock-strip">
      <svg viewBox={`0 0 ${Math.max(WIDTH, lens * report.slots.length)} ${HEIGHT + 66}`} role="img" aria-label="Lock strip: where every stroke fell against its planned place">
        {report.slots.map((slot, index) => (
          <Lens key={slot.slot} slot={slot} x={index * lens} width={lens - 8} bars={bars} scale={scale} gate={report.gate.bias_ms} hits={report.hits.filter((hit) => hit.slot === slot.slot)} chuck={planned.find((stroke) => stroke.slot === slot.slot)?.kind === 'chuck'} />
        ))}
      </svg>
      <p className="legend">
        <i className="key-gate" /> the gate, ±{Math.round(report.gate.bias_ms)} ms <i className="key-spread" /> bias ± 1 spread <i className="key-median" /> median; left of the line is early, bar 1 on top
      </p>
    </div>
  )
}

type LensProps = { slot: LockSlot; x: number; width: number; bars: number; scale: number; gate: number; hits: { bar: number; ms: number }[]; chuck: boolean }

function Lens({ slot, x, width, bars, scale, gate, hits, chuck }: LensProps) {
  const middle = x + width / 2
  const off = slot.bias_ms !== null && Math.abs(slot.bias_ms) > gate
  const place = (ms: number) => Math.max(x + 3, Math.min(x + width - 3, middle + ms * scale))
  const rowHeight = HEIGHT / bars
  return (
    <g className={off ? 'lens off' : 'lens'}>
      <rect x={x} y={0} width={width} height={HEIGHT} className="lens-paper" />
      <rect x={place(-gate)} y={0} width={place(gate) - place(-gate)} height={HEIGHT} className="lens-gate" />
      {slot.bias_ms !== null && slot.spread_ms !== null && <rect x={place(slot.bias_ms - slot.spread_ms)} y={0} width={Math.max(1, place(slot.bias_ms + slot.spread_ms) - place(slot.bias_ms - slot.spread_ms))} height={HEIGHT} className="lens-spread" />}
      <line x1={middle} x2={middle} y1={0} y2={HEIGHT} className="lens-plan" />
      {hits.map((hit) => (
        <rect key={hit.bar} x={place(hit.ms) - 1.75} y={hit.bar * rowHeight + 1} width={3.5} height={Math.max(2, Math.min(9, rowHeight - 2))} className="lens-hit" />
      ))}
      {slot.bias_ms !== null && <path d={`M${place(slot.bias_ms)} 0V${HEIGHT}M${place(slot.bias_ms)} ${HEIGHT}l-6 9h12z`} className="lens-median" />}
      <text x={middle} y={HEIGHT + 24} className="lens-name">
        {slot.name}
        {chuck ? ' ✕' : ''}
      </text>
      <text x={middle} y={HEIGHT + 42} className="lens-bias">
        {slot.bias_ms === null ? 'not played' : lateness(slot.bias_ms)}
      </text>
      <text x={middle} y={HEIGHT + 58} className="lens-note">
        {slot.spread_ms === null ? '' : `spread ${Math.round(slot.spread_ms)}`}
        {slot.missed > 0 ? ` · ${slot.missed} missed` : ''}
        {slot.extra > 0 ? ` · ${slot.extra} extra` : ''}
      </text>
    </g>
  )
}
