/** What can be asked and told of a whole song: sections, endings, passes, figures and moves. */
import { useQuery } from '@tanstack/react-query'
import { call, compute, type Body } from './client'
import type { Desk } from './desk'
import { asked, chartParts, keys, useCompute } from './queries'
import type { BreakdownDocument } from './types'

export const takeSectionOut = (document: BreakdownDocument, section: string) =>
  compute('/api/compute/without-section', { document, section })

/** @param bar of its line that the second part begins with, from 0 */
export const splitSection = (document: BreakdownDocument, section: string, bar: number) =>
  compute('/api/compute/split-section', { document, section, bar })

export const moveSection = (document: BreakdownDocument, section: string, position: number) =>
  compute('/api/compute/move-section', { document, section, position })

/** @param named id of the pattern or line; null for one of its own, a copy of what is played there now */
export const playHere = (desk: Desk, what: 'pattern' | 'line', named: string | null) =>
  compute('/api/compute/played-here', { ...asked(desk), what, named })

/** @param bars of its line that fork, where it has no endings yet */
export const forkEnding = (document: BreakdownDocument, section: string, bars: number) =>
  compute('/api/compute/fork-ending', { document, section, bars })

export const takeEndingOut = (document: BreakdownDocument, section: string, ending: number) =>
  compute('/api/compute/without-ending', { document, section, ending })

export const useForms = (document: BreakdownDocument, section: string) =>
  useCompute('/api/compute/forms', [document.sections, document.start, section], { document, section })

export const fitTurnaround = (document: BreakdownDocument, told: { section: string; slug: string; home: boolean; coloured: boolean }) =>
  compute('/api/compute/fit-turnaround', { document, ...told })

/** @param pass in which it is played; null for all */
export const fitFigure = (document: BreakdownDocument, section: string, slug: string, pass: string | null) =>
  compute('/api/compute/fit-figure', { document, section, slug, pass })

/** @param name null for the next free letter */
export const addSection = (document: BreakdownDocument, typed = '', name: string | null = null, intro = false) =>
  compute('/api/compute/add-section', { document, typed, name, intro })

export type FigureTold = Omit<Body<'POST', '/api/compute/keep-figure'>, 'document'>

export const useFigure = (document: BreakdownDocument, told: FigureTold) =>
  useCompute('/api/compute/figure', [...chartParts(document), document.guitar, document.lines, told], { document, ...told })

/** What is done to a figure as it is typed: a rhythm for its first line, chords where that rests, lines that change places. */
export type FigureDone = { rhythm: string } | { punctuate: true } | { exchange: { from: number; until: number } }

export const doToFigure = (document: BreakdownDocument, told: FigureTold, done: FigureDone) =>
  compute('/api/compute/figure', { document, ...told, ...done })

export const keepMelody = (document: BreakdownDocument, told: { pass: string; melody: string; bar: number }) =>
  compute('/api/compute/keep-melody', { document, ...told })

/** A register of a figure for every pass it is played in, and the document with them. */
export const planRegisters = (document: BreakdownDocument, id: string) => compute('/api/compute/registers', { document, id })

/** The document with the figure, a varied answer and the figure again over so many bars. */
export const placeAnswer = (document: BreakdownDocument, told: Omit<Body<'POST', '/api/compute/answer'>, 'document'>) =>
  compute('/api/compute/answer', { document, ...told })

/** The document with the figure kept, and played at its place. */
export const keepFigure = (document: BreakdownDocument, told: FigureTold) => compute('/api/compute/keep-figure', { document, ...told })

/** @param told with the id of the figure that is to be played there; null for none */
export const placeFigure = (document: BreakdownDocument, told: Omit<Body<'POST', '/api/compute/place-figure'>, 'document'>) =>
  compute('/api/compute/place-figure', { document, ...told })

export const layMove = (document: BreakdownDocument, told: Omit<Body<'POST', '/api/compute/lay-move'>, 'document'>) =>
  compute('/api/compute/lay-move', { document, ...told })

/** Moves that the teacher recorded. */
export const useMoves = (enabled = true) => useQuery({ queryKey: keys.moves, queryFn: () => call('GET', '/api/moves', {}), enabled })

export type MoveAt = { pass: string; section: string; ending: number | null; bar: number }

export const keepMove = (document: BreakdownDocument, at: MoveAt, name: string) =>
  call('POST', '/api/moves', { body: { document, ...at, name } })

export const playMove = (document: BreakdownDocument, move: string, at: MoveAt) =>
  call('POST', '/api/moves/{move}/play', { path: { move }, body: { document, ...at } })

export const forgetMove = (move: string) => call('DELETE', '/api/moves/{move}', { path: { move } })

/** What a part is to have in a place; an empty note takes the note away. */
export type CellTold = Pick<
  Body<'POST', '/api/compute/cell'>,
  'part' | 'pass' | 'section' | 'bars' | 'role' | 'pattern' | 'line' | 'level' | 'texture' | 'dynamic' | 'note' | 'as_above'
>

export const setCell = (document: BreakdownDocument, told: CellTold) =>
  compute('/api/compute/cell', { document, ...told, ...(told.note === '' ? { note: null, as_above: ['note'] } : {}) })

/** @param like id of the pass it is to be like; null for a plain one at the end */
export const addPass = (document: BreakdownDocument, like: string | null) => compute('/api/compute/add-pass', { document, like })

export const takePassOut = (document: BreakdownDocument, pass: string) => compute('/api/compute/without-pass', { document, pass })

export const movePass = (document: BreakdownDocument, pass: string, position: number) =>
  compute('/api/compute/move-pass', { document, pass, position })

/** Who speaks when in some bars, who does what in the song, and who is in whose way. */
/** @param clash place of the one whose repairs are worked out */
export type Support = NonNullable<Body<'POST', '/api/compute/band'>['support']>

export const useBand = (document: BreakdownDocument, tempo: number, from: number, bars: number, clash: number, support: Support) =>
  useCompute('/api/compute/band', [{ ...document, title: '', notes: '' }, tempo, from, bars, clash, support], {
    document,
    tempo,
    from,
    bars,
    clash,
    support,
  })

export const addPart = (document: BreakdownDocument, instrument: Body<'POST', '/api/compute/add-part'>['instrument']) =>
  compute('/api/compute/add-part', { document, instrument })

export const takePartOut = (document: BreakdownDocument, part: string) => compute('/api/compute/without-part', { document, part })

/** The document with a track of a MIDI file as the tune of its lead; which track, and which there are. */
export const layTune = (document: BreakdownDocument, told: Omit<Body<'POST', '/api/compute/lay-tune'>, 'document'>) =>
  compute('/api/compute/lay-tune', { document, ...told })

/** The document with what guitar and second guitar play exchanged. */
export const changeSeats = (document: BreakdownDocument) => compute('/api/compute/change-seats', { document })

/** The document with the roles that are suggested for it. */
export const takeRoles = (document: BreakdownDocument, support: Support) => compute('/api/compute/take-roles', { document, support })

/** Genre words of the teacher's own. */
export const useProfiles = (enabled = true) =>
  useQuery({ queryKey: keys.profiles, queryFn: () => call('GET', '/api/profiles', {}), enabled })

/** What the desk's place plays, kept under a word to begin other breakdowns from. */
export const keepProfile = ({ document, place }: Desk, name: string) =>
  call('POST', '/api/profiles', { body: { document, ...place, name } })

export const forgetProfile = (profile: string) => call('DELETE', '/api/profiles/{profile}', { path: { profile } })

/**
 * @param onsets seconds at which somebody else strikes
 * @param offset seconds at which bar 1 lies among them; found where null
 */
export const compareBeside = (document: BreakdownDocument, tempo: number, onsets: number[], offset: number | null = null) =>
  compute('/api/compute/beside', { document, tempo, onsets, offset })
