import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { onSoundGone, sounds } from './context'

/** Stands in for a device that sounds, that never begins to, or whose sound goes away. */
const device = vi.hoisted(() => ({ starts: true, turns: (() => undefined) as () => void, state: 'suspended' }))
vi.stubGlobal(
  'AudioContext',
  class {
    get state() {
      return device.state
    }
    addEventListener = (_: string, listener: () => void) => void (device.turns = listener)
    resume = () => {
      if (!device.starts) return new Promise(() => undefined)
      device.state = 'running'
      device.turns()
      return Promise.resolve()
    }
  },
)
const gone = vi.fn()
let leave: () => void = () => undefined

beforeEach(() => {
  vi.useFakeTimers()
  leave = onSoundGone(gone)
})
afterEach(() => {
  leave()
  gone.mockClear()
  vi.useRealTimers()
})

it('tells once when the sound goes away, and sounds again when it is back', async () => {
  expect(await sounds()).toBe(true)
  expect(gone).not.toHaveBeenCalled()
  device.state = 'suspended'
  device.turns()
  expect(gone).toHaveBeenCalledTimes(1)
  expect(await sounds()).toBe(true)
  expect(gone).toHaveBeenCalledTimes(1)
})

it('waits four seconds for a device that never begins to sound, not for ever', async () => {
  Object.assign(device, { starts: false, state: 'suspended' })
  const answer = sounds()
  await vi.advanceTimersByTimeAsync(3900)
  expect(gone).not.toHaveBeenCalled()
  await vi.advanceTimersByTimeAsync(200)
  expect(await answer).toBe(false)
  expect(gone).toHaveBeenCalledTimes(1)
})
