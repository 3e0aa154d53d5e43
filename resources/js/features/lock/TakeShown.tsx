import { useBench } from '../bench/benchContext'
import { Beside } from './Beside'
import { DelayOffer } from './DelayOffer'
import { KeptSound } from './KeepSound'
import { MicRoom } from './MicRoom'
import { Report } from './Report'
import { TakeRemarks } from './TakeRemarks'
import { TapPads } from './TapPads'
import type { useJudge } from './useJudge'
import type { useShownTakes } from './useShownTakes'
import type { useTaking } from './useTaking'

type Props = {
  taking: ReturnType<typeof useTaking>
  judge: ReturnType<typeof useJudge>
  takes: ReturnType<typeof useShownTakes>
  hidden: boolean
  onMeasure: () => void
}

/** The take that runs, or the report of the one that is shown. */
export function TakeShown({ taking, judge, takes, hidden, onMeasure }: Props) {
  const { timeline } = useBench()
  const { recorder, microphone, bars, from } = taking
  if (recorder.status !== 'idle') return <TapPads recorder={recorder} timeline={timeline} bars={bars} from={from} hideBeats={hidden} />
  if (microphone.status !== 'idle') {
    return (
      <MicRoom
        microphone={microphone}
        timeline={timeline}
        bars={bars}
        from={from}
        lateMs={judge.byMicrophone?.latency_ms}
        hideBeats={hidden}
      />
    )
  }
  if (taking.delay === 'offered') {
    const measure = () => {
      taking.setDelay('answered')
      onMeasure()
    }
    return <DelayOffer onMeasure={measure} onWithout={taking.listenNow} onLater={() => taking.setDelay('unasked')} />
  }
  const coming = takes.list.items === undefined && takes.list.error === null
  if (takes.shown === null) return coming || takes.rows.length > 0 ? <p className="loading">Fetching the take …</p> : <NoTakes />
  return takes.beside !== null ? (
    <Beside one={takes.shown} other={takes.beside} onClose={() => takes.putBeside(null)} />
  ) : (
    <>
      <Report take={takes.shown} />
      <KeptSound breakdown={takes.breakdown} take={takes.shown} />
      <TakeRemarks breakdown={takes.breakdown} take={takes.shown} />
    </>
  )
}

function NoTakes() {
  return (
    <div className="empty">
      <h2>No takes yet</h2>
      <p>
        Press <kbd>R</kbd>. After the count-in tap the strokes with the band: <kbd>F</kbd> for down, <kbd>J</kbd> for up, or tap the two
        pads. Chucks are tapped too. <kbd>M</kbd> listens to your guitar instead, and <kbd>E</kbd> lets a simulated student play, to see
        what a report says.
      </p>
    </div>
  )
}
