import { Input } from 'antd'
import { useState } from 'react'
import { Dialog } from '../../ui/Dialog'

export function RenameDialog({ title, onRename, onClose }: { title: string; onRename: (title: string) => void; onClose: () => void }) {
  const [typed, setTyped] = useState(title)
  const done = () => {
    if (typed.trim() !== '') onRename(typed.trim())
    onClose()
  }
  return (
    <Dialog title="Rename" open okText="Rename" okButtonProps={{ disabled: typed.trim() === '' }} onCancel={onClose} onOk={done}>
      <Input aria-label="New title" autoFocus maxLength={120} value={typed} onChange={(event) => setTyped(event.target.value)} />
    </Dialog>
  )
}
