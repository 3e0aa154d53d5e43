import { App, Button, Select } from 'antd'
import { useRef, useState } from 'react'
import { layTune } from '../../api/song'
import type { BreakdownDocument, PassDocument } from '../../api/types'
import { FilePicker } from '../../ui/FilePicker'
import { passName } from '../../ui/words'
import { useBench, useMine } from '../bench/benchContext'
import { useRemake } from '../bench/useRemake'
import type { Part } from './LineUpPart'

type Laid = Awaited<ReturnType<typeof layTune>>
type Opened = { midi: string; name: string; track: number; tracks: Laid['tracks'] }

/** What the lead plays: a track of a MIDI file, in all passes or some; or somebody solos. */
export function LeadTune({ part, passes }: { part: Part; passes: PassDocument[] }) {
  const { store } = useBench()
  const { message } = App.useApp()
  const mine = useMine()
  const remake = useRemake()
  const file = useRef<HTMLInputElement>(null)
  const [opened, setOpened] = useState<Opened | null>(null)
  const { tune } = part
  const lay = (midi: string, name: string, track: number | null) =>
    remake(async (d) => {
      const laid = await layTune(d, { part: part.id, name, midi, track })
      setOpened({ midi, name, track: laid.track, tracks: laid.tracks })
      return laid
    })
  const open = (chosen: File) =>
    base64(chosen).then(
      (midi) => lay(midi, chosen.name.replace(/\.midi?$/i, '').slice(0, 80), null),
      () => message.error(`“${chosen.name}” could not be read. Choose it again.`),
    )
  const retune = (changed: Part['tune']) =>
    store.change((d) => ({
      ...d,
      parts: d.parts.map((each) => (each.id === part.id ? withTune(each, changed) : each)) as BreakdownDocument['parts'],
    }))
  return (
    <div className="lead-tune">
      <FilePicker field={file} label="Tune of the lead" accept=".mid,.midi" onFile={(chosen) => void open(chosen)} />
      <span>
        {tune === undefined ? (
          <>The lead solos: its place is kept free, and nothing sounds.</>
        ) : (
          <>
            The lead plays <b>“{tune.name}”</b>, {tune.notes.length} notes, in{' '}
          </>
        )}
      </span>
      {tune !== undefined && (
        <Select
          mode="multiple"
          size="small"
          aria-label="Passes in which the tune is played"
          placeholder="all passes"
          value={tune.passes ?? []}
          disabled={!mine}
          options={passes.map(({ id }) => ({ value: id, label: passName(passes, id) }))}
          onChange={(chosen: string[]) => retune(chosen.length === 0 ? everywhere(tune) : { ...tune, passes: chosen })}
          popupMatchSelectWidth={false}
        />
      )}
      {opened !== null && opened.tracks.length > 1 && (
        <Select
          size="small"
          aria-label="Track of the file"
          value={opened.track}
          options={opened.tracks.map(({ number, notes, lowest, highest }) => ({
            value: number,
            label: `track ${number}: ${notes} notes, ${lowest}–${highest}`,
          }))}
          onChange={(track) => void lay(opened.midi, opened.name, track)}
          popupMatchSelectWidth={false}
        />
      )}
      {mine && (
        <Button size="small" onClick={() => file.current?.click()}>
          {tune === undefined ? 'Give it a tune: a MIDI file …' : 'Another file …'}
        </Button>
      )}
      {mine && tune !== undefined && (
        <Button size="small" onClick={() => retune(undefined)}>
          Let it solo
        </Button>
      )}
    </div>
  )
}

type Tune = NonNullable<Part['tune']>

const everywhere = ({ name, notes }: Tune): Tune => ({ name, notes })

function withTune(part: Part, tune: Part['tune']): Part {
  const free = { ...part }
  delete free.tune
  return tune === undefined ? free : { ...free, tune }
}

const base64 = (file: File): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result).replace(/^[^,]*,/, ''))
    reader.onerror = () => reject(new Error(file.name))
    reader.readAsDataURL(file)
  })
