import { App, Button } from 'antd'
import { useState } from 'react'
import { planRegisters } from '../../../api/song'
import { passName } from '../../../ui/words'
import { useBench } from '../../bench/benchContext'
import { useRemake } from '../../bench/useRemake'

type Plan = Awaited<ReturnType<typeof planRegisters>>

/** Proposes a register of a figure for every pass it is played in; nothing changes before somebody says so. */
export function RegisterRow({ figure, onDone }: { figure: string; onDone: () => void }) {
  const { store } = useBench()
  const remake = useRemake()
  const { message } = App.useApp()
  const [plan, setPlan] = useState<Plan['passes'] | null>(null)
  const ask = async () => {
    try {
      setPlan((await planRegisters(store.getState().document, figure)).passes)
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'The registers could not be planned.')
    }
  }
  const use = async () => (await remake((d) => planRegisters(d, figure))) && onDone()
  if (plan === null) {
    return (
      <div className="button-row">
        <Button size="small" onClick={() => void ask()}>
          Propose a register for every pass
        </Button>
      </div>
    )
  }
  if (plan.length === 0) return <p className="muted">It lies under the fingers nowhere else, or strikes the grip alone.</p>
  return (
    <div className="register-row">
      <ol>
        {plan.map(({ pass, words }) => (
          <li key={pass}>
            <b>{passName(store.getState().document.passes, pass)}</b> {words}
          </li>
        ))}
      </ol>
      <Button size="small" type="primary" onClick={() => void use()}>
        Play it so
      </Button>
    </div>
  )
}
