import { render, screen } from '@testing-library/react'
import { act } from 'react'
import { expect, it, vi } from 'vitest'
import { key } from '../../testing/page'
import { TapBeats } from './TapBeats'

it('plays the recording, takes beats at its own seconds, and stops it when that is all', async () => {
  let at: number | null = null
  const play = vi.fn()
  const onTapped = vi.fn()
  const { unmount } = render(<TapBeats recording="pier.wav" play={play} now={() => at} onTapped={onTapped} onClose={vi.fn()} />)
  expect(play).toHaveBeenCalledWith(true)
  await act(async () => key('b'))
  expect(screen.getByRole('status').textContent).toContain('pier.wav')
  for (const second of [0.5, 1, 1.5, 2.00004]) {
    at = second
    await act(async () => key('b'))
  }
  expect(screen.getByRole('status').textContent).toBe('4 beats')
  await act(async () => key('Enter'))
  expect(onTapped).toHaveBeenCalledWith([0.5, 1, 1.5, 2])
  unmount()
  expect(play).toHaveBeenLastCalledWith(false)
})
