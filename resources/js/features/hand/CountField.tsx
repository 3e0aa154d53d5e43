import { Input } from 'antd'
import { useEffect, useState } from 'react'
import { strokesOf, withPattern } from '../../api/desk'
import { reshape } from '../../api/queries'
import { useBench, useMine } from '../bench/benchContext'

/** The pattern as it is counted aloud, to be read or typed. */
export function CountField({ counted, line, name }: { counted: string; line: number; name: string }) {
  const { store, desk } = useBench()
  const mine = useMine()
  const [typed, setTyped] = useState(counted)
  const [refusal, setRefusal] = useState('')
  useEffect(() => {
    setTyped(counted)
    setRefusal('')
  }, [counted, line])
  const take = async () => {
    if (typed.trim() === counted) return
    try {
      const { document } = await reshape({ ...desk, document: store.getState().document }, { counted: typed, line })
      const recounted = strokesOf(document, desk.pattern.id)
      store.change((d) => withPattern(d, desk.pattern.id, (pattern) => recounted ?? pattern))
      setRefusal('')
    } catch (problem) {
      setRefusal(problem instanceof Error ? problem.message : 'That could not be read.')
    }
  }
  return (
    <label className="count-field">
      Counted{name}
      <Input
        aria-label="Pattern as it is counted"
        disabled={!mine}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onPressEnter={() => void take()}
        onBlur={() => void take()}
      />
      {refusal === '' ? (
        <small className="muted">
          said is struck, (in brackets) is air · <b>!</b> accent <b>x</b> dead <b>~</b> ghost <b>.</b> short <b>_</b> palm <b>&gt;</b> next
          grip <b>o</b> open <b>v ^</b> down, up · Enter takes it
        </small>
      ) : (
        <span role="alert" className="finding finding-off">
          {refusal}
        </span>
      )}
    </label>
  )
}
