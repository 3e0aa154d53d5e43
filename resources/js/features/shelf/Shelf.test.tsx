import { fireEvent, screen, waitFor } from '@testing-library/react'
import { expect, it, vi } from 'vitest'
import type { BreakdownCard } from '../../api/types'
import { asked, callsTo, key, serve, show, tune } from '../../testing/page'
import Shelf from './Shelf'

vi.mock('../../audio/band', () => import('../../testing/silentBand'))

const card = (id: string, title: string, part: Partial<BreakdownCard> = {}): BreakdownCard => ({
  id,
  title,
  genre: 'Shuffle',
  key: 'D minor',
  meter: '4/4',
  tempo: 120,
  feel: 'straight',
  revision: 3,
  updated_at: '2026-05-09T12:00:00Z',
  mine: true,
  takes: 0,
  sketch: { beats: 4, beats_a_bar: 4, p: 0.5, strokes: [{ at: 0, slot: 0, direction: 'down', beats: 0, kind: 'ring', accent: 1 }] },
  ...part,
})
const teacher = { name: 'Maren', role: 'teacher' }
const page = (...items: unknown[]) => ({ items, next: null, total: items.length })
const shelf = {
  'GET session': teacher,
  'GET breakdowns': page(card('a', 'Customs Shed'), card('b', 'Dry Dock', { tempo: 140 })),
  'GET breakdowns/a/takes': page(),
  'GET breakdowns/b/takes': page(),
}

it('walks by arrow keys and opens with one key', async () => {
  serve(shelf)
  show(<Shelf />)
  await screen.findByRole('button', { name: /Customs Shed/ })
  key('ArrowRight')
  await waitFor(() => expect(screen.getByRole('button', { name: /Dry Dock/ }).getAttribute('aria-pressed')).toBe('true'))
  key('Enter')
  await screen.findByText('on the bench')
})

it('renames with the revision it read, so that a newer save is not overwritten', async () => {
  serve({
    ...shelf,
    'GET breakdowns/a': { id: 'a', revision: 7, updated_at: '', mine: true, document: tune },
    'PUT breakdowns/a': { id: 'a' },
  })
  show(<Shelf />)
  fireEvent.click(await screen.findByText('Rename'))
  fireEvent.change(await screen.findByLabelText('New title'), { target: { value: '  Low Water  ' } })
  fireEvent.click(document.querySelector('.ant-modal .ant-btn-primary') as Element)
  await waitFor(() =>
    expect(callsTo('PUT breakdowns/a')).toEqual([{ document: { ...tune, title: 'Low Water' }, revision: 7, sitting: 'shelf' }]),
  )
})

it('says what went wrong when something cannot be deleted, and leaves it there', async () => {
  serve({ ...shelf, 'DELETE breakdowns/a': [403, { message: 'This belongs to somebody else.' }] })
  show(<Shelf />)
  fireEvent.click(await screen.findByText('Delete'))
  await screen.findByText('This belongs to somebody else.')
  expect(screen.getByRole('button', { name: /Customs Shed/ })).toBeTruthy()
})

it.each([
  ['teacher', 'Make the first breakdown'],
  ['student', 'Your teacher puts breakdowns here for you.'],
])('says on an empty shelf what to do: %s', async (role, words) => {
  serve({ 'GET session': { name: 'X', role }, 'GET breakdowns': page() })
  show(<Shelf />)
  await screen.findByText(words, { exact: false })
})

it('says that the shelf cannot be reached', async () => {
  serve({ 'GET session': teacher, 'GET breakdowns': [500, {}] })
  show(<Shelf />)
  expect((await screen.findByRole('alert')).textContent).toContain('Something went wrong on our side')
})

it('refuses files that are too large or no JSON, before anything is sent', async () => {
  serve(shelf)
  show(<Shelf />)
  const field = (await screen.findByLabelText('Breakdown file')) as HTMLInputElement
  const choose = (file: File) => fireEvent.change(field, { target: { files: [file] } })
  const large = new File(['x'], 'opera.mid')
  Object.defineProperty(large, 'size', { value: 40 * 1024 * 1024 })
  choose(large)
  await screen.findByText(/“opera.mid” is 40.0 MB/)
  choose(new File(['not json'], 'letter.json'))
  await screen.findByText(/“letter.json” is not a breakdown/)
  expect(asked.some((each) => each.call === 'POST breakdowns')).toBe(false)
})

it('puts an imported file on the shelf and chooses it', async () => {
  serve({
    ...shelf,
    'POST breakdowns': (body: unknown) => [
      201,
      { id: 'b', revision: 1, updated_at: '', mine: true, document: (body as { document: unknown }).document },
    ],
  })
  show(<Shelf />)
  fireEvent.change(await screen.findByLabelText('Breakdown file'), {
    target: { files: [new File([JSON.stringify(tune)], 'tide.gravik.json')] },
  })
  await screen.findByText('“Tide Table” is on the shelf.')
  expect(callsTo('POST breakdowns')).toMatchObject([{ document: tune }])
  await waitFor(() => expect(screen.getByRole('button', { name: /Dry Dock/ }).getAttribute('aria-pressed')).toBe('true'))
})

it('shows the moves that were recorded, and forgets one', async () => {
  let kept = [{ id: 'm1', name: 'Low wave', meter: '4/4' }]
  serve({
    ...shelf,
    'GET moves': () => [200, kept],
    'DELETE moves/m1': () => {
      kept = []
      return [204, null]
    },
  })
  show(<Shelf />)
  fireEvent.click(await screen.findByRole('button', { name: 'Moves' }))
  fireEvent.click(await screen.findByRole('button', { name: 'Forget Low wave' }))
  await screen.findByText(/No moves yet/)
})

it('shows a draft of a score with what was not read, and keeps it only when asked', async () => {
  serve({
    ...shelf,
    'POST drafts?name=tide.musicxml': { document: tune, read: ['8 bars'], unread: ['the part “Voice”, 3 notes'] },
    'POST compute/handout': { pages: ['<svg role="img" aria-label="page 1"></svg>'], needs: 1, offers: [] },
    'POST breakdowns': [201, { id: 'b', revision: 1, updated_at: '', mine: true, document: tune }],
  })
  show(<Shelf />)
  fireEvent.change(await screen.findByLabelText('Breakdown file'), {
    target: { files: [new File(['<score-partwise/>'], 'tide.musicxml')] },
  })
  await screen.findByText('A draft of “tide.musicxml”')
  await screen.findByText('the part “Voice”, 3 notes')
  await screen.findByLabelText('page 1')
  expect(screen.getByText('<score-partwise/>')).toBeTruthy()
  expect(callsTo('POST breakdowns')).toEqual([])
  fireEvent.click(screen.getByRole('button', { name: 'Put it on the shelf' }))
  await screen.findByText('“Tide Table” is on the shelf.')
  expect(callsTo('POST breakdowns')).toMatchObject([{ document: tune }])
})
