import { useQueryClient } from '@tanstack/react-query'
import { App, Button } from 'antd'
import { forgetWhatIsKept } from '../../app/offline'
import { call } from '../../api/client'
import { fetchBreakdown, keys } from '../../api/queries'
import type { BreakdownCard } from '../../api/types'
import { putOnShelf } from '../bench/keeper'

/** What can be done with a breakdown on the shelf; what fails is said, and nothing is half done. */
export function useShelfWork(onChosen: (id: string) => void) {
  const client = useQueryClient()
  const { message } = App.useApp()
  const refresh = () => client.invalidateQueries({ queryKey: keys.shelf })
  const attempt = async (work: () => Promise<void>) => {
    try {
      await work()
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'That did not work. Try again.')
    }
  }
  const duplicate = (card: BreakdownCard) =>
    attempt(async () => {
      const { document } = await fetchBreakdown(card.id)
      const copy = await putOnShelf({ ...document, title: `${document.title.slice(0, 112)} (copy)` })
      await refresh()
      onChosen(copy.id)
    })
  const remove = (card: BreakdownCard) =>
    attempt(async () => {
      await call('DELETE', '/api/breakdowns/{id}', { path: { id: card.id } })
      await refresh()
      const putBack = () =>
        void attempt(async () => {
          await call('POST', '/api/breakdowns/{id}/put-back', { path: { id: card.id } })
          message.destroy(card.id)
          await refresh()
          onChosen(card.id)
        })
      void message.open({
        key: card.id,
        duration: 12,
        content: (
          <>
            “{card.title}” is off the shelf.{' '}
            <Button size="small" onClick={putBack}>
              Undo
            </Button>
          </>
        ),
      })
    })
  const rename = (card: BreakdownCard, title: string) =>
    attempt(async () => {
      const stored = await fetchBreakdown(card.id)
      await call('PUT', '/api/breakdowns/{id}', {
        path: { id: card.id },
        body: { document: { ...stored.document, title }, revision: stored.revision, sitting: 'shelf' },
      })
      await refresh()
    })
  const signOut = () =>
    attempt(async () => {
      await call('DELETE', '/api/session', {})
      await forgetWhatIsKept()
      window.location.assign('/')
    })
  return { refresh, duplicate, remove, rename, signOut }
}
