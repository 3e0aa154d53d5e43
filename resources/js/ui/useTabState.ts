import { useCallback, useState } from 'react'

/** A state that a reload of this tab leaves as it was; another tab has its own. */
export function useTabState<T>(key: string, usual: T): [T, (to: T) => void] {
  const [value, setValue] = useState<T>(() => {
    try {
      return (JSON.parse(sessionStorage.getItem(key) ?? 'null') as T | null) ?? usual
    } catch {
      return usual
    }
  })
  const set = useCallback(
    (to: T) => {
      setValue(to)
      try {
        sessionStorage.setItem(key, JSON.stringify(to))
      } catch {
        // A full store loses the place after a reload, nothing else.
      }
    },
    [key],
  )
  return [value, set]
}
