import { useHand } from '../../api/queries'
import type { HandSketch, Take } from '../../api/types'
import { countOf, lateness } from '../../ui/words'
import { barsOfTake } from './takeWords'
import { useDesk } from '../bench/benchContext'
import { BarDrift } from './BarDrift'
import { LockStrip } from './LockStrip'
import { SwingGauge } from './SwingGauge'

/** A take with its verdict: the sentence first, then the strip, then the swing. */
export function Report({ take }: { take: Take }) {
  const { report } = take
  const hand = useHand(useDesk(), take.tempo, null, take.level).data
  const first = report.findings.find((finding) => finding.kind !== 'holds')
  return (
    <div className="report">
      <p className={report.gate.passed ? 'verdict held' : 'verdict'}>
        {report.gate.passed
          ? first === undefined
            ? 'This locks.'
            : `It locks. ${first.text}`
          : (first?.text ?? 'Nothing stands out, but the gate stays shut.')}
      </p>
      <p className="muted">
        {take.player}, take {take.number} · {barsOfTake(take)} ·{take.level < 3 ? ` level ${take.level} ·` : ''} {take.tempo} bpm ·{' '}
        {report.matched} of {countOf(report.planned, 'stroke')} met, {report.missed} missed, {report.extra} too many
        {report.directions.told > 0
          ? ` · ${report.directions.told} directions told, ${report.directions.told - report.directions.wrong} as planned`
          : ''}
      </p>
      <LockStrip report={report} bars={take.bars} tempo={take.tempo} sketch={fits(take, hand?.sketch) ? (hand?.sketch ?? null) : null} />
      <div className="report-foot">
        {report.swing != null && report.swing_shares != null ? (
          <SwingGauge swing={report.swing} shares={report.swing_shares} />
        ) : (
          <p className="muted">
            {report.anchored
              ? 'No swing to tell: that takes two off-beats that were met, with the beats around them.'
              : 'Swing needs pairs of beat and off-beat, or the band’s beat to hold off-beats against.'}
          </p>
        )}
        <dl className="figures">
          <div>
            <dt>bias{report.anchored ? (report.latency_ms === null ? ', device included' : '') : ', from your own beats'}</dt>
            <dd>
              {report.bias_ms === null ? '–' : lateness(report.bias_ms)} <Within ms={report.bias_within} />
            </dd>
          </div>
          <div>
            <dt>spread</dt>
            <dd>
              {report.spread_ms === null ? '–' : `${Math.round(report.spread_ms)} ms`} <Within ms={report.spread_within} />
            </dd>
          </div>
          <div>
            <dt>tempo {report.drift_ms == null ? '' : report.drift_ms < 0 ? 'rises' : 'falls'}</dt>
            <dd>
              {report.drift_ms == null
                ? 'holds'
                : `by ${Math.round(Math.abs(report.drift_ms))} ms${report.drift_bpm_per_min === null ? '' : `, ${Math.abs(report.drift_bpm_per_min).toFixed(1)} bpm a minute`}`}
            </dd>
          </div>
          <div>
            <dt>gate</dt>
            <dd className={report.gate.passed ? 'held' : 'cut'}>{report.gate.passed ? 'open' : 'shut'}</dd>
          </div>
        </dl>
      </div>
      {report.bars !== undefined && report.bars.length > 1 && (
        <section>
          <h3 className="bar-by-bar">
            Bar by bar <span className="muted">the middle of each bar against the band</span>
          </h3>
          <BarDrift bars={report.bars} />
        </section>
      )}
      <p className={report.gate.passed ? 'finding finding-holds' : 'finding finding-swing'}>
        {report.gate.passed ? 'The gate is open: ' : 'The gate: '}
        {report.gate.why}.
        {report.anchored
          ? report.latency_ms === null
            ? ' The device’s delay was not measured, so the bias includes it; swing and spread are not affected.'
            : ''
          : ' This file does not say where the band’s first beat lay: its own strokes on the beats were taken for it, so whether all of it is early or late is not known. Play with the microphone or the keys to learn that.'}
      </p>
    </div>
  )
}

/** The pattern may have changed since this take; then it is shown without the wave. */
const fits = (take: Take, sketch: HandSketch | undefined): boolean => {
  const struck = new Set(sketch?.strokes.filter((stroke) => stroke.kind !== 'air').map((stroke) => stroke.slot))
  const planned = take.report.slots.filter((slot) => slot.n + slot.missed > 0).map((slot) => slot.slot)

  return planned.length > 0 && struck.size === planned.length && planned.every((slot) => struck.has(slot))
}

/** Between what a figure lies, 95 times in a hundred. */
function Within({ ms }: { ms: number[] | null | undefined }) {
  const [low, high] = (ms ?? []).map(Math.round)
  if (low === undefined || high === undefined) return null
  return (
    <small className="within" title="95 times in a hundred it lies between these">
      {signed(low)} to {signed(high)}
    </small>
  )
}

const signed = (ms: number): string => (ms < 0 ? `−${-ms}` : `${ms}`)
