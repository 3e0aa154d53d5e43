import { fireEvent, screen, waitFor } from '@testing-library/react'
import { expect, it, vi } from 'vitest'
import { callsTo, serve, show } from '../../testing/page'
import { SessionGate } from './SessionGate'
import { signedOut } from './signedOut'

const person = { name: 'Maren', role: 'teacher' }

const fill = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } })

it('opens the app for who is signed in', async () => {
  serve({ 'GET session': person })
  show(<SessionGate>the app</SessionGate>)
  await screen.findByText('the app')
})

it('asks who is not, says what was wrong, and lets them in at the second try', async () => {
  let answer: unknown = [422, { message: 'This address and password do not belong together.' }]
  serve({ 'GET session': [401, { message: 'signed out' }], 'POST session': () => answer })
  show(<SessionGate>the app</SessionGate>)
  fireEvent.change(await screen.findByLabelText('E-mail'), { target: { value: 'maren@gravik.demo' } })
  fill('Password', 'wrong')
  fireEvent.click(screen.getByRole('button', { name: 'Sign in' }))
  expect((await screen.findByRole('alert')).textContent).toBe('This address and password do not belong together.')
  answer = person
  serve({ 'GET session': person, 'POST session': person })
  fill('Password', 'harbour-light')
  fireEvent.click(await screen.findByRole('button', { name: /Sign in/ }))
  await screen.findByText('the app')
  expect(callsTo('POST session')).toHaveLength(2)
})

it('lays the sign-in over the work when a session ends, and tells the page when it is back', async () => {
  const back = vi.fn()
  window.addEventListener('gravik:signed-in', back)
  serve({ 'GET session': person, 'POST session': person })
  show(<SessionGate>half a chord line</SessionGate>)
  await screen.findByText('half a chord line')
  signedOut.raise()
  await screen.findByText(/Your session has ended/)
  expect(screen.getByText('half a chord line')).toBeTruthy()
  fill('E-mail', 'maren@gravik.demo')
  fill('Password', 'harbour-light')
  fireEvent.click(screen.getByRole('button', { name: 'Sign in' }))
  await waitFor(() => expect(back).toHaveBeenCalledTimes(1))
  window.removeEventListener('gravik:signed-in', back)
})
