import { useState } from 'react'
import { keep, kept, type Listened } from './listened'

/** The recording that lies open for a breakdown: it outlives a reload, and every correction can be taken back. */
export function useListened(id: string) {
  const [{ now, before }, setState] = useState<{ now: Listened | null; before: (Listened | null)[] }>(() => ({ now: kept(id), before: [] }))
  const change = (to: Listened | null) => {
    keep(id, to)
    setState({ now: to, before: [...before.slice(-99), now] })
  }
  const undo = () => {
    const last = before.at(-1)
    if (last === undefined) return
    keep(id, last)
    setState({ now: last, before: before.slice(0, -1) })
  }
  return { listened: now, change, undo, canUndo: before.length > 0 }
}
