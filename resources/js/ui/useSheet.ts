import { useCallback } from 'react'
import { useLocation, useNavigate, useSearchParams } from 'react-router'

/**
 * What lies over a station, kept in the address: it is there again after a reload, and Back takes it away before it
 * leaves the station.
 */
export function useSheet<Sheet extends string>(usual: Sheet, others: readonly Sheet[]): [Sheet, (to: Sheet) => void] {
  const [search] = useSearchParams()
  const navigate = useNavigate()
  const opened = (useLocation().state as { opened?: boolean } | null)?.opened === true
  const asked = others.find((each) => each === search.get('sheet')) ?? usual
  const set = useCallback(
    (to: Sheet) => {
      if (to === asked) return
      if (to === usual && opened) return void navigate(-1)
      const query = to === usual ? '' : `?${new URLSearchParams({ sheet: to })}`
      void navigate({ search: query }, { replace: asked !== usual, state: asked === usual ? { opened: true } : { opened } })
    },
    [asked, usual, opened, navigate],
  )
  return [asked, set]
}
