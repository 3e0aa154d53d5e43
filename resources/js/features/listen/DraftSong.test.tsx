import { fireEvent, screen } from '@testing-library/react'
import { expect, it, vi } from 'vitest'
import { key, showOnBench, tune } from '../../testing/page'
import type { Sketch } from '../../api/types'
import { DraftSong } from './DraftSong'

vi.mock('../../audio/band', () => import('../../testing/silentBand'))

const sketch: Sketch = {
  key: 'G major',
  key_given: false,
  remarks: ['What begins here keeps no beat.'],
  chords: [],
  parts: [
    { what: 'Tempo', says: '96 bpm in 4/4', sure: 0.9, why: 'The strokes lie within 6 ms of its slots.' },
    { what: 'Chords', says: 'G Em', sure: 0.42, why: '1 of 2 are marked unsure, with what else they may be.' },
  ],
  document: { ...tune, start: { ...tune.start, tempo: 96, key: 'G major' } },
  chords_alone: { document: { ...tune, start: { ...tune.start, key: 'G major' } } },
}
const alone = { company: 'alone', key: null } as const

it('says of each thing how sure it is, and drafts all of it in one press', async () => {
  const { store, setTempo } = showOnBench(<DraftSong sketch={sketch} problem={null} harmony={alone} onHarmony={vi.fn()} />)
  expect(screen.getByLabelText('42 % sure')).toBeTruthy()
  expect(screen.getByText('What begins here keeps no beat.')).toBeTruthy()
  key('Enter')
  expect([store.getState().document.start.tempo, store.getState().document.start.key]).toEqual([96, 'G major'])
  expect(setTempo).toHaveBeenCalledWith(96)
  expect(await screen.findByText(/Drafted/)).toBeTruthy()
})

it('takes form and chords alone, and leaves the tempo', () => {
  const { store } = showOnBench(<DraftSong sketch={sketch} problem={null} harmony={alone} onHarmony={vi.fn()} />)
  fireEvent.click(screen.getByText('Form and chords only'))
  expect([store.getState().document.start.tempo, store.getState().document.start.key]).toEqual([120, 'G major'])
})

it('is told who has the bass and which key it is, and says why nothing can be drafted', () => {
  const onHarmony = vi.fn()
  showOnBench(<DraftSong sketch={undefined} problem="This recording has one bar." harmony={alone} onHarmony={onHarmony} />)
  fireEvent.change(screen.getByLabelText('Who has the bass'), { target: { value: 'with-bass' } })
  fireEvent.change(screen.getByLabelText('Key'), { target: { value: 'D minor' } })
  expect(onHarmony.mock.calls).toEqual([[{ company: 'with-bass', key: null }], [{ company: 'alone', key: 'D minor' }]])
  expect(screen.getByRole('alert').textContent).toContain('one bar')
})
