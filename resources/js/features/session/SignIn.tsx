import { useQueryClient } from '@tanstack/react-query'
import { Button, Input } from 'antd'
import { useState, type FormEvent } from 'react'
import { call } from '../../api/client'
import { keys } from '../../api/queries'
import type { HandSketch } from '../../api/types'
import { HandWave } from '../../ui/HandWave'
import { Mark } from '../../ui/Mark'

export function SignInForm({ onDone }: { onDone: () => void }) {
  const [email, setEmail] = useState('')
  const [password, setPassword] = useState('')
  const [state, setState] = useState<{ status: 'ready' | 'busy' } | { status: 'refused'; message: string }>({ status: 'ready' })
  const client = useQueryClient()
  const signIn = async (event: FormEvent) => {
    event.preventDefault()
    setState({ status: 'busy' })
    try {
      client.setQueryData(keys.person, await call('POST', '/api/session', { body: { email, password } }))
      setState({ status: 'ready' })
      onDone()
    } catch (problem) {
      setState({ status: 'refused', message: problem instanceof Error ? problem.message : 'Try again.' })
    }
  }
  return (
    <form onSubmit={(event) => void signIn(event)} className="sign-in-form">
      <label>
        E-mail
        <Input
          name="email"
          type="email"
          autoComplete="username"
          autoFocus
          value={email}
          onChange={(event) => setEmail(event.target.value)}
        />
      </label>
      <label>
        Password
        <Input.Password
          name="password"
          autoComplete="current-password"
          value={password}
          onChange={(event) => setPassword(event.target.value)}
        />
      </label>
      {state.status === 'refused' && (
        <p role="alert" className="finding finding-off">
          {state.message}
        </p>
      )}
      <Button type="primary" htmlType="submit" size="large" loading={state.status === 'busy'}>
        Sign in
      </Button>
    </form>
  )
}

/** The wave on the sign-in page: a bar of upbeat shuffle. */
const WELCOME: HandSketch = {
  beats: 4,
  beats_a_bar: 4,
  p: 2 / 3,
  strokes: [0, 1, 2, 3].flatMap((beat) => [
    {
      at: beat * 960,
      slot: 2 * beat,
      direction: 'down' as const,
      beats: beat,
      kind: beat % 2 === 0 ? ('air' as const) : ('chuck' as const),
      accent: 1,
    },
    {
      at: beat * 960 + 480,
      slot: 2 * beat + 1,
      direction: 'up' as const,
      beats: beat + 2 / 3,
      kind: 'ring' as const,
      accent: beat === 3 ? 2 : 1,
    },
  ]),
}

export function SignInPage({ onDone }: { onDone: () => void }) {
  return (
    <main className="sign-in-page">
      <section className="sign-in-side">
        <h1 className="brand brand-large">
          <Mark size={44} /> Gravik
        </h1>
        <p className="lead">Take a feel apart: voicings, strokes, muting and swing. Then play it with the band and see where it locks.</p>
        <SignInForm onDone={onDone} />
        <p className="sign-in-other">
          <a href="/join">I have a class code</a>
          <span className="muted">Forgot your password? Your teacher makes you a link.</span>
        </p>
      </section>
      <section className="sign-in-picture" aria-hidden="true">
        <HandWave sketch={WELCOME} fromBeat={0} toBeat={4} width={720} height={300} />
      </section>
    </main>
  )
}
