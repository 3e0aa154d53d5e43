// @vitest-environment node
import { Midi } from '@tonejs/midi'
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, it } from 'vitest'

// What the core exports, read by a library that knows nothing of it and held against the core's own timeline.

const document = {
  format: 'gravik-breakdown',
  version: 1,
  title: 'Read by others',
  genre: '',
  key: 'D minor',
  meter: '4/4',
  tempo: 138,
  feel: { mode: 'fixed', ratio: 2, unit: 'eighth' },
  tuning: 'standard',
  capo: 0,
  company: 'with-bass',
  sections: [{ name: 'A', line: '| Dm6 | B♭7 | Gm7 A7 | Dm6 |' }],
  pins: [],
  pattern: {
    ticks: 3840,
    streams: [
      {
        name: 'strum',
        strokes: [
          { at: 480, division: 2 },
          { at: 960, division: 2, articulation: 'chuck' },
          { at: 2400, division: 2, accent: 2 },
        ],
      },
    ],
  },
  school: 'pendulum',
  band: { groove: 'shuffle', parts: [] },
  notes: '',
}

it('writes a MIDI file that another reader plays at the same moments', () => {
  const folder = mkdtempSync(join(tmpdir(), 'gravik-midi-'))
  const file = join(folder, 'a.gravik.json')
  writeFileSync(file, JSON.stringify(document))
  execFileSync('php', ['artisan', 'gravik:export', file, '--format=midi', '-o', join(folder, 'a.mid')])
  const timeline = JSON.parse(execFileSync('php', ['artisan', 'gravik:timeline', file, '--json']).toString()) as {
    events: { part: string; t: number; pitch: number | null }[]
  }
  const midi = new Midi(readFileSync(join(folder, 'a.mid')))

  expect(midi.name).toBe('Read by others')
  expect(midi.header.tempos[0]?.bpm).toBeCloseTo(138, 2)
  expect(midi.header.timeSignatures[0]?.timeSignature).toEqual([4, 4])
  expect(midi.header.keySignatures[0]).toMatchObject({ key: 'F', scale: 'minor' })
  expect(midi.header.meta.filter((meta) => meta.type === 'marker').map((meta) => meta.text)).toEqual(['Dm6', 'Bb7', 'Gm7', 'A7', 'Dm6'])
  for (const part of ['drums', 'bass', 'guitar']) {
    const planned = timeline.events.filter((event) => event.part === part).map((event) => event.t)
    const read = midi.tracks
      .filter((track) => (part === 'guitar' ? [0, 2].includes(track.channel) : track.name.toLowerCase() === part))
      .flatMap((track) => track.notes.map((note) => note.time))
      .sort((a, b) => a - b)
    expect(read).toHaveLength(planned.length)
    // This reader lists the chucks, on their own channel, as a track of their own. A MIDI tick is 0.45 ms long at this tempo.
    read.forEach((time, index) => expect(Math.abs(time - (planned[index] ?? 0))).toBeLessThan(0.0005))
  }
}, 20_000)
