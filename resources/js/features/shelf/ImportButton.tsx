import { App, Button } from 'antd'
import { useEffect, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import { draftOf, type Draft } from '../../api/handout'
import { fetchStarts } from '../../api/queries'
import type { BreakdownDocument } from '../../api/types'
import { FilePicker } from '../../ui/FilePicker'
import { putOnShelf } from '../bench/keeper'
import { handOver, isRecording } from '../listen/handedOver'
import { DraftDialog } from './DraftDialog'

const MEGABYTE = 1024 * 1024
const LARGEST = 30 * MEGABYTE
const KINDS = 'audio/*,.wav,.json,.musicxml,.xml,.mxl,.cho,.chopro,.crd,.chordpro,.mid,.midi,.txt,application/json'
/** What is shown beside the draft as it came; longer files are cut. */
const SHOWN = 20_000
const LONGEST_TITLE = 120

/** Reads a file of ours or of another program, shown as a draft before it is kept; a recording is heard on the bench. */
export function ImportButton({ onImported }: { onImported: (id: string) => void }) {
  const field = useRef<HTMLInputElement>(null)
  const [busy, setBusy] = useState(false)
  const [draft, setDraft] = useState<(Draft & { name: string; source: string | null }) | null>(null)
  const { message } = App.useApp()
  const keep = async (document: BreakdownDocument) => {
    const stored = await putOnShelf(document)
    void message.success(`“${stored.document.title}” is on the shelf.`)
    onImported(stored.id)
  }
  const navigate = useNavigate()
  /** A recording is heard on the bench, on a breakdown of its own. */
  const hear = async (file: File) => {
    const { blank } = await fetchStarts('C major')
    const stored = await putOnShelf({ ...blank, title: file.name.replace(/\.[^.]*$/, '').slice(0, LONGEST_TITLE) || 'Recording' })
    onImported(stored.id)
    handOver(stored.id, file)
    void navigate(`/breakdown/${stored.id}/listen`)
  }
  const take = async (file: File) => {
    if (!isRecording(file) && file.size > LARGEST) {
      void message.error(`“${file.name}” is ${(file.size / MEGABYTE).toFixed(1)} MB, and at most 30 MB are read.`, 8)
      return
    }
    setBusy(true)
    try {
      if (isRecording(file)) await hear(file)
      else if (file.name.toLowerCase().endsWith('.json')) await keep(await read(file))
      else {
        const text = /\.(cho|chopro|crd|chordpro|txt|musicxml|xml)$/i.test(file.name) ? (await file.text()).slice(0, SHOWN) : null
        setDraft({ ...(await draftOf(file)), name: file.name, source: text })
      }
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'That did not work.', 8)
    } finally {
      setBusy(false)
    }
  }
  useDropped((file) => void take(file))
  return (
    <>
      <Button loading={busy} onClick={() => field.current?.click()}>
        Import
      </Button>
      <FilePicker field={field} label="Breakdown file" accept={KINDS} onFile={(file) => void take(file)} />
      {draft !== null && (
        <DraftDialog
          draft={draft}
          onLeave={() => setDraft(null)}
          onKeep={() => {
            setDraft(null)
            keep(draft.document).catch(
              (problem: unknown) => void message.error(problem instanceof Error ? problem.message : 'That did not work.', 8),
            )
          }}
        />
      )}
    </>
  )
}

async function read(file: File): Promise<BreakdownDocument> {
  try {
    return JSON.parse(await file.text()) as BreakdownDocument
  } catch {
    throw new Error(`“${file.name}” is not a breakdown. Choose a .gravik.json file that Gravik exported.`)
  }
}

/** A file may be dropped anywhere on the page. */
function useDropped(take: (file: File) => void) {
  const latest = useRef(take)
  useEffect(() => {
    latest.current = take
  })
  useEffect(() => {
    const over = (event: DragEvent) => {
      if (event.dataTransfer?.types.includes('Files') === true) event.preventDefault()
    }
    const drop = (event: DragEvent) => {
      const file = event.dataTransfer?.files[0]
      if (file === undefined) return
      event.preventDefault()
      latest.current(file)
    }
    window.addEventListener('dragover', over)
    window.addEventListener('drop', drop)
    return () => {
      window.removeEventListener('dragover', over)
      window.removeEventListener('drop', drop)
    }
  }, [])
}
