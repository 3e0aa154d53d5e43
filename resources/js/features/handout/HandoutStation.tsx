import { App, Button, Input } from 'antd'
import { useState } from 'react'
import { fetchVersion, useVersions } from '../../api/queries'
import { useKeys } from '../../ui/keys'
import { MoreButton } from '../../ui/MoreButton'
import { useBench, useDocument, useMine } from '../bench/benchContext'
import { LeadSheet } from './LeadSheet'

/** What leaves the house: files in open formats, notes, and the versions to go back to. */
export default function HandoutStation() {
  const { store } = useBench()
  const document = useDocument()
  const mine = useMine()
  const id = store.getState().id
  const [sheet, setSheet] = useState(false)
  useKeys({ l: () => setSheet(true) }, !sheet)
  const download = async (format: 'midi' | 'wav' | 'json') => {
    if (mine) await store.saveNow()
    window.location.assign(`/api/breakdowns/${id}/export/${format}`)
  }
  return (
    <div className="with-side">
      <div className="station-main handout">
        <h2>Take it along</h2>
        {sheet && <LeadSheet onClose={() => setSheet(false)} />}
        <div className="handout-row">
          <div>
            <h3>Lead sheet</h3>
            <p>One page to print: the chords with your nicknames for them, what each pass does, and the figures in tab.</p>
          </div>
          <Button type="primary" size="large" onClick={() => setSheet(true)}>
            Lead sheet <kbd className="on-ink">L</kbd>
          </Button>
        </div>
        <div className="handout-row">
          <div>
            <h3>MIDI file</h3>
            <p>
              For any player or notation program: tempo, meter, chord names as markers, one track a part, the swing in the notes’ places.
            </p>
            <p className="muted">
              Not kept: fingerings and pins, stroke directions, the typed line (its chords are markers). Chucks become very short notes on a
              channel of their own.
            </p>
          </div>
          <Button type="primary" size="large" onClick={() => void download('midi')}>
            Export MIDI
          </Button>
        </div>
        <div className="handout-row">
          <div>
            <h3>Sound</h3>
            <p>The form once, played by the band as it sounds here, as a WAV file to practise with anywhere.</p>
            <p className="muted">Not kept: everything but the sound.</p>
          </div>
          <Button type="primary" size="large" onClick={() => void download('wav')}>
            Export WAV
          </Button>
        </div>
        <div className="handout-row">
          <div>
            <h3>Gravik file</h3>
            <p>Everything in this breakdown, as JSON with a published schema. Import it on the shelf, here or on another Gravik.</p>
          </div>
          <Button type="primary" size="large" onClick={() => void download('json')}>
            Export JSON
          </Button>
        </div>
        <h2>Notes</h2>
        <Input.TextArea
          aria-label="Notes"
          className="grows"
          disabled={!mine}
          rows={3}
          maxLength={20000}
          placeholder="What to listen for, nicknames, who plays when …"
          value={document.notes}
          onChange={(event) => store.change((d) => ({ ...d, notes: event.target.value }), { together: 'notes' })}
        />
      </div>
      {mine && <Versions id={id} />}
    </div>
  )
}

function Versions({ id }: { id: string }) {
  const { store } = useBench()
  const versions = useVersions(id)
  const { message } = App.useApp()
  const goBack = async (version: number) => {
    try {
      const { document } = await fetchVersion(id, version)
      store.change(() => document)
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'This version could not be fetched. Try again.', 8)
    }
  }
  return (
    <aside className="side" aria-label="Versions">
      <h2>Versions</h2>
      <p className="muted">One for each sitting. Going back is a change like any other: undo brings you here again.</p>
      {versions.items?.length === 0 && <p className="muted">None yet.</p>}
      <div className="take-list">
        {versions.items?.map((version) => (
          <div key={version.id} className="version">
            <b>{new Date(version.saved_at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' })}</b>
            <span>{version.refused ? 'kept beside the saved one' : `revision ${version.number}`}</span>
            <Button size="small" onClick={() => void goBack(version.id)}>
              Go back to it
            </Button>
          </div>
        ))}
      </div>
      <MoreButton list={versions} words="Older versions" />
    </aside>
  )
}
