import { App } from 'antd'
import { useState } from 'react'
import { doToFigure, keepFigure, useFigure, type FigureDone, type FigureTold } from '../../../api/song'
import type { LaidFigure } from '../../../api/types'
import { useBench, useDocument } from '../../bench/benchContext'
import { useRemake } from '../../bench/useRemake'
import { playedAt, type FigurePlace } from './playedAt'

export type LaidNote = LaidFigure['steps'][number]['notes'][number]

/** Strokes of the figure that are chosen, by their order on paper. */
export type Chosen = { from: number; to: number }

/** A figure as it is written at a place, what the core says of it, and what can be done to it. */
export function useFigureDesk(place: FigurePlace, onDone: () => void) {
  const { store } = useBench()
  const document = useDocument()
  const remake = useRemake()
  const { message } = App.useApp()
  const here = playedAt(document, place)
  const known = document.figures?.find(({ id }) => id === here?.what)
  const [typed, setTyped] = useState<string[] | null>(null)
  const [name, setName] = useState(known?.name ?? '')
  const [relativeTo, setRelativeTo] = useState<'chord' | 'key'>(known?.relativeTo ?? 'chord')
  const [octave, setOctave] = useState(here?.octave ?? 0)
  const [near, setNear] = useState<number | null>(here?.near ?? null)
  const [instead, setInstead] = useState(here?.instead ?? true)
  const [everyPass, setEveryPass] = useState(false)
  const [parts, setParts] = useState<string[] | null>(here?.parts ?? null)
  const [fixed, setFixed] = useState([...(here?.fixed ?? [])])
  const [chosen, setChosen] = useState<Chosen | null>(null)
  const told: FigureTold = {
    ...place,
    id: known?.id ?? null,
    name,
    typed: typed ?? [],
    relative_to: relativeTo,
    octave,
    near,
    fixed,
    instead,
    parts,
  }
  const reading = useFigure(document, told)
  const laid = reading.data
  const lines = typed ?? laid?.typed ?? ['']
  const steps = laid === undefined ? [] : inOrder(laid)
  const first = chosen === null ? undefined : steps[chosen.from]
  const doIt = async (done: FigureDone) => {
    try {
      setTyped((await doToFigure(store.getState().document, { ...told, typed: lines }, done)).typed)
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'That could not be done. Try again.')
    }
  }
  const others = (note: LaidNote) =>
    fixed.filter(({ stream, tick, note: of }) => stream !== first?.stream || tick !== first.tick || of !== note.note)
  return {
    document,
    known,
    laid,
    refusal: reading.error,
    lines,
    steps,
    chosen,
    choose: setChosen,
    first,
    setTyped,
    setLine: (stream: number, line: string) => setTyped(lines.map((each, at) => (at === stream ? line : each))),
    name,
    setName,
    relativeTo,
    setRelativeTo,
    octave,
    setOctave,
    near,
    setNear,
    instead,
    setInstead,
    everyPass,
    setEveryPass,
    parts,
    setParts,
    /** Where the note is chosen it is played there from now on; else it is the next note of the line. */
    press: (pressed: string) => {
      const note = first?.notes[0]
      if (first === undefined || note === undefined) return setTyped(withNote(lines, pressed))
      const [string = 1, fret = 0] = pressed.split(':').map(Number)
      setFixed([...others(note), { stream: first.stream, tick: first.tick, note: note.note, string, fret }])
    },
    setFree: (note: LaidNote) => setFixed(others(note)),
    doIt,
    /** The chosen strokes go to the other line. */
    handOver: () => {
      const last = chosen === null ? undefined : steps[chosen.to]
      if (first !== undefined && last !== undefined) void doIt({ exchange: { from: first.tick, until: last.tick + 1 } })
    },
    keep: async () => {
      const passes = everyPass ? null : [place.pass]
      if (await remake((d) => keepFigure(d, { ...told, typed: lines, passes }))) onDone()
    },
  }
}

export const inOrder = ({ steps }: LaidFigure): LaidFigure['steps'] => [...steps].sort((a, b) => a.tick - b.tick || a.stream - b.stream)

/** With a note at the first syllable that has none after the last that has one. */
function withNote([first = '', ...others]: string[], note: string): string[] {
  const words = first.split(' ')
  const from = words.findLastIndex((word) => word.includes('=')) + 1
  const at = words.findIndex((word, place) => place >= from && word !== '|' && !word.startsWith('('))
  return at < 0 ? [first, ...others] : [words.map((word, place) => (place === at ? `${word}=${note}` : word)).join(' '), ...others]
}
