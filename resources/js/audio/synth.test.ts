import { execFileSync } from 'node:child_process'
import { describe, expect, it } from 'vitest'
import { drum, midiToHz, pluck, tone, type DrumName, type Pluck } from './synth'

const RATE = 44100

const make = (kind: Pluck['kind'], direction: Pluck['direction'] = 'down', pitch = 57) => pluck({ kind, direction, pitch }, RATE)

const rms = (sound: Float32Array, from: number, to: number): number => {
  const part = sound.slice(Math.floor(from * RATE), Math.floor(to * RATE))
  return Math.sqrt(part.reduce((sum, value) => sum + value * value, 0) / Math.max(1, part.length))
}

const db = (ratio: number): number => 20 * Math.log10(ratio)

/** Seconds until the level stays 20 dB below its peak. */
function soundsFor(sound: Float32Array): number {
  const blocks = Array.from({ length: Math.floor(sound.length / 441) }, (_, index) => rms(sound, index / 100, (index + 1) / 100))
  const peak = Math.max(...blocks)
  return (blocks.findLastIndex((level) => level > peak / 10) + 1) / 100
}

/** The frequency at which a sound agrees best with itself a period later, found by autocorrelation and a parabola. */
function pitchOf(sound: Float32Array, near: number): number {
  const part = sound.slice(Math.floor(0.1 * RATE), Math.floor(0.35 * RATE))
  const agreement = (lag: number) => {
    let sum = 0
    for (let i = 0; i + lag < part.length; i++) sum += (part[i] ?? 0) * (part[i + lag] ?? 0)
    return sum / (part.length - lag)
  }
  const middle = Math.round(RATE / near)
  let best = middle
  for (let lag = Math.floor(middle * 0.94); lag <= Math.ceil(middle * 1.06); lag++) if (agreement(lag) > agreement(best)) best = lag
  const [a, b, c] = [agreement(best - 1), agreement(best), agreement(best + 1)]
  return RATE / (best + (a - c) / (2 * (a - 2 * b + c)))
}

const SIZE = 4096
const COSINES = Float64Array.from({ length: SIZE }, (_, i) => Math.cos((2 * Math.PI * i) / SIZE))

/** The centre of the spectrum of the first tenth of a second, in Hz: what the ear calls bright. */
function brightness(sound: Float32Array): number {
  const windowed = COSINES.map((cosine, i) => (sound[i] ?? 0) * (0.5 - 0.5 * cosine))
  let weighted = 0
  let whole = 0
  for (let bin = 1; bin < SIZE / 2; bin += 1) {
    let re = 0
    let im = 0
    for (let i = 0; i < SIZE; i++) {
      const value = windowed[i] ?? 0
      re += value * (COSINES[(bin * i) % SIZE] ?? 0)
      im += value * (COSINES[(bin * i + SIZE / 4) % SIZE] ?? 0)
    }
    weighted += (re * re + im * im) * ((bin * RATE) / SIZE)
    whole += re * re + im * im
  }
  return weighted / whole
}

describe('a plucked string', () => {
  it.each([40, 45, 50, 57, 64, 72])('sounds at its pitch, within seven cents of what its stretched partials repeat at: %i', (pitch) => {
    expect(Math.abs(1200 * Math.log2(pitchOf(make('ring', 'down', pitch), midiToHz(pitch)) / midiToHz(pitch)))).toBeLessThan(7)
  })

  it('begins at once', () => {
    for (const kind of ['ring', 'palm-mute', 'chuck', 'bass'] as const) {
      const sound = make(kind)
      const peak = sound.reduce((most, value) => Math.max(most, Math.abs(value)), 0)
      expect(sound.findIndex((value) => Math.abs(value) > peak / 10) / RATE).toBeLessThan(0.004)
    }
  })

  it('ends without a click and never clips', () => {
    for (const kind of ['ring', 'palm-mute', 'chuck', 'bass'] as const) {
      const sound = make(kind)
      expect(Math.abs(sound.at(-1) ?? 1)).toBeLessThan(0.01)
      expect(sound.every((value) => Math.abs(value) <= 1 && Number.isFinite(value))).toBe(true)
    }
  })

  it('is the same each time it is made', () => {
    expect(make('ring')).toEqual(make('ring'))
  })
})

describe('kinds of stroke can be told apart', () => {
  it('by length: ringing, palm-muted, dead', () => {
    const [ring, palm, chuck] = [soundsFor(make('ring')), soundsFor(make('palm-mute')), soundsFor(make('chuck'))]
    expect(ring).toBeGreaterThan(0.8)
    expect(palm).toBeLessThan(ring / 2)
    expect(palm).toBeGreaterThan(0.06)
    expect(chuck).toBeLessThan(0.06)
  })

  it('by pitch: a palm-mute has one, a chuck has none', () => {
    const periodicity = (sound: Float32Array) => {
      const lag = Math.round(RATE / midiToHz(57))
      const part = sound.slice(0, 3 * lag)
      const own = part.slice(0, 2 * lag).reduce((sum, value) => sum + value * value, 0)
      const shifted = part.slice(0, 2 * lag).reduce((sum, value, index) => sum + value * (part[index + lag] ?? 0), 0)
      return shifted / own
    }
    expect(periodicity(make('palm-mute'))).toBeGreaterThan(0.6)
    expect(periodicity(make('chuck'))).toBeLessThan(0.35)
  })

  it('by direction: an up stroke is brighter than a down stroke', () => {
    for (const kind of ['ring', 'palm-mute', 'chuck'] as const) {
      for (const pitch of [45, 57, 69])
        expect(brightness(make(kind, 'up', pitch))).toBeGreaterThan(1.2 * brightness(make(kind, 'down', pitch)))
    }
  })

  it('by level: none drowns the others', () => {
    const peaks = (['ring', 'palm-mute', 'chuck'] as const).map((kind) =>
      make(kind).reduce((most, value) => Math.max(most, Math.abs(value)), 0),
    )
    expect(Math.abs(db(Math.max(...peaks) / Math.min(...peaks)))).toBeLessThan(6)
  })
})

describe('the kit', () => {
  it.each<DrumName>([
    'kick',
    'rim',
    'snare',
    'hat',
    'ride',
    'shaker',
    'click',
    'click-high',
    'count-bar',
    'count-beat',
    'count-division',
    'count-finer',
  ])('has a %s that starts at once, dies away and does not clip', (name) => {
    const sound = drum(name, RATE)
    expect(sound.every((value) => Math.abs(value) <= 1)).toBe(true)
    expect(rms(sound, 0, 0.01)).toBeGreaterThan(4 * rms(sound, sound.length / RATE - 0.01, sound.length / RATE))
  })

  it('has a kick that is low and a hat that is high', () => {
    const counts = (['count-finer', 'count-division', 'count-beat', 'count-bar'] as const).map((name) => brightness(drum(name, RATE)))
    expect(counts).toEqual([...counts].sort((a, b) => a - b))
    expect(brightness(drum('kick', RATE))).toBeLessThan(400)
    expect(brightness(drum('hat', RATE))).toBeGreaterThan(4000)
  })
})

/** The first tenth of a second as the core renders it. */
function ofTheCore(make: string): number[] {
  const code = `require 'vendor/autoload.php'; echo json_encode(array_slice((${make}), 0, 4410));`
  return JSON.parse(execFileSync('php', ['-d', 'memory_limit=1G', '-r', code], { maxBuffer: 1e7 }).toString()) as number[]
}

describe('what the browser plays', () => {
  it.each([
    [`new Gravik\\Simulation\\StringSound(44100)`, `->of(40, 'ring', false)`, () => make('ring', 'down', 40)],
    [`new Gravik\\Simulation\\StringSound(44100)`, `->of(64, 'ring', true)`, () => make('ring', 'up', 64)],
    [`new Gravik\\Simulation\\StringSound(44100)`, `->of(45, 'palm-mute', false)`, () => make('palm-mute', 'down', 45)],
    [`new Gravik\\Simulation\\StringSound(44100)`, `->of(33, 'bass', false)`, () => make('bass', 'down', 33)],
    [`new Gravik\\Simulation\\ToneSound(44100)`, `->of(60, 'keys')`, () => tone({ pitch: 60, voice: 'keys' }, RATE)],
    ...(['horn', 'organ', 'accordion', 'voice', 'bow'] as const).map((voice): [string, string, () => Float32Array] => [
      `new Gravik\\Simulation\\ToneSound(44100)`,
      `->of(67, '${voice}')`,
      () => tone({ pitch: 67, voice }, RATE),
    ]),
  ])('is what the core renders: %s%s', (sound, call, play) => {
    const core = ofTheCore(`(${sound})${call}`)
    const here = play()
    expect(Math.max(...core.map((sample, i) => Math.abs(sample - (here[i] ?? 0))))).toBeLessThan(0.002)
  })

  it('has low strings darker than high ones, and a bass darker than both', () => {
    // After the pick's click, which is over everything.
    const ringing = (kind: Pluck['kind'], pitch: number) => brightness(make(kind, 'down', pitch).slice(0.02 * RATE))
    const [low, middle, high] = [40, 55, 64].map((pitch) => ringing('ring', pitch))
    expect(low).toBeLessThan(middle ?? 0)
    expect(middle).toBeLessThan(high ?? 0)
    expect(ringing('bass', 33)).toBeLessThan((low ?? 0) / 2)
  })
})
