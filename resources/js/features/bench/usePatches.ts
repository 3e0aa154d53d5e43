import { App } from 'antd'
import { patched } from '../../api/desk'
import type { Patch } from '../../api/types'
import { useBench } from './benchContext'

/** Takes proposals over: each is applied only where what it replaces is still there. Answers whether it was. */
export function usePatches() {
  const { store } = useBench()
  const { message } = App.useApp()
  return (patches: Patch[]): boolean => {
    const changed = patched(store.getState().document, patches)
    if (changed === null) {
      void message.info('What this would change has changed meanwhile. It is looked at anew; choose again in a moment.')
      return false
    }
    store.change(() => changed)
    return true
  }
}
