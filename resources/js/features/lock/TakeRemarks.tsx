import { Button, Input } from 'antd'
import { useState } from 'react'
import { useRemarks, useWriteRemark } from '../../api/school'
import type { Take } from '../../api/types'
import { ago } from '../../ui/words'

/** What teacher and student say of a take to one another. */
export function TakeRemarks({ breakdown, take }: { breakdown: string; take: Take }) {
  const remarks = useRemarks(breakdown, take.id)
  const write = useWriteRemark(breakdown, take.id)
  const [text, setText] = useState('')
  return (
    <section className="take-remarks" aria-label="Said of this take">
      <h3>Said of this take</h3>
      <ul className="plain-list">
        {remarks.data?.map((each) => (
          <li key={each.id}>
            <span>
              <b>{each.by}</b> {each.text}
            </span>
            <small className="muted">{ago(each.created_at)}</small>
          </li>
        ))}
      </ul>
      <form
        className="field-row"
        onSubmit={(event) => {
          event.preventDefault()
          if (text.trim() !== '') write.mutate(text, { onSuccess: () => setText('') })
        }}
      >
        <Input
          aria-label="A sentence on this take"
          placeholder="a sentence on this take"
          maxLength={500}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <Button htmlType="submit" disabled={text.trim() === ''} loading={write.isPending}>
          Say it
        </Button>
      </form>
      {write.error !== null && (
        <p role="alert" className="finding finding-off">
          {write.error.message}
        </p>
      )}
    </section>
  )
}
