import { useQueryClient } from '@tanstack/react-query'
import { App, Button, Checkbox, Input, Popconfirm } from 'antd'
import { useState } from 'react'
import { ApiError, call } from '../../api/client'
import { keys, saveHand } from '../../api/queries'
import type { Person } from '../../api/types'
import { Dialog } from '../../ui/Dialog'
import { HandFields } from '../../ui/HandFields'

/** One's own name, address and password; whatever changes asks for the password of today. */
export function AccountDialog({ person, onClose }: { person: Person; onClose: () => void }) {
  const [name, setName] = useState(person.name)
  const [email, setEmail] = useState(person.email)
  const [password, setPassword] = useState('')
  const [current, setCurrent] = useState('')
  const [problem, setProblem] = useState<ApiError | null>(null)
  const [busy, setBusy] = useState(false)
  const client = useQueryClient()
  const { message } = App.useApp()
  const said = (field: string) => problem?.errors[field]?.[0] !== undefined && <small className="off">{problem.errors[field][0]}</small>
  const attempt = async (work: () => Promise<void>) => {
    setBusy(true)
    setProblem(null)
    try {
      await work()
      onClose()
    } catch (refusal) {
      if (refusal instanceof ApiError) setProblem(refusal)
      else throw refusal
    } finally {
      setBusy(false)
    }
  }
  const keep = () =>
    attempt(async () => {
      const body = { current, name, email, ...(password === '' ? {} : { password }) }
      client.setQueryData(keys.person, await call('PUT', '/api/account', { body }))
      void message.success('Kept.')
    })
  const sounds = async (keep: boolean) => {
    setBusy(true)
    try {
      client.setQueryData(keys.person, await call('PUT', '/api/account/sounds', { body: { keep } }))
    } catch (refusal) {
      if (refusal instanceof ApiError) setProblem(refusal)
    } finally {
      setBusy(false)
    }
  }
  const setHand = async (hand: string) => {
    setBusy(true)
    try {
      await saveHand(person.id, hand)
      client.setQueryData(keys.person, { ...person, hand })
    } catch (refusal) {
      if (refusal instanceof ApiError) setProblem(refusal)
    } finally {
      setBusy(false)
    }
  }
  const everywhere = () =>
    attempt(async () => {
      await call('POST', '/api/account/sign-out-everywhere', { body: { current } })
      void message.success('Only this browser is signed in now.')
    })
  const leave = () =>
    attempt(async () => {
      await call('DELETE', '/api/account', { body: { current } })
      window.location.assign('/')
    })
  return (
    <Dialog title="Your account" open onCancel={onClose} footer={null} width={420}>
      <div className="sign-in-form">
        {person.role === 'student' && (
          <div>
            <b>Your hand: what is given to you comes in grips that it can take</b>
            <HandFields hand={person.hand} onHand={(hand) => void setHand(hand)} />
          </div>
        )}
        <Checkbox checked={person.keeps_sound} disabled={busy} onChange={(event) => void sounds(event.target.checked)}>
          Keep the sound of all my takes for my teacher; without it, all that was kept is deleted
        </Checkbox>
        <label>
          Name
          <Input value={name} maxLength={80} onChange={(event) => setName(event.target.value)} />
          {said('name')}
        </label>
        <label>
          E-mail
          <Input type="email" autoComplete="username" value={email} onChange={(event) => setEmail(event.target.value)} />
          {said('email')}
        </label>
        <label>
          New password, if you want one
          <Input.Password autoComplete="new-password" value={password} onChange={(event) => setPassword(event.target.value)} />
          {said('password')}
        </label>
        <label>
          Your password of today
          <Input.Password autoComplete="current-password" value={current} onChange={(event) => setCurrent(event.target.value)} />
          {said('current')}
        </label>
        <p className="button-row">
          <a href="/api/account/export" download>
            Take along all that is mine
          </a>
          {!person.owner && (
            <Popconfirm
              title="Delete your account?"
              description="Your takes, remarks and breakdowns go with it, for good."
              okText="Delete it"
              cancelText="Keep it"
              onConfirm={() => void leave()}
            >
              <Button size="small" danger>
                Delete my account
              </Button>
            </Popconfirm>
          )}
        </p>
        <div className="button-row">
          <Button type="primary" loading={busy} onClick={() => void keep()}>
            Keep
          </Button>
          <Button disabled={busy} onClick={() => void everywhere()}>
            Sign out everywhere else
          </Button>
        </div>
      </div>
    </Dialog>
  )
}
