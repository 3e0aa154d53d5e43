import { App, Button, Select } from 'antd'
import { useRef, useState } from 'react'
import { compareBeside, setCell } from '../../api/song'
import type { Beside } from '../../api/types'
import { band } from '../../audio/band'
import { useRecorder } from '../../audio/useRecorder'
import { Dialog } from '../../ui/Dialog'
import { FilePicker } from '../../ui/FilePicker'
import { countOf } from '../../ui/words'
import { useBench, useMine } from '../bench/benchContext'
import { useRemake } from '../bench/useRemake'
import { hearFile } from '../listen/sources'

type Heard = { name: string; onsets: number[]; told: Beside; alignments: Beside['alignments'] }

/** Another's part, from a recording, a MIDI file or tapped along, beside the guitar's: bar by bar, and the hits where sections end. */
export function PartnerSheet({ onClose }: { onClose: () => void }) {
  const { store, tempo, timeline } = useBench()
  const { message } = App.useApp()
  const file = useRef<HTMLInputElement>(null)
  const [hearing, setHearing] = useState(false)
  const [heard, setHeard] = useState<Heard | null>(null)
  const compare = async (name: string, onsets: number[], offset: number | null, alignments?: Beside['alignments']) => {
    const told = await compareBeside(store.getState().document, tempo, onsets, offset)
    setHeard({ name, onsets, told, alignments: alignments ?? told.alignments })
  }
  const failed = (problem: unknown) =>
    void message.error(problem instanceof Error ? problem.message : 'This part could not be heard. Try another.', 10)
  const hear = async (recording: File) => {
    setHearing(true)
    try {
      const { hearing: found } = await hearFile(recording)
      await compare(
        recording.name,
        found.strokes.map(({ t }) => t),
        null,
      )
    } catch (problem) {
      failed(problem)
    } finally {
      setHearing(false)
    }
  }
  const recorder = useRecorder(({ taps }) => {
    compare(
      'Tapped',
      taps.map(({ t }) => t),
      0,
    ).catch(failed)
  })
  const bars = timeline?.bars.length ?? 0
  const tapping = recorder.status === 'recording'
  return (
    <Dialog title="Another’s part" open width={760} footer={null} onCancel={onClose}>
      <FilePicker field={file} label="Another’s part" accept=".wav,.mid,.midi,audio/*" onFile={(recording) => void hear(recording)} />
      <div className="button-row">
        <Button type="primary" loading={hearing} disabled={tapping} onClick={() => file.current?.click()}>
          {hearing ? 'Listening …' : heard === null ? 'Open a recording or MIDI file' : 'Open another'}
        </Button>
        {tapping ? (
          <Button danger onClick={recorder.stop}>
            That is all
          </Button>
        ) : (
          <Button disabled={bars === 0} onClick={() => void recorder.start({ bars, tempo })}>
            Tap it along
          </Button>
        )}
        <span className="muted" role="status">
          {tapping
            ? `Tap with F or J where the other strikes: ${countOf(recorder.taps.length, 'stroke')} so far.`
            : heard === null
              ? 'Who else plays chords: piano, a second guitar. It is laid on the slots of this song.'
              : `“${heard.name}”, bar 1 at ${heard.told.offset_seconds.toFixed(2)} s of it`}
        </span>
        {heard !== null && !tapping && heard.alignments.length > 1 && (
          <label>
            <span className="label">Its first stroke is on</span>{' '}
            <Select
              size="small"
              aria-label="Where the other's first stroke lies"
              value={heard.told.offset_seconds}
              options={heard.alignments.map(({ offset_seconds, first }) => ({ value: offset_seconds, label: first }))}
              onChange={(offset) => void compare(heard.name, heard.onsets, offset, heard.alignments).catch(failed)}
              popupMatchSelectWidth={false}
            />
          </label>
        )}
      </div>
      {heard !== null && <Told told={heard.told} />}
    </Dialog>
  )
}

function Told({ told }: { told: Beside }) {
  const mine = useMine()
  const remake = useRemake()
  const practise = (bar: number) => {
    band.set({ loop: [bar, bar] })
    if (!band.playing) void band.start()
  }
  return (
    <>
      <ol className="beside-bars" aria-label="Bar by bar">
        {told.bars.map((bar) => (
          <li key={bar.bar} className={bar.likeness} title={bar.both.length === 0 ? bar.words : `both on ${bar.both.join(', ')}`}>
            <b>{bar.bar + 1}</b>
            <small>{bar.words}</small>
          </li>
        ))}
      </ol>
      {told.proposals.length > 0 && (
        <ul className="beside-proposals">
          {told.proposals.map((each) => (
            <li key={each.from}>
              From bar {each.from + 1}: <b>{each.words}</b>, as {each.why}.{' '}
              {mine && (
                <Button
                  size="small"
                  onClick={() => void remake((d) => setCell(d, { pass: each.pass, section: each.section, bars: null, role: each.role }))}
                >
                  Take it
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
      {told.ends.length > 0 && (
        <table className="beside-ends">
          <caption>Hits where sections end</caption>
          <thead>
            <tr>
              <th scope="col">Bar</th>
              <th scope="col">The other</th>
              <th scope="col">You</th>
              <th scope="col">Together</th>
              <th scope="col">
                <span className="unseen">Practise</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {told.ends.map((bar) => (
              <tr key={bar.bar}>
                <th scope="row">{bar.bar + 1}</th>
                <td>{bar.theirs.join(' ')}</td>
                <td>{bar.own.join(' ')}</td>
                <td>{bar.both.length === 0 ? 'none' : bar.both.join(' ')}</td>
                <td>
                  <Button size="small" onClick={() => practise(bar.bar)}>
                    Practise this bar
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  )
}
