import { useQueryClient } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { layOutForLater } from '../../api/practice'
import type { Day } from '../../api/school'
import { keepForOffline } from '../../app/offline'

/** What is looked at comes first; what may be needed later is laid out then. */
const AFTER_MS = 1500

/**
 * Keeps the day on this device, with all that it needs.
 *
 * @param asOf when the day was planned, ms
 *
 * @returns whether it lies there
 */
export function useKeptDay(items: Day['items'], hurts: boolean, asOf: number): boolean {
  const client = useQueryClient()
  const [kept, setKept] = useState(false)
  const latest = useRef(items)
  // What was answered before the worker governed the page passed it by.
  const passedBy = useRef('serviceWorker' in navigator && navigator.serviceWorker.controller === null)
  useEffect(() => {
    latest.current = items
  })
  useEffect(() => {
    if (asOf === 0) return
    let over = false
    const keep = async () => {
      await keepForOffline()
      if (passedBy.current) {
        passedBy.current = false
        // A new answer lays everything out.
        await client.refetchQueries({ queryKey: ['day'] })
        return
      }
      await layOutForLater(latest.current, hurts, () => over)
      if (!over) setKept(true)
    }
    const soon = setTimeout(() => void keep().catch(() => undefined), AFTER_MS)
    return () => {
      over = true
      clearTimeout(soon)
    }
  }, [asOf, hurts, client])
  return kept
}
