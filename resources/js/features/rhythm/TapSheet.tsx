import { Button, Segmented } from 'antd'
import { useRef, useState } from 'react'
import { hearSung, readTapped } from '../../api/queries'
import type { PatternReading } from '../../api/types'
import { band } from '../../audio/band'
import { firstBeats } from '../../audio/bars'
import { useBandFrames } from '../../audio/useBandFrames'
import { STRUCK, useRecorder, type Recorded, type Recorder, type Struck } from '../../audio/useRecorder'
import { useMicrophone } from '../../audio/useMicrophone'
import { useKeys } from '../../ui/keys'
import { useBench } from '../bench/benchContext'
import { Readings } from './Readings'

const KEYS: Record<string, Struck> = { ...STRUCK, d: { key: 'down', dead: true }, k: { key: 'up', dead: true } }
const PADS = [
  { letter: 'd', words: 'dead down' },
  { letter: 'f', words: 'down' },
  { letter: 'j', words: 'up' },
  { letter: 'k', words: 'dead up' },
]

/** onTake: answers whether it was taken over */
type Props = { width: number; bars: number; onTake: (reading: PatternReading) => boolean; onClose: () => void }

/** A rhythm tapped over a click, and the ways to hear it; nothing is taken over before somebody says so. */
export function TapSheet({ width, bars: barsNow, onTake, onClose }: Props) {
  const { desk, tempo, timeline } = useBench()
  const [bars, setBars] = useState(barsNow)
  const [readings, setReadings] = useState<PatternReading[]>([])
  const [chosen, setChosen] = useState(0)
  const [refusal, setRefusal] = useState('')
  const read = async (take: Recorded) => {
    try {
      setReadings(await readTapped(desk, { taps: take.taps, tempo: take.tempo, bars: take.bars }))
      setChosen(0)
      setRefusal('')
    } catch (problem) {
      setRefusal(problem instanceof Error ? problem.message : 'That could not be read. Tap it again.')
    }
  }
  const recorder = useRecorder((take) => void read(take), KEYS)
  const sung = async (sound: Blob, firstBeat: number) => {
    try {
      const { syllables } = await hearSung(sound)
      await read({ taps: syllables.map((t) => ({ t: t - firstBeat, key: 'down' as const })), tempo, bars })
    } catch (problem) {
      setRefusal(problem instanceof Error ? problem.message : 'That could not be heard. Sing it again.')
    }
  }
  const voice = useMicrophone((sound, firstBeat) => void sung(sound, firstBeat), setRefusal)
  const sing = () => {
    if (silent) return
    setReadings([])
    setRefusal('')
    void voice.start({ bars, clickOnly: 'every beat' })
  }
  const silent = timeline === undefined || timeline.bars.length === 0
  const start = () => {
    if (silent) return
    setReadings([])
    void recorder.start({ bars, tempo, clickOnly: 'every beat' })
  }
  const take = (reading: PatternReading | undefined) => {
    if (reading === undefined) return
    if (onTake(reading)) onClose()
  }
  const idle = recorder.status === 'idle' && voice.status === 'idle'
  const stop = () => (voice.status === 'idle' ? recorder.stop() : voice.stop())
  useKeys(
    idle
      ? {
          r: start,
          v: sing,
          ArrowDown: () => setChosen(Math.min(readings.length - 1, chosen + 1)),
          ArrowUp: () => setChosen(Math.max(0, chosen - 1)),
          Enter: () => take(readings[chosen]),
          Escape: onClose,
        }
      : { Escape: stop },
  )
  return (
    <section className="tap-sheet" aria-label="Tap a rhythm in">
      <div className="hand-tools">
        <label className="inline">
          Bars{' '}
          <Segmented aria-label="Bars to tap" options={[1, 2, 4]} value={bars} disabled={!idle} onChange={(to) => setBars(Number(to))} />
        </label>
        {idle ? (
          <Button type="primary" disabled={silent} onClick={start}>
            {readings.length === 0 ? 'Count me in' : 'Tap it again'} <kbd className="on-ink">R</kbd>
          </Button>
        ) : (
          <Button danger onClick={stop}>
            That is all <kbd>Esc</kbd>
          </Button>
        )}
        {idle && (
          <Button disabled={silent} onClick={sing} title="With headphones, so that the click is not heard along">
            Sing it <kbd>V</kbd>
          </Button>
        )}
        {idle && (
          <Button onClick={onClose}>
            Leave it <kbd>Esc</kbd>
          </Button>
        )}
        <span className="muted">
          {silent
            ? 'The click needs a form to run through: type a chord line in Chart first.'
            : voice.status !== 'idle'
              ? 'Sing or speak it: a syllable for every stroke. The click belongs in headphones.'
              : `The click goes at ${tempo}. Tap or sing once through ${bars === 1 ? 'the bar' : `${bars} bars`}.`}
        </span>
      </div>
      {refusal !== '' && (
        <p role="alert" className="finding finding-off">
          {refusal}
        </p>
      )}
      {readings.length > 0 && idle ? (
        <Readings readings={readings} chosen={chosen} width={width} onChoose={setChosen} onTake={take} />
      ) : (
        <Pads recorder={recorder} bars={bars} beats={firstBeats(timeline) * bars} tempo={tempo} width={width} />
      )}
    </section>
  )
}

/** What was tapped so far over the beats, and a pad for each kind of stroke. */
function Pads({ recorder, bars, beats, tempo, width }: { recorder: Recorder; bars: number; beats: number; tempo: number; width: number }) {
  const count = useRef<HTMLParagraphElement>(null)
  useBandFrames(() => {
    const at = band.position()
    if (count.current === null) return
    const words =
      at === null
        ? 'One bar is counted in first.'
        : at.countIn !== null
          ? `Count-in: ${at.countIn}`
          : `Bar ${Math.min(bars, Math.floor(band.elapsedBars() + 1e-6) + 1)} of ${bars}, beat ${at.beat + 1}`
    if (count.current.textContent !== words) count.current.textContent = words
  })
  const toX = (t: number) => 20 + ((t * tempo) / 60 / beats) * (width - 40)
  return (
    <>
      <p ref={count} className="recording-count" role="timer">
        One bar is counted in first.
      </p>
      <svg className="tap-line" width={width} height={64} role="img" aria-label={`${recorder.taps.length} strokes tapped`}>
        {Array.from({ length: beats + 1 }, (_, beat) => (
          <line key={beat} x1={toX((beat * 60) / tempo)} x2={toX((beat * 60) / tempo)} y1={8} y2={56} className="fret" />
        ))}
        {recorder.taps.map((tap, index) => (
          <path
            key={index}
            d={tap.key === 'down' ? `M${toX(tap.t)} 50l-7 -34h14z` : `M${toX(tap.t)} 16l-7 34h14z`}
            className={tap.dead === true ? 'tap-mark dead' : 'tap-mark'}
          />
        ))}
      </svg>
      <div className="pads four">
        {PADS.map(({ letter, words }) => (
          <button
            key={letter}
            type="button"
            className="pad"
            onPointerDown={(event) => {
              event.preventDefault()
              const struck = KEYS[letter]
              if (struck !== undefined) recorder.tap(struck, event.timeStamp)
            }}
          >
            <b>{words}</b>
            <kbd>{letter.toUpperCase()}</kbd>
          </button>
        ))}
      </div>
    </>
  )
}
