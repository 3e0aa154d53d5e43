import type { ReactNode } from 'react'
import { call } from '../../api/client'
import { useComeIn, useInvited, type NewPerson } from '../../api/school'
import { Mark } from '../../ui/Mark'
import { NewPersonForm } from './NewPersonForm'

const Door = ({ lead, children }: { lead: ReactNode; children: ReactNode }) => (
  <main className="sign-in-page door">
    <section className="sign-in-side">
      <h1 className="brand brand-large">
        <Mark size={44} /> Gravik
      </h1>
      <p className="lead">{lead}</p>
      {children}
    </section>
  </main>
)

/** Nobody has an account yet: the first person makes the owner's. */
export function BeginPage({ onDone }: { onDone: () => void }) {
  const enter = useComeIn((person: NewPerson) => call('POST', '/api/start', { body: person }), onDone)
  return (
    <Door lead="This is a new school. You are its owner: you invite teachers, and see everybody.">
      <NewPersonForm action="Begin" busy={enter.isPending} problem={enter.error} onSend={(person) => enter.mutate(person)} />
    </Door>
  )
}

/** A link leads here: it makes an account, or sets a password anew, once. */
export function JoinPage({ token, onDone }: { token: string; onDone: () => void }) {
  const invited = useInvited(token)
  const enter = useComeIn((person: NewPerson) => call('POST', '/api/join/{token}', { path: { token }, body: person }), onDone)
  if (invited.isPending) return <p className="loading">Looking at your link …</p>
  if (invited.data === undefined)
    return (
      <Door lead={invited.error?.message ?? 'This link does not work.'}>
        <a href="/">To the sign-in page</a>
      </Door>
    )
  const { kind, by, group, name } = invited.data
  return (
    <Door
      lead={
        kind === 'password'
          ? `A new password for ${name}. The old one works no more then.`
          : `${by} invites you${kind === 'teacher' ? ' to teach here' : group === null ? ' to practise here' : ` to “${group}”`}.`
      }
    >
      <NewPersonForm
        action={kind === 'password' ? 'Set it' : 'Come in'}
        busy={enter.isPending}
        problem={enter.error}
        name={name}
        passwordOnly={kind === 'password'}
        onSend={(person) => enter.mutate(person)}
      />
    </Door>
  )
}

/** A class is joined by the code its teacher gives out. */
export function CodePage({ onDone }: { onDone: () => void }) {
  const enter = useComeIn((person: NewPerson & { code: string }) => call('POST', '/api/join', { body: person }), onDone)
  return (
    <Door lead="Your teacher’s class has a code of eight signs. It lets you in while the class is open.">
      <NewPersonForm
        action="Join the class"
        withCode
        busy={enter.isPending}
        problem={enter.error}
        onSend={(person) => enter.mutate(person)}
      />
      <a href="/">I have an account</a>
    </Door>
  )
}
