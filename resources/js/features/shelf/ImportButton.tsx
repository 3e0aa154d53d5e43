import { App, Button } from 'antd'
import { useRef, useState } from 'react'
import type { BreakdownDocument } from '../../api/types'
import { FilePicker } from '../../ui/FilePicker'
import { putOnShelf } from '../bench/keeper'

const LARGEST = 5 * 1024 * 1024

/** Reads a .gravik.json file and puts it on the shelf; the core decides whether it is one. */
export function ImportButton({ onImported }: { onImported: (id: string) => void }) {
  const field = useRef<HTMLInputElement>(null)
  const [busy, setBusy] = useState(false)
  const { message } = App.useApp()
  const take = async (file: File) => {
    if (file.size > LARGEST) {
      void message.error(
        `“${file.name}” is ${(file.size / 1024 / 1024).toFixed(1)} MB, and a breakdown is never over 5 MB. Choose a .gravik.json file that Gravik exported.`,
        8,
      )
      return
    }
    setBusy(true)
    try {
      const parsed = await file.text().then((text) => JSON.parse(text) as BreakdownDocument)
      const stored = await putOnShelf(parsed)
      void message.success(`“${stored.document.title}” is on the shelf.`)
      onImported(stored.id)
    } catch (problem) {
      const notJson = problem instanceof SyntaxError
      void message.error(
        notJson
          ? `“${file.name}” is not a breakdown. Choose a .gravik.json file that Gravik exported.`
          : problem instanceof Error
            ? problem.message
            : 'That did not work.',
        8,
      )
    } finally {
      setBusy(false)
    }
  }
  return (
    <>
      <Button loading={busy} onClick={() => field.current?.click()}>
        Import
      </Button>
      <FilePicker field={field} label="Breakdown file" accept=".json,application/json" onFile={(file) => void take(file)} />
    </>
  )
}
