import { Input } from 'antd'
import { useState } from 'react'

type Props = { onJump: (bar: number) => boolean; onClose: () => void }

/** Where a number is typed to get to its bar. */
export function JumpToBar({ onJump, onClose }: Props) {
  const [missed, setMissed] = useState('')
  return (
    <div className="jump-to-bar">
      <label>
        Bar{' '}
        <Input
          aria-label="Jump to bar"
          autoFocus
          inputMode="numeric"
          maxLength={4}
          onBlur={onClose}
          onKeyDown={(event) => {
            event.stopPropagation()
            if (event.key === 'Escape') onClose()
          }}
          onPressEnter={(event) => (onJump(Number(event.currentTarget.value)) ? onClose() : setMissed(event.currentTarget.value))}
        />
      </label>
      {missed !== '' && <span role="alert">There is no bar {missed}.</span>}
    </div>
  )
}
