import { act, fireEvent, screen } from '@testing-library/react'
import { expect, it, vi } from 'vitest'
import { serve, showOnBench } from '../../testing/page'
import { HumIn } from './HumIn'

vi.mock('../../audio/band', () => import('../../testing/silentBand'))
// A microphone that hands over its sound as soon as it is opened.
vi.mock('../../audio/useMicrophone', () => ({
  useMicrophone: (onTake: (sound: Blob, firstBeat: number) => void) => ({
    status: 'idle',
    level: () => 0,
    heard: [],
    start: async () => onTake(new Blob(['hum'], { type: 'audio/wav' }), 0.4),
    stop: vi.fn(),
  }),
}))

it('hands over what was hummed as it is typed, in the meter, key and tempo of the bench', async () => {
  serve({ 'POST compute/hummed?first_beat=0.4&tempo=120&meter=4%2F4&key=D+minor': { melody: 'D4 F4 | A4' } })
  const onMelody = vi.fn()
  showOnBench(<HumIn onMelody={onMelody} />)
  await act(async () => fireEvent.click(screen.getByText('Hum it in')))
  expect(onMelody).toHaveBeenCalledWith('D4 F4 | A4')
})

it('says why nothing was heard', async () => {
  serve({ 'POST compute/hummed?first_beat=0.4&tempo=120&meter=4%2F4&key=D+minor': [422, { message: 'No melody can be heard in this.' }] })
  showOnBench(<HumIn onMelody={vi.fn()} />)
  await act(async () => fireEvent.click(screen.getByText('Hum it in')))
  expect((await screen.findByRole('alert')).textContent).toContain('No melody')
})
