import { fireEvent, screen, waitFor } from '@testing-library/react'
import { beforeEach, expect, it, vi } from 'vitest'
import { callsTo, key, serve, showOnBench, tune, type Server } from '../../testing/page'
import HandoutStation from './HandoutStation'

const version = { id: 'v1', number: 3, saved_at: '2026-05-09T12:00:00Z', refused: false }
const keeps = { chords: 'kept', grips: 'kept', strokes: 'bent', muting: 'out', swing: 'kept', passes: 'bent', stages: 'out' }
const server: Server = {
  'GET breakdowns/b1/versions': { items: [], next: null },
  'GET choices': { tunings: [], exports: [{ format: 'midi', name: 'Notes', words: 'MIDI', keeps }] },
  'POST compute/losses': { not_kept: ['stroke directions'], heard: [] },
  'POST compute/marks': [{ place: 'tempo', is: 'either', words: 'either is fine', value: '120', other: '126', note: '' }],
  'POST compute/handout': {
    pages: ['<svg><g data-part="chart"><text>Dm</text></g></svg>', '<svg><text>overleaf</text></svg>'],
    parts: [
      { part: 'chart', words: 'Chart', shows: 'sections' },
      { part: 'grips', words: 'Grips', shows: 'degrees' },
    ],
  },
}
beforeEach(() => serve(server))

it('shows the sheet as it will be, leaves a part out, and carries one further up', async () => {
  showOnBench(<HandoutStation />)
  expect(await screen.findByText('2 sides of A4')).toBeTruthy()
  expect(screen.getByText('overleaf')).toBeTruthy()
  fireEvent.click(screen.getByText('Dm'))
  expect(screen.getByText('sections').closest('.sheet-part')?.className).toContain('chosen')
  fireEvent.click(screen.getByRole('checkbox', { name: /Chart/ }))
  await waitFor(() => expect((callsTo('POST compute/handout').at(-1) as { parts: string }).parts).not.toContain('chart'))
  fireEvent.click(screen.getByLabelText('Grips further up'))
  await waitFor(() => expect((callsTo('POST compute/handout').at(-1) as { parts: string }).parts).toMatch(/^grips/))
  expect(screen.getByText(/tempo, 120 or 126/)).toBeTruthy()
})

it('says what a form does not keep before it is taken, and saves what is on the bench first', async () => {
  const went = vi.fn()
  vi.stubGlobal('location', { ...window.location, assign: went })
  const { store } = showOnBench(<HandoutStation />)
  store.change((d) => ({ ...d, notes: 'lean on beat 2' }))
  fireEvent.click(await screen.findByLabelText('Take Notes'))
  expect(await screen.findByText('stroke directions')).toBeTruthy()
  fireEvent.click(screen.getByText('Take it'))
  await waitFor(() => expect(went.mock.calls[0]?.[0]).toContain('/api/breakdowns/b1/export/midi?'))
  expect(store.getState().save.status).toBe('saved')
})

it('prints the sheet by one key', async () => {
  const print = vi.fn()
  vi.stubGlobal('print', print)
  showOnBench(<HandoutStation />)
  await screen.findByText('overleaf')
  key('l')
  expect(print).toHaveBeenCalledOnce()
})

it('goes back to a version, and undo comes back from it', async () => {
  serve({
    ...server,
    'GET breakdowns/b1/versions': { items: [version], next: null },
    'GET breakdowns/b1/versions/v1': { ...version, document: { ...tune, title: 'Ebb Table' } },
  })
  const { store } = showOnBench(<HandoutStation />)
  fireEvent.click(await screen.findByText('Go back to it'))
  await waitFor(() => expect(store.getState().document.title).toBe('Ebb Table'))
  store.undo()
  expect(store.getState().document.title).toBe('Tide Table')
})

it('shows a student neither versions nor a way to write, and the sheet all the same', async () => {
  showOnBench(<HandoutStation />, { mine: false })
  expect(await screen.findByText('overleaf')).toBeTruthy()
  expect(screen.queryByText('Versions')).toBeNull()
  expect((screen.getByLabelText('Notes') as HTMLTextAreaElement).disabled).toBe(true)
})
