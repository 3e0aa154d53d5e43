import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { expect, it, vi } from 'vitest'
import type { BreakdownDocument } from '../../api/types'
import { key, serve, showOnBench, timeline, tune } from '../../testing/page'
import HandoutStation from './HandoutStation'

const chord = (symbol: string) => ({ at: 0, typed: symbol, symbol, root: symbol, ending: '', beats: 4, numeral: 'I', plain_numeral: '1' })
const bar = (written: number, symbol: string) => ({ written, number: written + 1, repeated: false, chords: [chord(symbol)] })

it('prints the song on one page: chords with their nicknames, and what the passes do', async () => {
  const [section] = tune.sections
  const print = vi.fn()
  vi.stubGlobal('print', print)
  serve({
    'GET breakdowns/b1/versions': { items: [], next: null },
    'GET choices': { tunings: [{ slug: 'standard', name: 'Standard', strings: [] }] },
    'POST compute/chart': {
      sections: [{ id: section.id, name: 'A', beats: 4, times: 1, endings: [], problems: [], bars: [bar(0, 'Dm6'), bar(1, 'A7')] }],
    },
  })
  const document = {
    ...tune,
    notes: 'lean on beat 2',
    lines: tune.lines.map((line) => ({
      ...line,
      pins: [
        { at: { section: section.id, ending: null, bar: 1, tick: 0 }, symbol: 'A7', frets: [null, 0, 2, 0, 2, 0], nickname: 'the gull' },
      ],
    })),
  } as unknown as BreakdownDocument
  showOnBench(<HandoutStation />, { document, plays: timeline })
  key('l')
  const sheet = await screen.findByRole('dialog', { name: 'Lead sheet' })
  expect((await within(sheet).findByText('the gull')).closest('.lead-bar')?.textContent).toContain('A7')
  expect(within(sheet).getByText('Standard')).toBeTruthy()
  expect(within(sheet).getByText('lean on beat 2')).toBeTruthy()
  fireEvent.click(within(sheet).getByText(/Print it/))
  expect(print).toHaveBeenCalledOnce()
  key('Escape')
  await waitFor(() => expect(screen.queryByRole('dialog', { name: 'Lead sheet' })).toBeNull())
})
