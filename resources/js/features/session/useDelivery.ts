import { useQueryClient } from '@tanstack/react-query'
import { App } from 'antd'
import { useEffect } from 'react'
import { deliverAll, recallWaiting, useOutbox } from '../../api/outbox'
import { keys } from '../../api/queries'
import { countOf } from '../../ui/words'

const AGAIN_MS = 20_000

/** Sends what waits in this browser whenever it may have become possible: on opening, with the connection, after signing in. */
export function useDelivery(player: number | undefined): void {
  const client = useQueryClient()
  const { message } = App.useApp()
  useEffect(() => {
    if (player === undefined) return
    let judged = 0
    const send = async () => {
      await deliverAll(player, (take, { breakdown }) => {
        judged++
        client.setQueryData(['take', breakdown, take.id], take)
        void client.invalidateQueries({ queryKey: keys.takes(breakdown) })
        for (const key of ['day', 'log', 'practice']) void client.invalidateQueries({ queryKey: [key] })
      })
      if (judged > 0) void message.success(`${countOf(judged, 'take')} that waited ${judged === 1 ? 'is' : 'are'} judged now.`)
      judged = 0
    }
    const now = () => void send()
    void recallWaiting().then(now)
    const again = setInterval(() => useOutbox.getState().waiting.some(({ refused }) => refused === undefined) && now(), AGAIN_MS)
    window.addEventListener('online', now)
    window.addEventListener('gravik:signed-in', now)
    return () => {
      clearInterval(again)
      window.removeEventListener('online', now)
      window.removeEventListener('gravik:signed-in', now)
    }
  }, [player, client, message])
}
