import { Button } from 'antd'
import { useEffect, useRef, useState } from 'react'
import type { HeardStroke } from '../../api/types'
import { useKeys } from '../../ui/keys'

type Props = { onTapped: (hits: HeardStroke[], beats: number[]) => void; onClose: () => void }
type Pad = { key: string; words: string; hit: Pick<HeardStroke, 'direction' | 'muted'> | null }

const PADS: Pad[] = [
  { key: 'b', words: 'beat', hit: null },
  { key: 'd', words: 'dead down', hit: { direction: 'down', muted: true } },
  { key: 'f', words: 'down', hit: { direction: 'down', muted: false } },
  { key: 'j', words: 'up', hit: { direction: 'up', muted: false } },
  { key: 'k', words: 'dead up', hit: { direction: 'up', muted: true } },
]
/** The first tap lies this far into the take, seconds. */
const LEAD = 0.5

/** To a record that plays elsewhere: beats under one finger, the comping under the others. */
export function TapAlong({ onTapped, onClose }: Props) {
  const [hits, setHits] = useState<HeardStroke[]>([])
  const [beats, setBeats] = useState<number[]>([])
  const began = useRef<number | null>(null)
  const tap = (pad: Pad, timeStamp: number) => {
    began.current ??= timeStamp
    const t = Math.round(((timeStamp - began.current) / 1000 + LEAD) * 1e4) / 1e4
    if (pad.hit === null) setBeats((so) => [...so, t])
    else setHits((so) => [...so, { t, ...pad.hit, level_db: null } as HeardStroke])
  }
  const finish = () => (hits.length + beats.length > 0 ? onTapped(hits, beats) : onClose())
  useKeys({ Escape: finish, Enter: finish })
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const pad = PADS.find(({ key }) => key === event.key.toLowerCase())
      if (pad === undefined || event.repeat || event.ctrlKey || event.metaKey || event.altKey) return
      event.preventDefault()
      tap(pad, event.timeStamp)
    }
    window.addEventListener('keydown', listen)
    return () => window.removeEventListener('keydown', listen)
  })
  return (
    <div className="recording">
      <p className="recording-count" role="status">
        {beats.length === 0 && hits.length === 0
          ? 'Start the record, then tap'
          : `${beats.length} ${beats.length === 1 ? 'beat' : 'beats'}, ${hits.length} ${hits.length === 1 ? 'hit' : 'hits'}`}
      </p>
      <p className="muted">
        The beats alone give the tempo, eight of them or more. The hits over them give the figure and how it leans. If you only tap hits,
        the beat is found from them.
      </p>
      <div className="pads five">
        {PADS.map((pad) => (
          <button
            key={pad.key}
            type="button"
            className="pad"
            onPointerDown={(event) => {
              event.preventDefault()
              tap(pad, event.timeStamp)
            }}
          >
            <b>{pad.words}</b>
            <kbd>{pad.key.toUpperCase()}</kbd>
          </button>
        ))}
      </div>
      <div className="button-row">
        <Button type="primary" onClick={finish}>
          That is all <kbd className="on-ink">Esc</kbd>
        </Button>
      </div>
    </div>
  )
}
