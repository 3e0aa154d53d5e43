import { act, render, screen } from '@testing-library/react'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { Later } from './Later'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

const turn = () => act(() => vi.advanceTimersToNextTimer())

it('draws what stands around it first, and then each part in its turn', () => {
  render(
    <>
      <p>around</p>
      <Later turn={1} until={<p>meanwhile</p>}>
        <p>second</p>
      </Later>
      <Later>
        <p>first</p>
      </Later>
    </>,
  )
  const words = () => [...document.querySelectorAll('p')].map((each) => each.textContent)
  expect(words()).toEqual(['around', 'meanwhile'])
  turn()
  expect(words()).toEqual(['around', 'meanwhile', 'first'])
  turn()
  expect(words()).toEqual(['around', 'second', 'first'])
})

it('keeps what it has drawn, and draws the new at once', () => {
  const shown = render(<Later>one</Later>)
  turn()
  shown.rerender(<Later>two</Later>)
  expect(screen.getByText('two')).toBeTruthy()
})

it('comes no more where it was taken away before its turn', () => {
  render(<Later>one</Later>).unmount()
  expect(vi.getTimerCount()).toBe(0)
})
