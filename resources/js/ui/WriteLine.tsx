import { Button, Input } from 'antd'
import { useState } from 'react'

type Props = {
  label: string
  action: string
  write: { mutate: (text: string, options: { onSuccess: () => void }) => void; isPending: boolean; error: Error | null }
  onWritten?: () => void
}

/** One sentence, and the button that sends it. */
export function WriteLine({ label, action, write, onWritten }: Props) {
  const [text, setText] = useState('')
  const send = () =>
    write.mutate(text, {
      onSuccess: () => {
        setText('')
        onWritten?.()
      },
    })
  return (
    <>
      <form
        className="write-line"
        onSubmit={(event) => {
          event.preventDefault()
          if (text.trim() !== '') send()
        }}
      >
        <Input
          aria-label={label}
          placeholder={label.toLowerCase()}
          maxLength={500}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <Button htmlType="submit" disabled={text.trim() === ''} loading={write.isPending}>
          {action}
        </Button>
      </form>
      {write.error !== null && (
        <p role="alert" className="finding finding-off">
          {write.error.message}
        </p>
      )}
    </>
  )
}
