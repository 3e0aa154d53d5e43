import { fireEvent, screen, waitFor } from '@testing-library/react'
import { beforeEach, expect, it, vi } from 'vitest'
import { callsTo, serve, show } from '../../testing/page'
import { useNeckView } from '../../ui/neckView'
import { WORDS } from './glossary'
import { Shortcuts } from './Shortcuts'

const person = (left: boolean, high: boolean) => ({ name: 'Maren', role: 'teacher', neck: { left_handed: left, high_on_top: high } })
beforeEach(() => useNeckView.setState({ left_handed: false, high_on_top: false }))

it('explains each word once, in the order of the alphabet', () => {
  const words = WORDS.map(([word]) => word)
  expect(words).toEqual([...new Set(words)].sort((a, b) => a.localeCompare(b)))
  show(<Shortcuts open onClose={vi.fn()} />)
  fireEvent.click(screen.getByText('Words'))
  expect(screen.getAllByRole('definition')).toHaveLength(WORDS.length)
})

it('turns the neck at once and keeps it with the person', async () => {
  serve({ 'PUT session/neck': person(true, false) })
  show(<Shortcuts open onClose={vi.fn()} />)
  fireEvent.click(screen.getByText('Your neck'))
  const nut = () => document.querySelector('.mini-neck .nut')?.getAttribute('x1')
  const before = nut()
  fireEvent.click(screen.getByRole('switch', { name: /Left-handed/ }))
  expect(nut()).not.toBe(before)
  await waitFor(() => expect(callsTo('PUT session/neck')).toEqual([{ left_handed: true, high_on_top: false }]))
})

it('turns it back, and says so, where it could not be kept', async () => {
  serve({ 'PUT session/neck': [422, { message: 'Gravik is being mended. Try again in a minute.' }] })
  show(<Shortcuts open onClose={vi.fn()} />)
  fireEvent.click(screen.getByText('Your neck'))
  fireEvent.click(screen.getByRole('switch', { name: /highest string/ }))
  await screen.findByText('Gravik is being mended. Try again in a minute.')
  expect(useNeckView.getState().high_on_top).toBe(false)
})
