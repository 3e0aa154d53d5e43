import { expect, it } from 'vitest'
import { LiveEar, type LiveStroke } from './liveEar'
import { pluck, type Pluck } from './synth'

const RATE = 22050
/** What the microphone's worklet hands over at once. */
const AT_ONCE = 2048
const GRIP = [45, 52, 57, 60]

/** Strums of four strings, 6 ms apart from string to string, each damping what rang before it. */
function strummed(strokes: { t: number; gain: number; kind: Pluck['kind']; up?: boolean }[], seconds: number): Float32Array {
  const out = new Float32Array(Math.round(seconds * RATE))
  strokes.forEach(({ t, gain, kind, up = false }, number) => {
    const until = Math.round((strokes[number + 1]?.t ?? seconds) * RATE)
    ;(up ? [...GRIP].reverse() : GRIP).forEach((pitch, string) => {
      const from = Math.round((t + 0.006 * string) * RATE)
      pluck({ pitch, kind, direction: up ? 'up' : 'down' }, RATE).forEach((value, index) => {
        const at = from + index
        if (at < out.length && at < until + 300) out[at] = (out[at] ?? 0) + 0.4 * gain * value * (at < until ? 1 : 1 - (at - until) / 300)
      })
    })
  })
  return out
}

function sketched(sound: Float32Array): { heard: LiveStroke[]; late: number[] } {
  let heard: LiveStroke[] = []
  const late: number[] = []
  let now = 0
  const ear = new LiveEar(RATE, (strokes) => {
    strokes.slice(heard.length).forEach(({ t }) => late.push(now - t))
    heard = strokes
  })
  for (let at = 0; at < sound.length; at += AT_ONCE) {
    const block = sound.subarray(at, at + AT_ONCE)
    now = 10 + (at + block.length) / RATE
    ear.add(block, 10 + at / RATE, RATE)
  }
  return { heard, late }
}

it('hears every stroke once, light ones and dead ones too, within 15 ms, and says so within 150 ms', () => {
  const played = Array.from({ length: 32 }, (_, slot) => ({
    t: 0.3 + 0.25 * slot + (slot % 2 === 1 ? 0.04 : 0),
    gain: slot % 8 === 2 || slot % 8 === 6 ? 1 : 0.35,
    kind: slot % 8 === 3 ? ('chuck' as const) : ('ring' as const),
    up: slot % 2 === 1,
  }))
  const { heard, late } = sketched(strummed(played, 8.8))
  expect(heard).toHaveLength(played.length)
  heard.forEach(({ t }, index) => expect(Math.abs(t - 10 - (played[index]?.t ?? 0))).toBeLessThan(0.015))
  expect(Math.max(...late)).toBeLessThan(0.15)
})

it('hears nothing in a chord that rings on, nor in hiss', () => {
  const ringing = strummed([{ t: 0.2, gain: 1, kind: 'ring' }], 3)
  expect(sketched(ringing).heard).toHaveLength(1)
  const hiss = new Float32Array(3 * RATE).map((_, index) => 0.0002 * Math.sin(index * index))
  expect(sketched(hiss).heard).toHaveLength(0)
})
