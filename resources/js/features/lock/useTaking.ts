import { App } from 'antd'
import { useState } from 'react'
import type { Take } from '../../api/types'
import { useMicrophone } from '../../audio/useMicrophone'
import { useRecorder } from '../../audio/useRecorder'
import { useBench } from '../bench/benchContext'
import type { useJudge } from './useJudge'

/** Takes by key and by microphone: how many bars, what runs now, and the delay that is offered before the first. */
export function useTaking(judge: ReturnType<typeof useJudge>, show: (take: Take | null) => void) {
  const { tempo, level } = useBench()
  const { message } = App.useApp()
  const [bars, setBars] = useState(8)
  /** whether the delay is being offered; once answered, it is not offered again here */
  const [delay, setDelay] = useState<'unasked' | 'offered' | 'answered'>('unasked')
  const microphone = useMicrophone(
    (wav, firstBeat) => void judge.sound({ wav, firstBeat, bars, tempo, level }).then(show),
    (problem) => void message.error(problem, 10),
  )
  const recorder = useRecorder((take) => void judge.taps(take).then(show))
  const listenNow = () => {
    setDelay('answered')
    void microphone.start({ bars })
  }
  return {
    bars,
    setBars,
    delay,
    setDelay,
    microphone,
    recorder,
    busy: recorder.status !== 'idle' || microphone.status !== 'idle',
    record: () => void recorder.start({ bars, tempo, level }),
    /** Everything a report says of early and late hangs on the delay, so it is offered before the first take. */
    listen: () => (judge.byMicrophone === null && delay === 'unasked' ? setDelay('offered') : listenNow()),
    listenNow,
    upload: (file: File) =>
      void judge
        .sound({ wav: new Blob([file], { type: /\.midi?$/i.test(file.name) ? 'audio/midi' : 'audio/wav' }), firstBeat: null, bars, tempo })
        .then(show),
    stop: () => {
      recorder.stop()
      microphone.stop()
    },
  }
}
