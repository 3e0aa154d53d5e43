import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { beforeEach, expect, it } from 'vitest'
import { callsTo, serve, show, type Server } from '../../testing/page'
import { BandDialog } from './BandDialog'
import { WorkDialog } from './WorkDialog'

const row = (id: number, name: string) => ({ id, name, on: null, sittings: [], stuck: null, minutes: 0, late: 0, new: 0, last: null })
const students = [row(7, 'Student A'), row(8, 'Student B')]
const group = { id: 'g1', name: 'Night Ferry', code: null, members: [7, 8], plays: [{ student: 7, instrument: 'guitar' }] }
const job = (member: number, words: string, plays: boolean) => ({ member, words, plays })
const server: Server = {
  'GET choices': {
    instruments: [
      { slug: 'drums', words: 'drums' },
      { slug: 'bass', words: 'bass' },
      { slug: 'guitar', words: 'guitar' },
    ],
    listening: {
      seats: [{ slug: 'room', words: 'the room' }],
      gains: [{ gain_db: null, words: 'without the guitar' }],
      verdicts: [
        { slug: 'too-soft', words: 'too soft' },
        { slug: 'too-loud', words: 'too loud' },
      ],
    },
  },
  'GET class': students,
  'GET groups': [group],
  'GET breakdowns': { items: [{ id: 'b1', title: 'Tide Table' }], next: null, total: 1 },
  'GET groups/g1/jobs?breakdown=b1': [
    { pass: '1', name: '', lead: '', jobs: [job(7, 'guitar, active', true), job(8, 'counts aloud', false)] },
    { pass: '2', name: 'Solo', lead: 'clarinet', jobs: [job(7, 'guitar, active', true), job(8, 'turns the pages', false)] },
  ],
  'GET groups/g1/balances?breakdown=b1': [
    { id: 'n1', heard_by: 'Student B', seat: 'room', gain_db: null, verdict: 'too-soft', on: '2026-10-09' },
  ],
  'POST groups/g1/balances': [201, { id: 'n2' }],
  'DELETE groups/g1/balances/n1': [204, null],
  'PUT groups/g1': group,
}

beforeEach(() => serve(server))

async function withTune() {
  show(<BandDialog onClose={() => undefined} />)
  fireEvent.mouseDown(await screen.findByLabelText('The tune'))
  fireEvent.click(await screen.findByText('Tide Table'))
  await screen.findByText('counts aloud')
}

it('says who does what in each pass, and marks who does not play', async () => {
  await withTune()
  const idle = screen.getByRole('row', { name: /counts aloud/ })
  expect(within(idle).getByText('counts aloud').className).toBe('spared')
  within(idle).getByText('turns the pages')
  screen.getByText('Solo')
  screen.getByText('clarinet')
})

it('notes what somebody heard, and takes a note back', async () => {
  await withTune()
  screen.getByText('2026-10-09')
  await screen.findByRole('row', { name: /Student B from the room without the guitar too soft/ })
  fireEvent.click(screen.getByText('too loud'))
  await waitFor(() =>
    expect(callsTo('POST groups/g1/balances')).toEqual([
      { breakdown: 'b1', heard_by: 7, seat: 'room', gain_db: null, verdict: 'too-loud' },
    ]),
  )
  fireEvent.click(screen.getByLabelText('Take back what Student B heard'))
  await waitFor(() => expect(callsTo('DELETE groups/g1/balances/n1')).toHaveLength(1))
})

it('gives a member another instrument', async () => {
  show(<BandDialog onClose={() => undefined} />)
  const plays = await screen.findByLabelText('What Student B plays')
  await screen.findByText('guitar')
  fireEvent.mouseDown(plays)
  fireEvent.click(await screen.findByText('drums'))
  await waitFor(() => expect(callsTo('PUT groups/g1')).toEqual([{ name: 'Night Ferry', plays: [{ student: 8, instrument: 'drums' }] }]))
})

it('says which grips were made easier for a hand, and gives the teacher’s own when told so', async () => {
  const work = {
    id: 3,
    breakdown: 'b1',
    title: 'Tide Table',
    student: 7,
    revision: 1,
    stages: [],
    reached: 0,
    stage: null,
    stage_name: 'the whole song',
    opens: true,
    due_on: null,
    minutes: 10,
    passed: false,
    eases: true,
    eased: [{ symbol: 'F', why: 'it needs a barre', was: '1 3 3 2 1 1', now: 'x x 3 2 1 1' }],
    differs: [],
  }
  serve({ 'GET assignments?student=7': [200, [work]], 'PUT assignments/3': { ...work, eases: false, eased: [] } })
  show(<WorkDialog student={students[0] as never} onGive={() => undefined} onClose={() => undefined} />)
  await screen.findByText(/Easier for this hand: F as x x 3 2 1 1, not 1 3 3 2 1 1, since it needs a barre/)
  fireEvent.click(screen.getByText('Give my grips'))
  await waitFor(() => expect(callsTo('PUT assignments/3')).toEqual([{ eases: false }]))
})
