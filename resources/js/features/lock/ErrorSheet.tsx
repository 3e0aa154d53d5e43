import { App, Button } from 'antd'
import { useEffect, useRef, useState } from 'react'
import { simulate } from '../../api/queries'
import type { LockReport } from '../../api/types'
import { band } from '../../audio/band'
import { useKeys } from '../../ui/keys'
import { useBench, useDocument } from '../bench/benchContext'
import { LockStrip } from './LockStrip'

/** What a simulated student does wrong, beside one who does it right. */
const PAIRS = [
  { name: 'as planned', errors: {} },
  { name: '20 ms early', errors: { bias_ms: -20 } },
  { name: '20 ms late', errors: { bias_ms: 20 } },
  { name: 'off-beats 35 ms early', errors: { off_beat_ms: -35 } },
  { name: 'loose, 28 ms', errors: { spread_ms: 28 } },
  { name: 'pulling ahead', errors: { drift_bpm_per_min: 8 } },
  { name: 'one stroke in six missing', errors: { missed: 0.17 } },
] as const

const BARS = 8

/** Hear what an error sounds like, and see what the report says of it; a press goes from one to the other on the spot. */
export function ErrorSheet({ onClose }: { onClose: () => void }) {
  const { tempo, timeline } = useBench()
  const document = useDocument()
  const { message } = App.useApp()
  const [chosen, setChosen] = useState<number | null>(null)
  const [report, setReport] = useState<LockReport | null>(null)
  const own = useRef(timeline)
  useEffect(() => {
    own.current = timeline
  }, [timeline])
  useEffect(
    () => () => {
      band.stop()
      if (own.current !== undefined) band.setTimeline(own.current)
    },
    [],
  )
  const hear = async (index: number) => {
    const pair = PAIRS[index]
    if (pair === undefined) return
    setChosen(index)
    try {
      const student = await simulate(document, { tempo, bars: BARS, ...pair.errors })
      setReport(student.report)
      band.setTimeline(student.timeline)
      if (!band.playing) void band.start()
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'That could not be played. Try again.')
    }
  }
  useKeys({ Escape: onClose, ...Object.fromEntries(PAIRS.map((_, index) => [String(index + 1), () => void hear(index)])) })
  return (
    <section className="errors" aria-label="Hear an error">
      <p className="muted">A simulated student plays your part with the band. Go from one to the other while it plays.</p>
      <div className="error-list" role="group">
        {PAIRS.map((pair, index) => (
          <button key={pair.name} type="button" aria-pressed={index === chosen} onClick={() => void hear(index)}>
            <kbd>{index + 1}</kbd> {pair.name}
          </button>
        ))}
      </div>
      {report === null ? (
        <p className="empty">Choose one. The first is how it is meant.</p>
      ) : (
        <>
          <p className={report.gate.passed ? 'verdict held' : 'verdict'}>
            {report.gate.passed ? 'This locks.' : (report.findings[0]?.text ?? report.gate.why)}
          </p>
          <LockStrip bars={BARS} report={report} sketch={null} />
        </>
      )}
      <div className="button-row">
        <Button onClick={onClose}>
          Enough <kbd>Esc</kbd>
        </Button>
      </div>
    </section>
  )
}
