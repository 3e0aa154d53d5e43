import { fireEvent, screen, waitFor } from '@testing-library/react'
import { expect, it, vi } from 'vitest'
import { serve, showOnBench, tune } from '../../testing/page'
import HandoutStation from './HandoutStation'

const version = { id: 'v1', number: 3, saved_at: '2026-05-09T12:00:00Z', refused: false }

it('saves what is on the bench before it exports it', async () => {
  const went = vi.fn()
  vi.stubGlobal('location', { ...window.location, assign: went })
  serve({ 'GET breakdowns/b1/versions': { items: [], next: null } })
  const { store } = showOnBench(<HandoutStation />)
  store.change((d) => ({ ...d, notes: 'lean on beat 2' }))
  fireEvent.click(screen.getByText('Export MIDI'))
  await waitFor(() => expect(went).toHaveBeenCalledWith('/api/breakdowns/b1/export/midi'))
  expect(store.getState().save.status).toBe('saved')
})

it('goes back to a version, and undo comes back from it', async () => {
  serve({
    'GET breakdowns/b1/versions': { items: [version], next: null },
    'GET breakdowns/b1/versions/v1': { ...version, document: { ...tune, title: 'Ebb Table' } },
  })
  const { store } = showOnBench(<HandoutStation />)
  fireEvent.click(await screen.findByText('Go back to it'))
  await waitFor(() => expect(store.getState().document.title).toBe('Ebb Table'))
  store.undo()
  expect(store.getState().document.title).toBe('Tide Table')
})

it('shows a student neither versions nor a way to write, and exports all the same', () => {
  serve({})
  showOnBench(<HandoutStation />, { mine: false })
  expect(screen.queryByText('Versions')).toBeNull()
  expect((screen.getByLabelText('Notes') as HTMLTextAreaElement).disabled).toBe(true)
  expect(screen.getByText('Export JSON')).toBeTruthy()
})
