import { App, Button, Input, InputNumber, Modal, Segmented, Select } from 'antd'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { ulid } from 'ulid'
import { reshape } from '../../api/queries'
import type { BreakdownDocument } from '../../api/types'
import { KEYS, METERS } from '../../ui/choices'
import { useTapTempo } from '../../ui/useTapTempo'
import { LineField } from '../chart/LineField'
import { putOnShelf } from '../bench/keeper'

const FEELS = [
  { label: 'Straight', value: 1 },
  { label: 'Light 1.3', value: 1.3 },
  { label: 'Triplet 2', value: 2 },
  { label: 'Dotted 3', value: 3 },
]

/** What a new breakdown starts from: a plain strum in 4/4, one on every beat and the off-beats of 2 and 4. */
const BLANK: BreakdownDocument = {
  format: 'gravik-breakdown',
  version: 1,
  title: '',
  genre: '',
  key: 'C major',
  meter: '4/4',
  tempo: 112,
  feel: { mode: 'fixed', ratio: 1, unit: 'eighth' },
  tuning: 'standard',
  capo: 0,
  company: 'with-bass',
  sections: [{ name: 'A', line: '' }],
  pins: [],
  pattern: {
    ticks: 3840,
    streams: [{ name: 'strum', strokes: [0, 960, 1440, 1920, 2880, 3360].map((at) => ({ at, division: 2 as const, accent: at % 1920 === 960 ? 2 : 1 })) }],
  },
  school: 'pendulum',
  band: {
    groove: 'straight-drive',
    parts: [],
  },
  notes: '',
}

/** Title, key, tempo, meter, chords, feel: enough to play along in under a minute. */
export function NewBreakdown({ onClose }: { onClose: () => void }) {
  const [document, setDocument] = useState(BLANK)
  const [id] = useState(() => ulid().toLowerCase())
  const [busy, setBusy] = useState(false)
  const navigate = useNavigate()
  const { message } = App.useApp()
  const set = (part: Partial<BreakdownDocument>) => setDocument((current) => ({ ...current, ...part }))
  const tap = useTapTempo((tempo) => set({ tempo }))
  const line = document.sections[0]?.line ?? ''
  const make = async () => {
    setBusy(true)
    try {
      const named = { ...document, title: document.title.trim() === '' ? 'Untitled' : document.title.trim() }
      const shaped = named.meter === '4/4' ? named : (await reshape({ ...named, meter: '4/4' }, { meter: named.meter })).document
      const stored = await putOnShelf(shaped, id)
      void navigate(`/breakdown/${stored.id}/chart`)
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'That did not work. Try again.', 8)
      setBusy(false)
    }
  }
  return (
    <Modal open title="New breakdown" width={720} onCancel={onClose} footer={null}>
      <form
        className="new-breakdown"
        onSubmit={(event) => {
          event.preventDefault()
          if (!busy) void make()
        }}
      >
        <label className="wide">
          Title
          <Input autoFocus name="title" maxLength={120} placeholder="What do you call it?" value={document.title} onChange={(event) => set({ title: event.target.value })} />
        </label>
        <label>
          Key
          <Select showSearch aria-label="Key" value={document.key} options={KEYS.map((value) => ({ value }))} onChange={(key) => set({ key })} />
        </label>
        <label>
          Tempo
          <span className="field-row">
            <InputNumber name="tempo" min={20} max={400} value={document.tempo} onChange={(tempo) => tempo !== null && set({ tempo })} />
            <Button onClick={tap}>Tap</Button>
          </span>
        </label>
        <label>
          Meter
          <Select aria-label="Meter" value={document.meter} options={METERS.map((value) => ({ value }))} onChange={(meter) => set({ meter })} />
        </label>
        <div className="wide">
          <span className="label">Feel</span>
          <span className="field-row">
            <Segmented options={FEELS} value={document.feel.ratio} onChange={(ratio) => set({ feel: { ...document.feel, ratio: Number(ratio) } })} />
            <InputNumber aria-label="Swing ratio" min={0.7} max={3} step={0.1} value={document.feel.ratio} onChange={(ratio) => ratio !== null && set({ feel: { ...document.feel, ratio } })} addonAfter=": 1" />
          </span>
        </div>
        <div className="wide">
          <span className="label">Chords, bars between strokes; letters or numerals</span>
          <LineField document={document} section={0} placeholder="| Dm6 | B♭7 | Gm7 A7 | Dm6 |" onChange={(typed) => set({ sections: [{ name: 'A', line: typed }] })} value={line} />
        </div>
        <div className="button-row wide">
          <Button type="primary" htmlType="submit" size="large" loading={busy}>
            Make it
          </Button>
          <Button size="large" onClick={onClose}>
            Not now
          </Button>
        </div>
      </form>
    </Modal>
  )
}
