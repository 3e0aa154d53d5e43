import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { useTake, useTakes } from '../../api/queries'
import type { Take } from '../../api/types'

/** The takes of a breakdown: which is shown, and which stands beside it. */
export function useShownTakes(id: string) {
  const list = useTakes(id)
  const rows = list.items ?? []
  const [query] = useSearchParams()
  // A teacher comes from the class to the take that is meant.
  const [shownId, setShownId] = useState<string | null>(query.get('take'))
  const [besideId, setBesideId] = useState<string | null>(null)
  const wanted = shownId ?? rows[0]?.id ?? null
  const second = besideId !== null && besideId !== wanted ? besideId : null
  const shown = useTake(id, wanted).data ?? null
  const other = useTake(id, second).data
  return {
    breakdown: id,
    list,
    rows,
    wanted,
    besideId,
    shown,
    beside: second === null ? null : (other ?? null),
    show: (take: Take | null) => take !== null && setShownId(take.id),
    showId: setShownId,
    putBeside: setBesideId,
  }
}
