import { App } from 'antd'
import type { BreakdownDocument } from '../../api/types'
import { useBench } from './benchContext'

type Remade = { document: BreakdownDocument; dropped?: { symbol: string }[] }

/**
 * Lets the server lay the document out anew (another key, meter, capo). What is typed while it works is not lost: the
 * question is then asked again with the newer document. Answers whether it was done.
 */
export function useRemake() {
  const { store } = useBench()
  const { message } = App.useApp()
  return async (ask: (document: BreakdownDocument) => Promise<Remade>, whyDropped = ''): Promise<boolean> => {
    try {
      let before: BreakdownDocument
      let answer: Remade
      do {
        before = store.getState().document
        answer = await ask(before)
      } while (store.getState().document !== before)
      store.change(() => answer.document)
      const dropped = answer.dropped ?? []
      if (dropped.length > 0)
        void message.info(
          `Let go of ${dropped.map((pin) => pin.symbol).join(', ')}: ${whyDropped}. Undo brings ${dropped.length > 1 ? 'them' : 'it'} back.`,
          6,
        )
      return true
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'That did not work.')
      return false
    }
  }
}

export const OPEN_STRINGS_STAY = 'a pinned grip with open strings cannot move'
export const BELOW_THE_CAPO = 'a pinned grip cannot lie below the capo'
