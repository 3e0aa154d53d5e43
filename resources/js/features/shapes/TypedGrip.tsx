import { Button, Input } from 'antd'
import { useState } from 'react'
import { readGrip, type Grip } from '../../ui/gripText'

type Props = { symbol: string; strings: number; onPin: (frets: Grip) => void; onEnd: () => void }

/** A grip as it is dictated, fret by fret. It is pinned as it stands; proofreading asks where it sounds another chord. */
export function TypedGrip({ symbol, strings, onPin, onEnd }: Props) {
  const [typed, setTyped] = useState('')
  const grip = readGrip(typed, strings)
  return (
    <form
      className="field-row"
      onSubmit={(event) => {
        event.preventDefault()
        if (grip !== null) onPin(grip)
      }}
    >
      <Input
        autoFocus
        aria-label={`Frets for ${symbol}, lowest string first`}
        placeholder="x 3 2 0 1 0"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && onEnd()}
      />
      <Button htmlType="submit" type="primary" disabled={grip === null}>
        Pin these
      </Button>
    </form>
  )
}
