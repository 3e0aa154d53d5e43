import type { HandSketch, LockReport, LockSlot } from '../../api/types'
import { Drawing } from '../../ui/Drawing'
import { lateness } from '../../ui/words'
import { LockWave, WAVE_HEIGHT } from './LockWave'

const WIDTH = 892
const LENS_HEIGHT = 112
const WIDEST_LENS = 150
/** More lenses than this and only the played slots get one. */
const ROOM_FOR_AIR = 16
/** px for each ms of lateness */
const PX_PER_MS = 0.68

type Item = { slot: number; beats: number | null; air: boolean; chuck: boolean; figures: LockSlot | undefined }

const slotWords = (slot: LockSlot): string =>
  `${slot.name}: ${slot.bias_ms === null ? 'not played' : lateness(slot.bias_ms)}${slot.spread_ms === null ? '' : `, spread ${Math.round(slot.spread_ms)} ms`}${slot.missed > 0 ? `, ${slot.missed} missed` : ''}${slot.extra > 0 ? `, ${slot.extra} too many` : ''}`

/**
 * Every slot is a lens: bars run from top to bottom in it, so that a drift shows as a slope. The arm runs above, as
 * planned and as played.
 */
export function LockStrip({
  report,
  bars: asked,
  tempo = 120,
  sketch,
}: {
  report: LockReport
  bars: number
  tempo?: number
  sketch: HandSketch | null
}) {
  const foot = report.slots.some((slot) => slot.missed + slot.extra > 0 || slot.length_share !== null) ? 76 : 62
  const tooFew = report.findings.some((finding) => finding.kind === 'too-few')
  const items = itemsOf(report.slots, sketch)
  const lens = Math.min(WIDEST_LENS, WIDTH / Math.max(1, items.length))
  const bars = Math.max(asked, ...report.hits.map((hit) => hit.bar + 1))
  const scale = Math.min(PX_PER_MS, (lens / 2 - 6) / 60)
  const top = sketch === null ? 0 : WAVE_HEIGHT
  const middle = (index: number) => index * lens + (lens - 8) / 2

  return (
    <div className="lock-strip" role="region" aria-label="Strokes against their places" tabIndex={0}>
      <Drawing name="the strip">
        <svg
          viewBox={`0 0 ${WIDTH} ${top + LENS_HEIGHT + foot}`}
          role="img"
          aria-label={`Where the strokes fell against their places. ${report.slots.map(slotWords).join('; ')}`}
        >
          {sketch !== null && (
            <LockWave
              sketch={sketch}
              slots={tooFew ? [] : report.slots}
              beatMs={60000 / tempo}
              width={items.length * lens}
              leads={items.map((item, index) => ({ beats: item.beats ?? 0, to: middle(index) }))}
            />
          )}
          <g transform={`translate(0 ${top})`}>
            {items.map((item, index) =>
              item.figures === undefined ? (
                <g key={item.slot}>
                  <rect x={index * lens} y={0} width={lens - 8} height={LENS_HEIGHT} className="lens-air" />
                  <text x={middle(index)} y={LENS_HEIGHT + 24} className="lens-note">
                    air
                  </text>
                </g>
              ) : (
                <Lens
                  key={item.slot}
                  slot={item.figures}
                  x={index * lens}
                  width={lens - 8}
                  bars={bars}
                  scale={scale}
                  gate={report.gate.bias_ms}
                  hits={report.hits.filter((hit) => hit.slot === item.slot)}
                  chuck={item.chuck}
                  wrongLength={report.findings.some((finding) => finding.kind === 'length' && finding.slots.includes(item.slot))}
                />
              ),
            )}
          </g>
        </svg>
      </Drawing>
      <p className="legend">
        <i className="key-gate" /> the gate, ±{Math.round(report.gate.bias_ms)} ms <i className="key-spread" /> bias ± 1 spread{' '}
        <i className="key-within" /> where the bias lies, 95 in 100 <i className="key-median" /> median
        {sketch !== null && (
          <>
            {' '}
            <i className="key-played" /> the hand as played
          </>
        )}
        <span>left of the line is early; bar 1 on top</span>
      </p>
    </div>
  )
}

/** The plan's slots in order, air included while there is room; extra strokes in other slots keep theirs. */
function itemsOf(slots: LockSlot[], sketch: HandSketch | null): Item[] {
  const planned: Item[] = (sketch?.strokes ?? []).map((stroke) => ({
    slot: stroke.slot,
    beats: stroke.beats,
    air: stroke.kind === 'air',
    chuck: stroke.kind === 'chuck',
    figures: slots.find((slot) => slot.slot === stroke.slot),
  }))
  const beside: Item[] = slots
    .filter((slot) => !planned.some((item) => item.slot === slot.slot))
    .map((slot) => ({ slot: slot.slot, beats: null, air: false, chuck: false, figures: slot }))
  const all = [...planned, ...beside].sort((a, b) => a.slot - b.slot)

  return all.length > ROOM_FOR_AIR ? all.filter((item) => item.figures !== undefined) : all
}

type LensProps = {
  slot: LockSlot
  x: number
  width: number
  bars: number
  scale: number
  gate: number
  hits: { bar: number; ms: number }[]
  chuck: boolean
  wrongLength: boolean
}

function Lens({ slot, x, width, bars, scale, gate, hits, chuck, wrongLength }: LensProps) {
  const middle = x + width / 2
  const off = slot.bias_ms === null ? slot.missed > 0 : Math.abs(slot.bias_ms) > gate
  const place = (ms: number) => Math.max(x + 3, Math.min(x + width - 3, middle + ms * scale))
  const rowHeight = LENS_HEIGHT / bars

  return (
    <g className={off ? 'lens off' : 'lens'}>
      <rect x={x} y={0} width={width} height={LENS_HEIGHT} className="lens-paper" />
      <rect x={place(-gate)} y={0} width={place(gate) - place(-gate)} height={LENS_HEIGHT} className="lens-gate" />
      {slot.bias_ms !== null && slot.spread_ms !== null && (
        <rect
          x={place(slot.bias_ms - slot.spread_ms)}
          y={0}
          width={Math.max(1, place(slot.bias_ms + slot.spread_ms) - place(slot.bias_ms - slot.spread_ms))}
          height={LENS_HEIGHT}
          className="lens-spread"
        />
      )}
      <line x1={middle} x2={middle} y1={0} y2={LENS_HEIGHT} className="lens-plan" />
      {hits.map((hit) => (
        <rect
          key={hit.bar}
          x={place(hit.ms) - 1.75}
          y={hit.bar * rowHeight + 1}
          width={3.5}
          height={Math.max(2, Math.min(9, rowHeight - 2))}
          className="lens-hit"
        />
      ))}
      {slot.bias_within?.[0] !== undefined && slot.bias_within[1] !== undefined && (
        <path
          d={`M${place(slot.bias_within[0])} ${LENS_HEIGHT - 7}v6M${place(slot.bias_within[0])} ${LENS_HEIGHT - 4}H${place(slot.bias_within[1])}m0 -3v6`}
          className="lens-within"
        />
      )}
      {slot.bias_ms !== null && (
        <path d={`M${place(slot.bias_ms)} 0V${LENS_HEIGHT}M${place(slot.bias_ms)} ${LENS_HEIGHT}l-6 9h12z`} className="lens-median" />
      )}
      <text x={middle} y={LENS_HEIGHT + 24} className="lens-name">
        {slot.name}
        {chuck ? ' ✕' : ''}
      </text>
      <text x={middle} y={LENS_HEIGHT + 42} className="lens-bias">
        {slot.bias_ms === null
          ? slot.missed > 0
            ? 'not played'
            : 'air'
          : width < 76
            ? `${Math.round(slot.bias_ms)} ms`
            : lateness(slot.bias_ms)}
      </text>
      <text x={middle} y={LENS_HEIGHT + 58} className="lens-note">
        {slot.spread_ms === null ? '' : width < 76 ? `± ${Math.round(slot.spread_ms)}` : `spread ${Math.round(slot.spread_ms)}`}
      </text>
      <text x={middle} y={LENS_HEIGHT + 73} className={wrongLength ? 'lens-note off' : 'lens-note'}>
        {[
          slot.missed > 0 ? `${slot.missed} missed` : '',
          slot.extra > 0 ? `${slot.extra} extra` : '',
          slot.length_share === null ? '' : `rings ${Math.round(100 * slot.length_share)} %`,
        ]
          .filter((words) => words !== '')
          .join(', ')}
      </text>
    </g>
  )
}
