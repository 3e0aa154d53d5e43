import { Button } from 'antd'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { useBench } from './benchContext'
import type { SaveState } from './documentStore'
import { putOnShelf } from './keeper'
import { Dialog } from '../../ui/Dialog'

/** Two versions of one breakdown: nothing is decided for the teacher, and neither is lost. */
export function StaleSheet({ save }: { save: Extract<SaveState, { status: 'stale' }> }) {
  const { store } = useBench()
  const navigate = useNavigate()
  const [busy, setBusy] = useState(false)
  const keepMine = async () => {
    setBusy(true)
    const mine = store.getState().document
    const copy = await putOnShelf({ ...mine, title: `${mine.title.slice(0, 108)} (my copy)` }).finally(() => setBusy(false))
    store.takeSaved()
    void navigate(`/breakdown/${copy.id}`)
  }
  return (
    <Dialog open title="Saved from somewhere else meanwhile" footer={null} closable={false}>
      <p>{save.message}</p>
      <div className="button-row">
        <Button type="primary" loading={busy} onClick={() => void keepMine()}>
          Go on with mine as a copy
        </Button>
        <Button onClick={() => store.takeSaved()}>Go on with the saved one</Button>
      </div>
    </Dialog>
  )
}
