import { useLayoutEffect, useRef } from 'react'
import type { PracticeSheet } from '../../api/practice'
import type { Take } from '../../api/types'
import { LockStrip } from '../lock/LockStrip'

/** One look: what holds first, the strip at its worst slot, one thing to do. */
export function Result({ take, sheet, onTempo }: { take: Take; sheet: PracticeSheet; onTempo: (tempo: number) => void }) {
  const { report } = take
  const off = report.findings.find(({ kind }) => kind !== 'holds')
  const holds = report.findings.find(({ kind }) => kind === 'holds')
  const box = useRef<HTMLDivElement>(null)
  const worst = report.slots.findIndex(({ slot }) => slot === off?.slots[0])
  useLayoutEffect(() => {
    const strip = box.current?.querySelector('.lock-strip')
    if (strip == null || worst < 0) return
    const middle = ((worst + 0.5) / report.slots.length) * strip.scrollWidth
    strip.scrollLeft = Math.max(0, middle - strip.clientWidth / 2)
  }, [worst, report.slots.length, take.id])
  const practise = off?.practise ?? null
  return (
    <div className="practise-result" ref={box}>
      <p className={report.gate.passed ? 'verdict held' : 'verdict'} role="status">
        {report.gate.passed ? `It locks at ${take.tempo}.` : `Not locked yet at ${take.tempo}.`}
      </p>
      {off !== undefined && <p className="practise-finding">{off.text}</p>}
      <LockStrip report={report} bars={take.bars} tempo={take.tempo} sketch={null} />
      {practise !== null && sheet.tempos.includes(practise.tempo) && (
        <button type="button" className="practise-do" onClick={() => onTempo(practise.tempo)}>
          Practise it at {practise.tempo}
        </button>
      )}
      {holds !== undefined && holds.text !== off?.text && <p className="finding finding-holds">{holds.text}</p>}
      <p className="muted">
        Take {take.number}: {report.matched} of {report.planned} strokes met, {report.missed} missed
        {report.latency_ms === null
          ? '; this device’s delay was never measured'
          : `; ${Math.round(report.latency_ms)} ms of delay taken off`}
        .
      </p>
    </div>
  )
}
