import { Button, Segmented } from 'antd'
import { useState } from 'react'
import { hearHummed } from '../../api/queries'
import { useMicrophone } from '../../audio/useMicrophone'
import { useBench, useDocument } from '../bench/benchContext'

/** Hums a melody in over the click; what was heard is handed over as it is typed. */
export function HumIn({ onMelody }: { onMelody: (melody: string) => void }) {
  const { tempo, timeline } = useBench()
  const { start } = useDocument()
  const [bars, setBars] = useState(2)
  const [problem, setProblem] = useState('')
  const heard = async (sound: Blob, firstBeat: number) => {
    try {
      onMelody((await hearHummed(sound, { first_beat: firstBeat, tempo, meter: start.meter, key: start.key })).melody)
    } catch (refusal) {
      setProblem(refusal instanceof Error ? refusal.message : 'That could not be heard. Hum it again.')
    }
  }
  const voice = useMicrophone((sound, firstBeat) => void heard(sound, firstBeat), setProblem)
  const idle = voice.status === 'idle'
  const hum = () => {
    setProblem('')
    void voice.start({ bars, clickOnly: 'every beat' })
  }
  return (
    <div className="hum-in">
      {idle ? (
        <Button disabled={timeline === undefined || timeline.bars.length === 0} onClick={hum}>
          Hum it in
        </Button>
      ) : (
        <Button danger onClick={voice.stop}>
          That is all
        </Button>
      )}
      <Segmented aria-label="Bars to hum" options={[1, 2, 4, 8]} value={bars} disabled={!idle} onChange={(to) => setBars(Number(to))} />
      <span className="muted" role="status">
        {idle ? `bars over the click at ${tempo}, hummed, sung or whistled; the click belongs in headphones.` : 'Listening …'}
      </span>
      {problem !== '' && (
        <p role="alert" className="finding finding-off">
          {problem}
        </p>
      )}
    </div>
  )
}
