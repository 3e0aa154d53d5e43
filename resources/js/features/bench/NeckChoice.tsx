import { useQueryClient } from '@tanstack/react-query'
import { App, Switch } from 'antd'
import { call } from '../../api/client'
import { keys } from '../../api/queries'
import type { Voicing } from '../../api/types'
import { MiniNeck } from '../../ui/MiniNeck'
import { useNeckView, type NeckView } from '../../ui/neckView'

/** A grip that looks different whichever way the neck is turned. */
const SHOWN = { frets: [null, 3, 2, 0, 1, 0], degrees: [null, 'R', '3', '5', 'R', '3'], barres: [] } as unknown as Voicing

/** How this person wants to see necks, on every device and everywhere a neck is drawn. */
export function NeckChoice() {
  const view = useNeckView()
  const client = useQueryClient()
  const { message } = App.useApp()
  const turn = async (part: Partial<NeckView>) => {
    const before = view
    useNeckView.setState(part)
    try {
      client.setQueryData(keys.person, await call('PUT', '/api/session/neck', { body: { ...view, ...part } }))
    } catch (problem) {
      useNeckView.setState(before)
      void message.error(problem instanceof Error ? problem.message : 'That could not be kept. Try again.')
    }
  }
  return (
    <div className="neck-choice">
      <MiniNeck voicing={SHOWN} width={240} height={110} />
      <label>
        <Switch checked={view.left_handed} onChange={(left_handed) => void turn({ left_handed })} /> Left-handed: the nut at the right
      </label>
      <label>
        <Switch checked={view.high_on_top} onChange={(high_on_top) => void turn({ high_on_top })} /> The highest string on top
      </label>
      <p className="muted">
        It holds for you alone, wherever you sign in. In the hand’s wave the low string stays on top: there up and down are what the arm
        does.
      </p>
    </div>
  )
}
