// @vitest-environment node
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import stringsync from '@stringsync/musicxml'
import { ChordProParser } from 'chordsheetjs'
import { parse, parseAuto } from 'musicxml-io'
import createVerovioModule from 'verovio/wasm'
import { VerovioToolkit } from 'verovio/esm'
import { beforeAll, expect, it } from 'vitest'

const { MusicXML } = stringsync

// What the core writes, read by libraries that know nothing of it and held against the core's own timeline.

const stroke = (at: number, part: object = {}) => ({ at, division: 2, ...part })
const document = {
  format: 'gravik-breakdown',
  version: 2,
  title: 'Read by others',
  genre: '',
  notes: '',
  start: { key: 'D minor', meter: '4/4', tempo: 120, feel: { mode: 'fixed', ratio: 1, unit: 'eighth' } },
  guitar: { tuning: 'standard', capo: 0 },
  sections: [{ id: 'a', name: 'Verse', line: '| Dm7 | G7♭9 | Cmaj7 A7 | Dm6 |' }],
  form: [{ section: 'a', times: 1 }],
  patterns: [
    {
      id: 'p1',
      name: '',
      meter: '4/4',
      school: 'pendulum',
      ticks: 3840,
      streams: [
        {
          name: 'strum',
          strokes: [
            stroke(0, { accent: 2 }),
            stroke(960, { articulation: 'chuck' }),
            stroke(1440),
            stroke(2880, { articulation: 'palm-mute' }),
          ],
        },
      ],
    },
  ],
  lines: [{ id: 'l1', name: '', company: 'with-bass', pins: [] }],
  moves: [],
  placed: [],
  parts: [{ id: 'guitar', instrument: 'guitar', level: 0.8, offsetMs: 0, straight: false }],
  passes: [{ id: '1', name: '', notes: '', cells: [] }],
  cells: [],
  lesson: [],
}

type Played = { t: number; dur: number; string: number; fret: number; pitch: number | null; kind: string }
const folder = mkdtempSync(join(tmpdir(), 'gravik-files-'))
const source = join(folder, 'a.gravik.json')
const written = (format: string) => {
  const file = join(folder, `a.${format}`)
  execFileSync('php', ['artisan', 'gravik:export', source, `--format=${format}`, '-o', file])
  return readFileSync(file)
}
let played: Played[] = []
beforeAll(() => {
  writeFileSync(source, JSON.stringify(document))
  played = (JSON.parse(execFileSync('php', ['artisan', 'gravik:timeline', source, '--json']).toString()) as { events: Played[] }).events
})

/** Where a note begins, in quarters: a strum is swept, so what is played lies up to a sixteenth late. */
const written16ths = (quarters: number) => Math.floor(quarters * 4 + 0.01)

it('writes a score whose tab another reader finds on the same strings, frets and beats', async () => {
  const score = parse(written('musicxml').toString())
  const packed = await parseAuto(written('mxl'))
  const notes: string[] = []
  score.parts[0]?.measures.forEach((measure, bar) => {
    let at = bar * 3840
    let last = at
    for (const entry of measure.entries) {
      if (entry.type === 'backup') at = bar * 3840
      if (entry.type !== 'note') continue
      const technical = (entry.notations ?? []).filter((each) => each.type === 'technical') as {
        technical: string
        string?: number
        fret?: number
        text?: string
      }[]
      const value = (name: 'string' | 'fret') => technical.find((each) => each.technical === name)
      if (entry.chord !== true) {
        last = at
        at += entry.duration
      }
      if (entry.staff === 2 && entry.pitch !== undefined && entry.tie?.type !== 'stop') {
        notes.push(`${written16ths(last / 960)} ${value('string')?.string ?? '?'}/${value('fret')?.fret ?? '?'}`)
      }
    }
  })
  expect(notes.sort()).toEqual(played.map(({ t, string, fret }) => `${written16ths((t * 120) / 60)} ${string}/${fret}`).sort())
  expect(packed.parts[0]?.measures).toHaveLength(4)
  const chords = score.parts[0]?.measures.flatMap(({ entries }) => entries.filter(({ type }) => type === 'harmony')) as {
    root: { rootStep: string }
    kind: string
    kindText?: string
  }[]
  expect(chords.map(({ root, kind }) => `${root.rootStep} ${kind}`)).toEqual([
    'D minor-seventh',
    'G dominant',
    'C major-seventh',
    'A dominant',
    'D minor-sixth',
  ])
})

it('writes notes as long as they sound, or longer where the hand damps them', () => {
  const held = new Map<string, number>()
  const score = parse(written('musicxml').toString())
  score.parts[0]?.measures.forEach((measure, bar) => {
    let [at, last] = [bar * 3840, bar * 3840]
    for (const entry of measure.entries) {
      if (entry.type === 'backup') at = bar * 3840
      if (entry.type !== 'note') continue
      if (entry.chord !== true) [last, at] = [at, at + entry.duration]
      if (entry.staff !== 2 || entry.pitch === undefined) continue
      const technical = (entry.notations ?? []).find((each) => 'technical' in each && each.technical === 'string') as { string?: number }
      const on = `${technical?.string ?? '?'}`
      const tied = entry.tie?.type === 'stop' || (entry.ties ?? []).some(({ type }) => type === 'stop')
      const begun = tied ? [...held.keys()].filter((key) => key.endsWith(` ${on}`)).at(-1) : undefined
      const key = begun ?? `${written16ths(last / 960)} ${on}`
      held.set(key, (held.get(key) ?? 0) + entry.duration / 1920)
    }
  })
  const pitched = played.filter(({ pitch }) => pitch !== null)
  const ringing = pitched.filter(({ t, string, dur }) => (held.get(`${written16ths((t * 120) / 60)} ${string}`) ?? 0) - dur < 0.06)
  for (const { t, string, dur } of pitched) expect(held.get(`${written16ths((t * 120) / 60)} ${string}`) ?? 0).toBeGreaterThan(dur - 0.06)
  expect(ringing.length).toBeGreaterThan(pitched.length / 2)
})

/** Elements, attributes and texts in their order, however the file is laid out. */
const contents = (xml: string) =>
  [...xml.replace(/<[?!][^>]*>/g, '').matchAll(/<(\/?)([\w-]+)([^>]*?)(\/?)>|([^<>]+)/g)].flatMap(
    ([, ends, name, attributes, closed, text]) => {
      if (name === undefined) return text?.trim() ? [text.trim()] : []
      const told = `${name} ${(attributes?.match(/[\w:-]+="[^"]*"/g) ?? []).sort().join(' ')}`
      return closed ? [told, `/${name}`] : [ends ? `/${name}` : told]
    },
  )
/** What is first put right where something is not as the published schema of 4.0 allows; nothing where all is. */
const putRight = (xml: string) => {
  const [asked, told] = [contents(MusicXML.parse(xml).serialize()), contents(xml)]
  const place = asked.findIndex((each, index) => each !== told[index])
  return place >= 0 || asked.length !== told.length ? { place, asked: asked[place], told: told[place] } : null
}

it('writes every demo song as the published schema asks', () => {
  const songs = execFileSync(
    'php',
    [
      '-r',
      `require 'vendor/autoload.php'; foreach (Database\\Seeders\\DemoSongs::all() as $song) {
      echo (new Gravik\\Formats\\MusicXmlFile())->write($song, (new Gravik\\Performance\\Performer())->perform($song)), "\\0"; }`,
    ],
    { maxBuffer: 2 ** 28 },
  )
    .toString()
    .split('\0')
    .filter((song) => song !== '')
  expect(songs).toHaveLength(6)
  for (const song of songs) expect(putRight(song)).toBeNull()
  // What is out of place or no number is found.
  const shortest = songs.reduce((least, song) => (song.length < least.length ? song : least))
  for (const [right, wrong] of [
    [/<fret>\d+</, '<fret>open<'],
    [/<swing>/, '<swing><sway/>'],
    [/(<duration>\d+<\/duration>)\s*(<voice>1<\/voice>)/, '$2$1'],
  ] as const) {
    const spoilt = shortest.replace(right, wrong)
    expect(spoilt).not.toBe(shortest)
    expect(putRight(spoilt)).not.toBeNull()
  }
}, 120_000)

it('writes a score that a second reader plays at the same moments and pitches', async () => {
  const toolkit = new VerovioToolkit(await createVerovioModule())
  expect(toolkit.loadData(written('musicxml').toString())).toBeTruthy()
  const moments = toolkit.renderToTimemap({}) as { qstamp: number; on?: string[] }[]
  const sounded = moments.flatMap(({ qstamp, on = [] }) =>
    on.map((id) => `${written16ths(qstamp)} ${(toolkit.getMIDIValuesForElement(id) as { pitch: number }).pitch}`),
  )
  const pitched = new Set(played.filter(({ pitch }) => pitch !== null).map(({ t, pitch }) => `${written16ths((t * 120) / 60)} ${pitch}`))
  // It reads both staves; what it has besides is dead and has no pitch of its own.
  for (const moment of pitched) expect(sounded).toContain(moment)
  expect(pitched.size).toBeGreaterThan(30)
}, 60_000)

it('writes a chord sheet from which another reader takes key, tempo, chords and grips', () => {
  const song = new ChordProParser().parse(written('chordpro').toString())
  expect([song.title, song.key, song.tempo, song.time]).toEqual(['Read by others', 'Dm', '120', '4/4'])
  const told = written('chordpro').toString()
  expect([...told.matchAll(/\{define: (\S+) /g)].map(([, name]) => name)).toEqual(['Dm7', 'G7b9', 'Cmaj7', 'A7', 'Dm6'])
  expect(told).toContain('| Dm7 . . . | G7b9 . . . | Cmaj7 . A7 . | Dm6 . . . |')
})
