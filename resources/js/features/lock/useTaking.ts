import { App } from 'antd'
import { useState } from 'react'
import type { Take } from '../../api/types'
import { useMicrophone } from '../../audio/useMicrophone'
import { useRecorder } from '../../audio/useRecorder'
import { band } from '../../audio/band'
import { useBench, useDocument } from '../bench/benchContext'
import { lengthOf, rangesOf, type Range } from './ranges'
import type { useJudge } from './useJudge'

/** Takes by key and by microphone: how many bars, what runs now, and the delay that is offered before the first. */
export function useTaking(judge: ReturnType<typeof useJudge>, show: (take: Take | null) => void) {
  const { tempo, level, timeline } = useBench()
  const document = useDocument()
  const { message } = App.useApp()
  const [chosen, setChosen] = useState<Range>(lengthOf(8))
  const offered = rangesOf(timeline, document, band.snapshot().loop)
  // A loop is let go when a take begins; what was asked for stays.
  const ranges = offered.some(({ value }) => value === chosen.value) ? offered : [...offered, chosen]
  const asked = offered.find(({ value }) => value === chosen.value) ?? chosen
  const { from, bars } = asked
  /** whether the delay is being offered; once answered, it is not offered again here */
  const [delay, setDelay] = useState<'unasked' | 'offered' | 'answered'>('unasked')
  const microphone = useMicrophone(
    (wav, firstBeat) => void judge.sound({ wav, firstBeat, bars, from, tempo, level }).then(show),
    (problem) => void message.error(problem, 10),
  )
  const recorder = useRecorder((take) => void judge.taps(take).then(show))
  const listenNow = () => {
    setDelay('answered')
    void microphone.start({ bars, from })
  }
  return {
    bars,
    from,
    asked: asked.value,
    ranges,
    setAsked: (value: string) => setChosen(ranges.find((each) => each.value === value) ?? chosen),
    delay,
    setDelay,
    microphone,
    recorder,
    busy: recorder.status !== 'idle' || microphone.status !== 'idle',
    record: () => void recorder.start({ bars, from, tempo, level }),
    /** Everything a report says of early and late hangs on the delay, so it is offered before the first take. */
    listen: () => (judge.byMicrophone === null && delay === 'unasked' ? setDelay('offered') : listenNow()),
    listenNow,
    upload: (file: File) =>
      void judge
        .sound({
          wav: new Blob([file], { type: /\.midi?$/i.test(file.name) ? 'audio/midi' : 'audio/wav' }),
          firstBeat: null,
          bars,
          from,
          tempo,
        })
        .then(show),
    stop: () => {
      recorder.stop()
      microphone.stop()
    },
  }
}
