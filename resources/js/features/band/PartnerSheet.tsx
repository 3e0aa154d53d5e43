import { App, Button } from 'antd'
import { useRef, useState } from 'react'
import { compareBeside, setCell } from '../../api/song'
import type { Beside } from '../../api/types'
import { band } from '../../audio/band'
import { Dialog } from '../../ui/Dialog'
import { FilePicker } from '../../ui/FilePicker'
import { useBench, useMine } from '../bench/benchContext'
import { useRemake } from '../bench/useRemake'
import { hearFile } from '../listen/sources'

/** Another's part, from a recording or a MIDI file, beside the guitar's: bar by bar, and the hits where sections end. */
export function PartnerSheet({ onClose }: { onClose: () => void }) {
  const { store, tempo } = useBench()
  const { message } = App.useApp()
  const file = useRef<HTMLInputElement>(null)
  const [hearing, setHearing] = useState(false)
  const [beside, setBeside] = useState<{ name: string; told: Beside } | null>(null)
  const hear = async (recording: File) => {
    setHearing(true)
    try {
      const { hearing: heard } = await hearFile(recording)
      const onsets = heard.strokes.map(({ t }) => t)
      setBeside({ name: recording.name, told: await compareBeside(store.getState().document, tempo, onsets) })
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'This part could not be heard. Try another.', 10)
    } finally {
      setHearing(false)
    }
  }
  return (
    <Dialog title="Another’s part" open width={760} footer={null} onCancel={onClose}>
      <FilePicker field={file} label="Another’s part" accept=".wav,.mid,.midi,audio/*" onFile={(recording) => void hear(recording)} />
      <div className="button-row">
        <Button type="primary" loading={hearing} onClick={() => file.current?.click()}>
          {hearing ? 'Listening …' : beside === null ? 'Open a recording or MIDI file' : 'Open another'}
        </Button>
        <span className="muted">
          {beside === null
            ? 'Who else plays chords: piano, a second guitar. It is laid on the slots of this song.'
            : `“${beside.name}”, bar 1 at ${beside.told.offset_seconds.toFixed(2)} s of it`}
        </span>
      </div>
      {beside !== null && <Told told={beside.told} />}
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
