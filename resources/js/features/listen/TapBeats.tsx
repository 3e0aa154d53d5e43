import { Button } from 'antd'
import { useEffect, useRef, useState } from 'react'
import { useKeys } from '../../ui/keys'

type Props = {
  recording: string
  play: (on: boolean) => void
  /** seconds of the recording that sound just now; null while nothing does */
  now: () => number | null
  onTapped: (beats: number[]) => void
  onClose: () => void
}

/** As many as tell a tempo well. */
const ENOUGH = 8

/** The beats of a recording with a whole band in it, tapped once: the ear shifts them onto what sounds. */
export function TapBeats({ recording, play, now, onTapped, onClose }: Props) {
  const [beats, setBeats] = useState<number[]>([])
  const latest = useRef(play)
  useEffect(() => {
    latest.current = play
  })
  useEffect(() => {
    latest.current(true)
    return () => latest.current(false)
  }, [])
  const tap = () => {
    const t = now()
    if (t !== null) setBeats((so) => [...so, Math.round(t * 1e4) / 1e4])
  }
  const finish = () => (beats.length === 0 ? onClose() : onTapped(beats))
  useKeys({ b: tap, Escape: finish, Enter: finish })
  return (
    <div className="recording">
      <p className="recording-count" role="status">
        {beats.length === 0
          ? `“${recording}” plays: tap its beats, the first one on a one`
          : `${beats.length} ${beats.length === 1 ? 'beat' : 'beats'}`}
      </p>
      <p className="muted">
        {beats.length < ENOUGH ? `Tap at least ${ENOUGH} in a row. ` : 'Enough; more make it surer. '}
        It does not matter if you are a little late: the ear puts the beats where the band plays them.
      </p>
      <div className="pads">
        <button
          type="button"
          className="pad"
          onPointerDown={(event) => {
            event.preventDefault()
            tap()
          }}
        >
          <b>beat</b>
          <kbd>B</kbd>
        </button>
      </div>
      <div className="button-row">
        <Button type="primary" disabled={beats.length > 0 && beats.length < 4} onClick={finish}>
          That is all <kbd className="on-ink">Esc</kbd>
        </Button>
      </div>
    </div>
  )
}
