// @vitest-environment node
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Midi } from '@tonejs/midi'
import { ChordProFormatter, ChordProParser } from 'chordsheetjs'
import { generatePlaybackSequence, parse, parseAbc, serialize, serializeCompressed } from 'musicxml-io'
import createVerovioModule from 'verovio/wasm'
import { VerovioToolkit } from 'verovio/esm'
import { expect, it } from 'vitest'
import type { BreakdownDocument } from '../../api/breakdown.gen'

// Files that libraries wrote which know nothing of the core, read by it.

const folder = mkdtempSync(join(tmpdir(), 'gravik-drafts-'))
const draftOf = (name: string, bytes: string | Uint8Array) => {
  const [source, read] = [join(folder, name), join(folder, `${name}.json`)]
  writeFileSync(source, bytes)
  execFileSync('php', ['artisan', 'gravik:export', source, '--format=json', '-o', read], { stdio: 'pipe' })
  return JSON.parse(readFileSync(read).toString()) as BreakdownDocument
}
const sections = (song: BreakdownDocument) =>
  song.sections.map(({ line, endings = [] }) => [line, ...endings.map((each) => `${each.times.join()}: ${each.line}`)])
const form = (song: BreakdownDocument) => song.form.map(({ section, times }) => `${section} ${times}`)

// Dm and Gm7 with a first and a second ending, then C, in eighths.
const written = `X:1
T:Ebb and Flow
M:4/4
L:1/8
Q:1/4=108
K:Dm
|: "Dm" [DFA]2 z [DFA] z [DFA] [DFA]2 | "Gm7" [GBdf]4 [GBdf]4 |1 "A7" [A^ceg]8 :|2 "Dm" [DFA]8 || "C" [CEG]2 [CEG]2 z4 |]
`

it.each(['musicxml', 'mxl'])('reads form, chords, tempo, key and strokes of a %s that another library wrote', async (kind) => {
  const score = parseAbc(written)
  const song = draftOf(`score.${kind}`, kind === 'mxl' ? await serializeCompressed(score) : serialize(score))
  expect([song.title, song.start.key, song.start.tempo, song.start.meter]).toEqual(['Ebb and Flow', 'D minor', 108, '4/4'])
  expect(sections(song)).toEqual([['| Dm | Gm7 |', '1: | A7 |', '2: | Dm |'], ['| C |']])
  expect(form(song)).toEqual(['s1 2', 's2 1'])
  const strokes = song.patterns[0]?.streams[0]?.strokes.map(({ at }) => at)
  expect(strokes).toEqual([0, 1440, 2400, 2880, 3840, 5760, 7680])
})

it('reads chords, key, tempo, capo and sections of a chord sheet that another library wrote', () => {
  const sheet = `{title: Low Water}\n{key: G}\n{tempo: 92}\n{capo: 2}\n{start_of_verse}\n[G]Boats come [D7]in, [Em]lamps are [C]lit\n{end_of_verse}\n`
  const song = draftOf('sheet.cho', new ChordProFormatter().format(new ChordProParser().parse(sheet)))
  expect([song.title, song.start.key, song.start.tempo, song.guitar.capo]).toEqual(['Low Water', 'G major', 92, 2])
  expect(song.sections[0]?.line).toMatch(/G.*D7.*Em.*C/)
})

it('reads strokes and tempo of a MIDI file that another library wrote, and of what a third makes of a score', async () => {
  const midi = new Midi()
  midi.header.setTempo(96)
  midi.header.timeSignatures = [{ ticks: 0, timeSignature: [4, 4] }]
  const track = midi.addTrack()
  for (let bar = 0; bar < 4; bar++) {
    for (const eighth of [0, 3, 4, 7]) {
      for (const pitch of [50, 57, 62, 65]) track.addNote({ midi: pitch, ticks: bar * 1920 + eighth * 240, durationTicks: 200 })
    }
  }
  const song = draftOf('strokes.mid', midi.toArray())
  expect(song.start.tempo).toBe(96)
  expect(song.patterns[0]?.streams[0]?.strokes.map(({ at }) => at)).toEqual([0, 1440, 1920, 3360])

  const toolkit = new VerovioToolkit(await createVerovioModule())
  toolkit.loadData(serialize(parseAbc(written)))
  const engraved = draftOf('engraved.mid', Buffer.from(toolkit.renderToMIDI(), 'base64'))
  expect(engraved.start.tempo).toBe(108)
  expect(engraved.patterns.flatMap(({ streams }) => streams.flatMap(({ strokes }) => strokes)).length).toBeGreaterThanOrEqual(7)
}, 60_000)

it('writes repeats and endings through which another library goes as the song does', () => {
  const song = draftOf('score.musicxml', serialize(parseAbc(written)))
  const [source, score] = [join(folder, 'again.json'), join(folder, 'again.musicxml')]
  writeFileSync(source, JSON.stringify(song))
  execFileSync('php', ['artisan', 'gravik:export', source, '--format=musicxml', '-o', score])
  const order = generatePlaybackSequence(parse(readFileSync(score).toString())).map(({ measureIndex }) => measureIndex)
  expect(order).toEqual([0, 1, 2, 0, 1, 3, 4])
})
