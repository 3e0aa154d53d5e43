import { useQuery } from '@tanstack/react-query'
import { App, Button, InputNumber, Segmented } from 'antd'
import { useRef, useState } from 'react'
import { patched } from '../../api/desk'
import { readTapped } from '../../api/queries'
import type { PatternReading, Take } from '../../api/types'
import { useKeys } from '../../ui/keys'
import { useWidth } from '../../ui/useWidth'
import { useBench } from '../bench/benchContext'
import { Readings } from '../rhythm/Readings'

const LONGEST_NAME = 40

/** What somebody played, read as a pattern: kept beside the song's own, which stay as they are. */
export function AnswerSheet({ take, onClose }: { take: Take; onClose: () => void }) {
  const { store, desk } = useBench()
  const { message } = App.useApp()
  const [bars, setBars] = useState(1)
  const [first, setFirst] = useState(1)
  const [chosen, setChosen] = useState(0)
  const frame = useRef<HTMLElement>(null)
  const width = useWidth(frame)
  const readings = useQuery({
    queryKey: ['answer', take.id, first, bars, desk],
    queryFn: () => readTapped(desk, { taps: take.strokes.map((t) => ({ t })), tempo: take.tempo, bars, from: first - 1 }),
    retry: false,
  })
  const keep = (reading: PatternReading | undefined) => {
    const { document } = store.getState()
    const changed = reading === undefined ? null : patched(document, reading.change)
    const pattern = changed?.patterns.find(({ id }) => id === desk.pattern.id)
    if (pattern === undefined) return
    const name = `${take.player}, take ${take.number}`.slice(0, LONGEST_NAME)
    const taken = new Set(document.patterns.map(({ id }) => id))
    let number = 1
    while (taken.has(`answer${number}`)) number++
    const id = `answer${number}`
    store.change((d) => ({ ...d, patterns: [...d.patterns, { ...pattern, id, name }] }))
    void message.success(`“${name}” is kept with the patterns: give it to a section in Chart.`)
    onClose()
  }
  const list = readings.data ?? []
  useKeys({
    ArrowDown: () => setChosen(Math.min(list.length - 1, chosen + 1)),
    ArrowUp: () => setChosen(Math.max(0, chosen - 1)),
    Enter: () => keep(list[chosen]),
    Escape: onClose,
  })
  return (
    <section ref={frame} className="tap-sheet" aria-label="Keep what was played">
      <div className="hand-tools">
        <label className="inline">
          Bars{' '}
          <Segmented
            aria-label="Bars to keep"
            options={[1, 2, 4].filter((each) => each <= take.bars)}
            value={bars}
            onChange={(to) => {
              setBars(Number(to))
              setFirst(Math.min(first, take.bars - Number(to) + 1))
            }}
          />
        </label>
        <label className="inline">
          from bar{' '}
          <InputNumber
            aria-label="First bar to keep"
            size="small"
            min={1}
            max={take.bars - bars + 1}
            value={first}
            onChange={(value) => value !== null && setFirst(value)}
          />{' '}
          of the take
        </label>
        <Button onClick={onClose}>
          Leave it <kbd>Esc</kbd>
        </Button>
      </div>
      {readings.error !== null && (
        <p role="alert" className="finding finding-off">
          {readings.error.message}
        </p>
      )}
      {readings.isPending && <p className="loading">Reading what was played …</p>}
      <Readings readings={list} chosen={chosen} width={width} onChoose={setChosen} onTake={keep} />
    </section>
  )
}
