import { act, screen, waitFor } from '@testing-library/react'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { key, patch, serve, showOnBench, tune } from '../../testing/page'
import { MicrophoneSheet } from './MicrophoneSheet'
import { hearFile } from './sources'
import { TakeOver } from './TakeOver'

const room = vi.hoisted(() => ({ refuses: '', block: (() => undefined) as (samples: Float32Array, since: number) => void, stopped: 0 }))
vi.mock('../../audio/microphone', () => {
  class NoMicrophone extends Error {}
  return {
    NoMicrophone,
    openMicrophone: async (onBlock: typeof room.block) => {
      if (room.refuses !== '') throw new NoMicrophone(room.refuses)
      room.block = onBlock
      return { rate: 8000, stop: () => void room.stopped++ }
    },
  }
})

const hearing = { seconds: 1, strokes: [], outline: [], tuning: null, meter: null, remark: null, notes: null }
const sent = () => vi.mocked(fetch).mock.calls.map(([, options]) => options?.body as Blob)

beforeEach(() => {
  Object.assign(room, { refuses: '', stopped: 0 })
  serve({ 'POST hearings': { id: 'h1', state: 'done', done: 1, message: null, take: null, heard: hearing } })
})
afterEach(() => vi.unstubAllGlobals())

it('sends WAV and MIDI as they are, and says which is which', async () => {
  expect((await hearFile(new File(['RIFFxxxx'], 'take.WAV'))).sound?.size).toBe(8)
  expect((await hearFile(new File(['MThd'], 'take.mid'))).sound).toBeNull()
  expect(sent().map((body) => [body.type, body.size])).toEqual([
    ['audio/wav', 8],
    ['audio/midi', 4],
  ])
})

it('decodes what else the browser plays to one channel, and says so of what it cannot', async () => {
  const channels = [new Float32Array([1, 0]), new Float32Array([0, 1])]
  vi.stubGlobal(
    'OfflineAudioContext',
    class {
      decodeAudioData = async () => ({
        numberOfChannels: 2,
        length: 2,
        sampleRate: 8000,
        getChannelData: (channel: number) => channels[channel],
      })
    },
  )
  await hearFile(new File(['ID3'], 'song.mp3'))
  const samples = new Int16Array(((await sent().at(-1)?.arrayBuffer()) ?? new ArrayBuffer(44)).slice(44))
  expect([...samples].map((sample) => Math.round(sample / 3276.7))).toEqual([5, 5])
  vi.stubGlobal(
    'OfflineAudioContext',
    class {
      decodeAudioData = async () => Promise.reject(new Error('no'))
    },
  )
  await expect(hearFile(new File(['?'], 'notes.doc'))).rejects.toThrow('The browser cannot play “notes.doc”.')
})

it('listens to the room until somebody stops it, and hands the sound over', async () => {
  const onSound = vi.fn()
  showOnBench(<MicrophoneSheet onSound={onSound} onClose={vi.fn()} />)
  await screen.findByText('Listening, 0 s')
  await act(async () => {
    room.block(new Float32Array(100), 10)
    room.block(new Float32Array(100), 13.2)
  })
  expect(screen.getByText('Listening, 3 s')).toBeTruthy()
  key('Escape')
  expect((onSound.mock.calls[0]?.[0] as Blob).size).toBe(44 + 400)
  expect(room.stopped).toBe(1)
})

it('says why there is no microphone, and closes without a sound', async () => {
  room.refuses = 'The microphone was refused.'
  const onClose = vi.fn()
  const onSound = vi.fn()
  showOnBench(<MicrophoneSheet onSound={onSound} onClose={onClose} />)
  await screen.findByText('The microphone was refused.')
  key('Escape')
  expect([onClose.mock.calls.length, onSound.mock.calls.length]).toEqual([1, 0])
})

it('lets nobody but the owner take anything over', async () => {
  const { store } = showOnBench(
    <TakeOver
      offers={[{ what: 'Tempo', heard: '99 bpm', has: '120 bpm', change: [patch('start', { ...tune.start, tempo: 99 })] }]}
      tuning={null}
    />,
    { mine: false },
  )
  key('Enter')
  await waitFor(() => expect(screen.getByText('the breakdown has 120 bpm')).toBeTruthy())
  expect(store.getState().document.start.tempo).toBe(120)
  expect((screen.getByRole('button', { name: /Take over this one/ }) as HTMLButtonElement).disabled).toBe(true)
})
