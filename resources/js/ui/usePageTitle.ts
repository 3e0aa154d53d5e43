import { useEffect } from 'react'

/** Names the tab and the place in the history. */
export function usePageTitle(title: string): void {
  useEffect(() => {
    document.title = `${title} · Gravik`
  }, [title])
}
