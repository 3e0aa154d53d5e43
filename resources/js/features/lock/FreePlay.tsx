import { App, Button, Select } from 'antd'
import { useCallback, useEffect, useState } from 'react'
import { ulid } from 'ulid'
import { useMicrophone } from '../../audio/useMicrophone'
import { useKeys } from '../../ui/keys'
import { ago } from '../../ui/words'
import { useBench } from '../bench/benchContext'
import { MicRoom } from './MicRoom'
import { forgetSound, freePlays, keepSound, soundOf, type FreePlayKept } from './sounds'
import { useReplay } from './useReplay'

const LENGTHS = [4, 8, 12, 16, 24, 32]
const USUAL = 12

/** Over the form, recorded, with no marks: play, listen to it together, talk. */
export function FreePlay({ onClose }: { onClose: () => void }) {
  const { store, tempo } = useBench()
  const id = store.getState().id
  const { message } = App.useApp()
  const [bars, setBars] = useState(USUAL)
  const [kept, setKept] = useState<FreePlayKept[]>([])
  const replay = useReplay()
  const refresh = useCallback(() => void freePlays(id).then(setKept), [id])
  useEffect(refresh, [refresh])
  const microphone = useMicrophone(
    (wav, firstBeat) =>
      void keepSound(`free-${id}-${ulid().toLowerCase()}`, { wav, firstBeat, bars, tempo, at: new Date().toISOString() }).then(refresh),
    (problem) => void message.error(problem, 10),
  )
  const idle = microphone.status === 'idle'
  const begin = () => void microphone.start({ bars })
  useKeys(idle ? { r: begin, Escape: onClose } : { Escape: microphone.stop })
  const hear = async (play: FreePlayKept) => {
    if (replay.playing === play.id) return replay.stop()
    const sound = await soundOf(play.id)
    if (sound !== null) await replay.start({ id: play.id, tempo: play.tempo, bars: play.bars, taps: [] }, sound)
  }
  return (
    <section className="practice" aria-label="Free play">
      {idle ? (
        <>
          <h3>Free play</h3>
          <p className="practice-text">
            The band plays the form, you play what you like over it: shapes, a few notes, an idea. It is recorded in this browser and nobody
            marks it.
          </p>
          <div className="button-row">
            <Select
              aria-label="Bars to play"
              value={bars}
              options={LENGTHS.map((value) => ({ value, label: `${value} bars` }))}
              onChange={setBars}
              style={{ width: 100 }}
            />
            <Button type="primary" onClick={begin}>
              Count me in <kbd className="on-ink">R</kbd>
            </Button>
            <Button onClick={onClose}>
              Leave <kbd>Esc</kbd>
            </Button>
          </div>
          {kept.length === 0 ? (
            <p className="muted">What you play is listed here to be heard again.</p>
          ) : (
            <ul className="free-plays">
              {kept.map((play) => (
                <li key={play.id}>
                  <b>{play.bars} bars</b> at {play.tempo}, {ago(play.at)}
                  <Button size="small" onClick={() => void hear(play)}>
                    {replay.playing === play.id ? 'Stop' : 'Hear it with the band'}
                  </Button>
                  <Button size="small" onClick={() => void forgetSound(play.id).then(refresh)}>
                    Delete
                  </Button>
                </li>
              ))}
            </ul>
          )}
        </>
      ) : (
        <>
          <MicRoom microphone={microphone} bars={bars} hideBeats />
          <div className="button-row">
            <Button danger onClick={microphone.stop}>
              Stop <kbd>Esc</kbd>
            </Button>
          </div>
        </>
      )}
    </section>
  )
}
