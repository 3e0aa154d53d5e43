import { Segmented } from 'antd'
import { useTabState } from '../../ui/useTabState'
import type { BreakdownDocument, FeelReading, Sketch } from '../../api/types'
import { useDocument } from '../bench/benchContext'
import { DraftSong } from './DraftSong'
import type { Harmony, Listened } from './listened'
import { TakeOver } from './TakeOver'

type Props = {
  listened: Listened
  reading: FeelReading
  sketch: Sketch | undefined
  /** why nothing can be drafted */
  problem: string | null
  onHarmony: (harmony: Harmony) => void
}

const isBlank = ({ sections }: BreakdownDocument): boolean => sections.every(({ line }) => line.trim() === '')

/** What of the recording goes into the breakdown: its feel alone, or a whole song drafted from it. */
export function Taking({ listened, reading, sketch, problem, onHarmony }: Props) {
  const document = useDocument()
  // Where nothing is written yet, there is nothing to take a feel into.
  const [whole, setWhole] = useTabState('listen:whole', isBlank(document))
  if (listened.notes === null) return <TakeOver offers={reading.offers} tuning={listened.tuning} />
  return (
    <>
      <Segmented
        block
        className="taking"
        aria-label="What to take over"
        value={whole ? 'song' : 'feel'}
        onChange={(value) => setWhole(value === 'song')}
        options={[
          { value: 'feel', label: 'Tempo, feel, strokes' },
          { value: 'song', label: 'The whole song' },
        ]}
      />
      {whole ? (
        <DraftSong sketch={sketch} problem={problem} harmony={listened.harmony} onHarmony={onHarmony} />
      ) : (
        <TakeOver offers={reading.offers} tuning={listened.tuning} />
      )}
    </>
  )
}
