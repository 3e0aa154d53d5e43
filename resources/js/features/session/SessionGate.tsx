import { useQueryClient } from '@tanstack/react-query'
import { useEffect, type ReactNode } from 'react'
import { usePerson } from '../../api/queries'
import { Door } from './Door'
import { useDelivery } from './useDelivery'
import { SignInForm } from './SignIn'
import { signedOut, useSignedOut } from './signedOut'
import { Dialog } from '../../ui/Dialog'
import { useNeckView } from '../../ui/neckView'

/** Shows the app to who is signed in, the sign-in page to who is not, and a sheet over the work when a session ends. */
export function SessionGate({ children }: { children: ReactNode }) {
  const person = usePerson()
  const raised = useSignedOut((state) => state.raised)
  const client = useQueryClient()
  const neck = person.data?.neck
  useEffect(() => {
    if (neck !== undefined) useNeckView.setState(neck)
  }, [neck])
  useDelivery(person.data?.id)
  const done = () => {
    signedOut.clear()
    // All of it: what was refused meanwhile is asked again, and what is still on its way to being refused is called off.
    void client.invalidateQueries()
    window.dispatchEvent(new Event('gravik:signed-in'))
  }
  if (person.isPending) return <p className="loading">Opening the door …</p>
  if (person.data === undefined) return <Door onDone={done} />
  return (
    <>
      {children}
      <Dialog open={raised} title="Sign in again" footer={null} closable={false} mask={{ closable: false }} width={380}>
        <p>Your session has ended. Your work is kept; it is saved as soon as you are back.</p>
        <SignInForm onDone={done} />
      </Dialog>
    </>
  )
}
