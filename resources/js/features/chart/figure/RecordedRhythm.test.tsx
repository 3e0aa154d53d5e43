import { fireEvent, screen } from '@testing-library/react'
import { expect, it, vi } from 'vitest'
import { serve, showOnBench } from '../../../testing/page'
import type { Listened } from '../../listen/listened'
import { RecordedRhythm } from './RecordedRhythm'

const stroke = { t: 0, direction: null, muted: false, level_db: 0, length_s: null }
const listened: Listened = {
  name: 'pier.wav',
  seconds: 8,
  outline: [],
  tuning: null,
  remark: null,
  strokes: [stroke],
  beats: [],
  told: {},
  notes: null,
  harmony: { company: 'alone', key: null },
}

it('takes the rhythm of the bars of the recording that are asked for', async () => {
  serve({ 'POST compute/listen': { counted: ['1 & 2 (&)', '1 2', '1 (&) 2'] } })
  const onTake = vi.fn()
  showOnBench(<RecordedRhythm listened={listened} onTake={onTake} />)
  await screen.findByText('1 & 2 (&)')
  fireEvent.change(screen.getByLabelText('Bar of the recording'), { target: { value: '2' } })
  fireEvent.change(screen.getByLabelText('How many bars'), { target: { value: '2' } })
  fireEvent.click(screen.getByText('Take the rhythm of bars 2–3'))
  expect(onTake).toHaveBeenCalledWith('1 2 | 1 (&) 2')
})
