import { useSyncExternalStore } from 'react'

const watch = (changed: () => void) => {
  window.addEventListener('online', changed)
  window.addEventListener('offline', changed)
  return () => {
    window.removeEventListener('online', changed)
    window.removeEventListener('offline', changed)
  }
}

/** Whether the device says that it has a connection. */
export const useOnline = (): boolean => useSyncExternalStore(watch, () => navigator.onLine)
