import { usePath } from '../../api/queries'
import type { LessonStage } from '../../api/types'
import { gripText } from '../../ui/gripText'
import { useBench } from '../bench/benchContext'
import { GripCard } from '../shapes/GripCard'

/** Room for one row beside the words of a stage. */
const MOST = 8

/** The grips of the bars that go round; where names wait, shapes alone. */
export function StageGrips({ stage }: { stage: LessonStage }) {
  const { desk } = useBench()
  const [first = 0, last = Infinity] = stage.loop ?? []
  const seen = new Map(
    (usePath(desk).data?.chords ?? [])
      .filter(({ form_bar }) => form_bar >= first && form_bar <= last)
      .map((chord) => [gripText(chord.voicing.frets), chord] as const),
  )
  const bare = stage.waits.includes('names')
  const shown = [...seen.values()].slice(0, MOST)
  return (
    <div className="stage-grips" role="group" aria-label={bare ? 'Grips, without their names' : 'Grips'}>
      {shown.map((chord, place) => (
        <GripCard key={gripText(chord.voicing.frets)} symbol={bare ? `shape ${place + 1}` : chord.symbol} voicing={chord.voicing} />
      ))}
      {seen.size > MOST && <span className="muted">and {seen.size - MOST} more</span>}
    </div>
  )
}
