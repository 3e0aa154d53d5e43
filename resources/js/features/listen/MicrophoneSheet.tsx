import { Button } from 'antd'
import { useEffect, useRef, useState } from 'react'
import { NoMicrophone, openMicrophone, type Microphone } from '../../audio/microphone'
import { wavOf } from '../../audio/wav'
import { useKeys } from '../../ui/keys'

/** Longer is refused when it is sent; who forgets to stop keeps these minutes. */
const LONGEST_S = 600

/** Listens to the room until somebody stops it. */
export function MicrophoneSheet({ onSound, onClose }: { onSound: (sound: Blob) => void; onClose: () => void }) {
  const [problem, setProblem] = useState('')
  const [seconds, setSeconds] = useState(0)
  const bar = useRef<HTMLElement>(null)
  const taking = useRef<{ microphone: Microphone | null; blocks: Float32Array[]; since: number | null; over: boolean }>({
    microphone: null,
    blocks: [],
    since: null,
    over: false,
  })
  const done = useRef(onSound)
  useEffect(() => {
    done.current = onSound
  })
  const stop = () => {
    const take = taking.current
    if (take.over) return
    take.over = true
    take.microphone?.stop()
    if (take.microphone !== null && take.blocks.length > 0) done.current(wavOf(take.blocks, take.microphone.rate))
    else onClose()
  }
  const stopping = useRef(stop)
  useEffect(() => {
    stopping.current = stop
  })
  useEffect(() => {
    const take = taking.current
    take.over = false
    const opened = openMicrophone(
      (samples, at) => {
        if (take.over) return
        take.since ??= at
        take.blocks.push(samples)
        setSeconds(Math.floor(at - take.since))
        if (bar.current !== null)
          bar.current.style.width = `${Math.min(100, 100 * Math.sqrt(samples.reduce((most, sample) => Math.max(most, Math.abs(sample)), 0)))}%`
        if (at - take.since > LONGEST_S) stopping.current()
      },
      () => stopping.current(),
    )
    opened.then(
      (microphone) => {
        if (take.over) microphone.stop()
        take.microphone = microphone
      },
      (why: unknown) =>
        setProblem(why instanceof NoMicrophone ? why.message : 'The microphone could not be opened. Open a recording, or tap along.'),
    )
    return () => {
      take.over = true
      take.microphone?.stop()
    }
  }, [])
  useKeys({ Escape: stop, m: stop })
  return (
    <div className="recording">
      {problem === '' ? (
        <>
          <p className="recording-count" role="timer">
            Listening, {seconds} s
          </p>
          <div className="mic-level" role="img" aria-label="Level of the microphone">
            <b ref={bar} />
          </div>
          <p className="muted">Eight bars or more, the guitar near the microphone. The sound is analysed and not kept.</p>
        </>
      ) : (
        <p role="alert" className="finding finding-off">
          {problem}
        </p>
      )}
      <div className="button-row">
        <Button type="primary" onClick={stop}>
          {problem === '' ? 'That is all' : 'Close'} <kbd className="on-ink">Esc</kbd>
        </Button>
      </div>
    </div>
  )
}
