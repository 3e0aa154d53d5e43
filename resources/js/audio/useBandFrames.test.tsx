import { cleanup, render } from '@testing-library/react'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { band } from './band'
import { useBandFrames } from './useBandFrames'

vi.mock('./band', () => {
  const listeners = new Set<() => void>()
  return {
    band: { playing: false, subscribe: (listener: () => void) => (listeners.add(listener), () => listeners.delete(listener)), listeners },
  }
})

const stage = band as unknown as { playing: boolean; listeners: Set<() => void> }
let frames: FrameRequestCallback[] = []

beforeEach(() => {
  frames = []
  stage.playing = false
  vi.stubGlobal('requestAnimationFrame', (draw: FrameRequestCallback) => frames.push(draw))
  vi.stubGlobal('cancelAnimationFrame', (frame: number) => void frames.splice(frame - 1, 1))
})
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

const drawn = vi.fn()
function Watcher() {
  useBandFrames(drawn)
  return null
}
/** Lets the browser come to its next frame. */
const frame = () => {
  const due = frames.filter(Boolean)
  frames = []
  due.forEach((draw) => draw(0))
}
const change = (playing: boolean) => {
  stage.playing = playing
  stage.listeners.forEach((listener) => listener())
}

it('draws once while nothing plays, then asks for no more frames', () => {
  drawn.mockClear()
  render(<Watcher />)
  frame()
  frame()
  expect(drawn).toHaveBeenCalledTimes(1)
  expect(frames).toEqual([])
})

it('draws every frame while the band plays, and once more when it stops', () => {
  drawn.mockClear()
  render(<Watcher />)
  frame()
  change(true)
  for (let i = 0; i < 5; i++) frame()
  expect(drawn).toHaveBeenCalledTimes(6)
  change(false)
  frame()
  frame()
  expect(drawn).toHaveBeenCalledTimes(7)
})

it('leaves nothing behind when its screen goes', () => {
  const { unmount } = render(<Watcher />)
  unmount()
  expect(stage.listeners.size).toBe(0)
  expect(frames.filter(Boolean)).toEqual([])
})
