import { Button, InputNumber } from 'antd'
import { useState } from 'react'
import { useFeelReading } from '../../../api/queries'
import { useBench } from '../../bench/benchContext'
import { counted, type Listened } from '../../listen/listened'

/** The rhythm of some bars of the recording that lies open. */
export function RecordedRhythm({ listened, onTake }: { listened: Listened; onTake: (rhythm: string) => void }) {
  const { desk } = useBench()
  const [bar, setBar] = useState(1)
  const [bars, setBars] = useState(1)
  const heard = useFeelReading(desk, counted(listened), listened.beats, listened.told).data?.counted ?? []
  const last = Math.max(1, heard.length)
  const chosen = heard.slice(bar - 1, bar - 1 + bars).join(' | ')
  return (
    <>
      <span className="label">From “{listened.name}”</span>
      <InputNumber size="small" aria-label="Bar of the recording" min={1} max={last} value={bar} onChange={(to) => setBar(to ?? 1)} />
      <InputNumber size="small" aria-label="How many bars" min={1} max={4} value={bars} onChange={(to) => setBars(to ?? 1)} />
      <Button size="small" disabled={chosen === ''} onClick={() => onTake(chosen)}>
        Take the rhythm of {bars === 1 ? `bar ${bar}` : `bars ${bar}–${bar + bars - 1}`}
      </Button>
      <span className="muted">{chosen}</span>
    </>
  )
}
