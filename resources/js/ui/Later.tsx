import { useEffect, useState, type ReactNode } from 'react'

const TURN_MS = 30

type Props = {
  children: ReactNode
  /** parts that are mounted together share a task: who comes after them has a later turn */
  turn?: number
  /** stands in its place meanwhile */
  until?: ReactNode
}

/**
 * Mounted right after what stands around it was drawn, as work of its own: a large screen comes in parts, and the page
 * answers between them.
 */
export function Later({ children, turn = 0, until = null }: Props) {
  const [come, setCome] = useState(false)
  useEffect(() => {
    const soon = setTimeout(() => setCome(true), turn * TURN_MS)
    return () => clearTimeout(soon)
  }, [turn])
  return come ? children : until
}
