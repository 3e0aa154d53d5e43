import { App } from 'antd'
import { useState } from 'react'
import type { PassDocument, Take, Timeline } from '../../api/types'
import { useMicrophone } from '../../audio/useMicrophone'
import { useRecorder } from '../../audio/useRecorder'
import { band } from '../../audio/band'
import { countOf, ordinal } from '../../ui/words'
import { useBench, useDocument } from '../bench/benchContext'
import type { useJudge } from './useJudge'

/** Takes by key and by microphone: how many bars, what runs now, and the delay that is offered before the first. */
export function useTaking(judge: ReturnType<typeof useJudge>, show: (take: Take | null) => void) {
  const { tempo, level, timeline } = useBench()
  const { passes } = useDocument()
  const { message } = App.useApp()
  const [asked, setAsked] = useState<string>('8')
  const ranges = rangesOf(timeline, passes, band.snapshot().loop)
  const { from, bars } = ranges.find(({ value }) => value === asked) ?? { from: 0, bars: Number(asked) || 8 }
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
    asked,
    ranges,
    setAsked,
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

const LENGTHS = [4, 8, 12, 16, 32, 64]
/** The longest take that is judged. */
const MOST_BARS = 64

type Range = { value: string; label: string; from: number; bars: number }

/** What can be asked for: so many bars from the start, one pass, or the bars that are looped. */
function rangesOf(timeline: Timeline | undefined, passes: PassDocument[], loop: [number, number] | null | undefined): Range[] {
  const lengths = LENGTHS.map((bars) => ({ value: String(bars), label: countOf(bars, 'bar'), from: 0, bars }))
  const bars = timeline?.bars ?? []
  const byPass = passes.map(({ id, name }, place) => {
    const from = bars.findIndex((bar) => bar.pass === id)
    const count = bars.filter((bar) => bar.pass === id).length
    return { value: `pass ${id}`, label: name === '' ? `${ordinal(place + 1)} pass` : name, from, bars: Math.min(MOST_BARS, count) }
  })
  const looped =
    loop == null ? [] : [{ value: 'loop', label: loopWords(loop), from: loop[0], bars: Math.min(MOST_BARS, loop[1] - loop[0] + 1) }]
  return [...lengths, ...(passes.length > 1 ? byPass.filter(({ from: first }) => first >= 0) : []), ...looped]
}

const loopWords = ([first, last]: [number, number]): string =>
  first === last ? `the loop, bar ${first + 1}` : `the loop, bars ${first + 1}–${last + 1}`
