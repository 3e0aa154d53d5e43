import { Button, Input } from 'antd'
import { useState } from 'react'
import { ApiError } from '../../api/client'
import type { NewPerson } from '../../api/school'

type Props = {
  /** what the button says */
  action: string
  busy: boolean
  problem: Error | null
  name?: string
  /** a new password alone, for who has an account already */
  passwordOnly?: boolean
  withCode?: boolean
  onSend: (person: NewPerson & { code: string }) => void
}

/** Name, address and password of who comes in; what is wrong is said at its field. */
export function NewPersonForm({ action, busy, problem, name = '', passwordOnly = false, withCode = false, onSend }: Props) {
  const [person, setPerson] = useState({ name, email: '', password: '', code: '' })
  const errors = problem instanceof ApiError ? problem.errors : {}
  const named = Object.keys(errors).length > 0
  const field = (key: keyof typeof person) => ({
    name: key,
    value: person[key],
    status: errors[key] === undefined ? ('' as const) : ('error' as const),
    onChange: (event: { target: { value: string } }) => setPerson((now) => ({ ...now, [key]: event.target.value })),
  })
  const said = (key: string) => errors[key]?.[0] !== undefined && <small className="off">{errors[key][0]}</small>
  return (
    <form
      className="sign-in-form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        onSend(person)
      }}
    >
      {withCode && (
        <label>
          Class code
          <Input autoComplete="off" autoFocus {...field('code')} />
        </label>
      )}
      {!passwordOnly && (
        <>
          <label>
            Your name
            <Input autoComplete="name" autoFocus={!withCode} {...field('name')} />
            {said('name')}
          </label>
          <label>
            E-mail, to sign in with
            <Input type="email" autoComplete="username" {...field('email')} />
            {said('email')}
          </label>
        </>
      )}
      <label>
        {passwordOnly ? 'New password' : 'Password'}
        <Input.Password autoComplete="new-password" {...field('password')} />
        {said('password')}
      </label>
      {problem !== null && !named && (
        <p role="alert" className="finding finding-off">
          {problem.message}
        </p>
      )}
      <Button type="primary" htmlType="submit" size="large" loading={busy}>
        {action}
      </Button>
    </form>
  )
}
