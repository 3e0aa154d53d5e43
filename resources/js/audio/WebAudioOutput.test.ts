import { beforeEach, expect, it, vi } from 'vitest'
import type { TimedEvent } from '../api/types'
import { WebAudioOutput } from './WebAudioOutput'

/** Stands in for Web Audio: remembers what every node was told. */
const room = vi.hoisted(() => ({ now: 10, sources: [] as Source[], gains: [] as { gain: Param; connected: boolean }[] }))

class Param {
  told: (string | number)[][] = []
  setValueAtTime = (...told: number[]) => this.note('set', told)
  setTargetAtTime = (...told: number[]) => this.note('fade', told)
  linearRampToValueAtTime = (...told: number[]) => this.note('ramp', told)
  cancelScheduledValues = (...told: number[]) => this.note('cancel', told)
  private note(what: string, told: number[]): this {
    this.told.push([what, ...told])
    return this
  }
}

class Node {
  connected = true
  connect = (to: unknown) => to
  disconnect = () => void (this.connected = false)
}

class Source extends Node {
  playbackRate = new Param()
  onended = (): void => undefined
  started: number[] = []
  stops: number[] = []
  constructor() {
    super()
    room.sources.push(this)
  }
  start = (time: number, from: number) => void (this.started = [time, from])
  stop = (time: number) => void this.stops.push(Math.round(1e6 * time) / 1e6)
}

class Gain extends Node {
  gain = new Param()
  constructor() {
    super()
    room.gains.push(this)
  }
}

class Context {
  sampleRate = 8000
  destination = new Node()
  state = 'running'
  resume = async () => undefined
  addEventListener = () => undefined
  decodeAudioData = async () => ({})
  get currentTime() {
    return room.now
  }
}

vi.stubGlobal('AudioContext', Context)
vi.stubGlobal('GainNode', Gain)
vi.stubGlobal('AudioBufferSourceNode', Source)
vi.stubGlobal('DynamicsCompressorNode', Node)
vi.stubGlobal('IIRFilterNode', Node)
vi.stubGlobal(
  'AudioBuffer',
  class {
    copyToChannel = () => undefined
  },
)

beforeEach(() => Object.assign(room, { now: 10, sources: [], gains: [] }))

const string = (more: Partial<TimedEvent> = {}): TimedEvent =>
  ({ part: 'guitar', kind: 'ring', t: 0, dur: 0.5, pitch: 57, velocity: 0.6, string: 3, fret: 2, direction: 'down', ...more }) as TimedEvent

/** The gain right behind a source; the first four of an output are the page's own: loudness, about the limiter, the room. */
const gainOf = (source: number) => room.gains[room.gains.length - room.sources.length + source]?.gain.told

it('starts a string at its moment and loudness, and lets it go at its end', async () => {
  const output = new WebAudioOutput()
  await output.resume()
  output.play(string(), 12)
  expect(room.sources[0]?.started).toEqual([12, 0])
  expect(room.sources[0]?.stops).toEqual([12.56])
  expect(gainOf(0)).toEqual([
    ['set', 0.6, 12],
    ['cancel', 12.5],
    ['fade', 0, 12.5, 0.012],
  ])
})

it('ends a string where it is struck again, and never lets it ring on for that', async () => {
  const output = new WebAudioOutput()
  await output.resume()
  output.play(string({ dur: 2 }), 12)
  output.play(string(), 12.25)
  output.play(string(), 14)
  expect(room.sources[0]?.stops).toEqual([14.06, 12.31])
  // It had ended at 12.75 already.
  expect(room.sources[1]?.stops).toEqual([12.81])
})

it('lets other strings and other parts ring on', async () => {
  const output = new WebAudioOutput()
  await output.resume()
  output.play(string(), 12)
  output.play(string({ string: 2 }), 12.1)
  output.play(string({ part: 'bass', kind: 'bass', string: undefined }), 12.1)
  expect(room.sources[0]?.stops).toEqual([12.56])
})

it('chokes a dead stroke at once and leaves a drum to sound as long as it sounds', async () => {
  const output = new WebAudioOutput()
  await output.resume()
  output.play(string({ kind: 'chuck', pitch: null, dur: 0.05 }), 12)
  output.play(string({ part: 'drums', kind: 'drum', pitch: 36, string: undefined }), 12)
  expect(room.sources.map((source) => source.stops)).toEqual([[12.062], []])
})

it('bends a string as its glide says', async () => {
  const output = new WebAudioOutput()
  await output.resume()
  output.play(
    string({
      glide: [
        [0, -2],
        [0.1, 0],
      ],
    }),
    12,
  )
  expect(room.sources[0]?.playbackRate.told).toEqual([
    ['set', 2 ** (-2 / 12), 12],
    ['ramp', 1, 12.1],
  ])
})

it('falls silent at a stop, and what is played after it is heard again', async () => {
  const output = new WebAudioOutput()
  await output.resume()
  const before = room.gains[3]
  output.play(string(), 12)
  output.silence()
  expect(before?.gain.told).toEqual([['fade', 0, 10, 0.008]])
  output.play(string(), 13)
  expect(room.gains).toHaveLength(7)
  expect(room.sources[0]?.stops).toEqual([12.56])
})

it('brings the ceiling down, and leaves what is soft as it is', async () => {
  const output = new WebAudioOutput()
  await output.resume()
  output.setCeiling(-12)
  const told = (gain: number): number => Number(room.gains[gain]?.gain.told[0]?.[1])
  const [raised, lowered] = [told(1), told(2)]
  expect(lowered / 10 ** (-1.7 / 20)).toBeCloseTo(10 ** (-12 / 20), 9)
  expect(raised * lowered).toBeCloseTo(10 ** (-1.7 / 20), 9)
})

it('follows the loudness that is set, within what there is', async () => {
  const output = new WebAudioOutput()
  await output.resume()
  output.setLevel(0.5)
  output.setLevel(7)
  expect(room.gains[0]?.gain.told).toEqual([
    ['fade', 0.35, 10, 0.004],
    ['fade', 0.7, 10, 0.004],
  ])
})

it('begins a recording where it would be by now, if its moment has passed', async () => {
  const output = new WebAudioOutput()
  await output.playSound(new Blob(['x']), 2, 9.5)
  expect(room.sources[0]?.started).toEqual([10, 2.5])
  await output.playSound(new Blob(['x']), -1, 11)
  expect(room.sources[1]?.started).toEqual([11, 0])
})
