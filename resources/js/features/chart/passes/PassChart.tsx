import { Fragment, useMemo, useState } from 'react'
import { useChoices } from '../../../api/queries'
import type { BreakdownDocument, ChartSection, Timeline } from '../../../api/types'
import { band } from '../../../audio/band'
import { useKeys } from '../../../ui/keys'
import { countOf } from '../../../ui/words'
import { useBench, useDocument, useMine } from '../../bench/benchContext'
import type { Names } from '../SectionRows'
import { FigureSheet } from '../figure/FigureSheet'
import { playedAt, type FigurePlace } from '../figure/playedAt'
import { FormBand } from './FormBand'
import { JumpToBar } from './JumpToBar'
import { PassEditor } from './PassEditor'
import { PassRow } from './PassRow'
import { columnsOf, rowsOf, type Column, type Row } from './rows'
import { figuresOf, noteAt, notesOf, wordsOf } from './told'
import { SongBarEditor } from './SongBarEditor'
import { usePassChanges } from './usePassChanges'
import { usePassCursor } from './usePassCursor'

/** So many bars stand in a row; a section with a few more keeps them together. */
const BARS_A_ROW = 8
const TOGETHER_UP_TO = 12

/** covered: something lies over it that has the keys */
type Props = { sections: ChartSection[]; timeline: Timeline; names: Names; covered: boolean }

/** The song with its passes: under the bars of each section a row for every time it is played. */
export function PassChart({ sections, timeline, names, covered }: Props) {
  const document = useDocument()
  const mine = useMine()
  const { store } = useBench()
  const laid = useMemo(() => layOut(sections, timeline), [sections, timeline])
  const rows = laid.flatMap(({ rows: each }) => each)
  const { cursor, row, choose, leave, step, widen, stepRow, whole } = usePassCursor(rows)
  const changes = usePassChanges(cursor, row, whole)
  const number = document.passes.findIndex(({ id }) => id === cursor?.pass) + 1
  const pass = document.passes[number - 1]
  const [songBar, setSongBar] = useState<{ section: string; bar: number; number: number } | null>(null)
  const [writing, setWriting] = useState<(FigurePlace & { number: number }) | null>(null)
  const [jumping, setJumping] = useState(false)
  /** To the bar as it is numbered, in the pass that is chosen or the first that has it. */
  const jump = (number: number): boolean => {
    const having = rows.filter(({ bars }) => bars.some((bar) => bar.number === number))
    const to = having.find((each) => each.pass === cursor?.pass) ?? having[0]
    if (to === undefined) return false
    setSongBar(null)
    choose(to, to.bars.find((bar) => bar.number === number)?.inSection ?? 0)
    return true
  }
  const first = cursor === null ? undefined : row?.bars[cursor.from]
  const at = cursor === null || first === undefined ? null : { pass: cursor.pass, section: cursor.section, ...first.at }
  const figure = at === null ? null : (playedAt(document, at)?.what ?? null)
  const write = () => mine && at !== null && first !== undefined && setWriting({ ...at, number: first.number })
  const songSection = document.sections.find(({ id }) => id === songBar?.section)
  const done = () => {
    setLaying(false)
    leave()
    setSongBar(null)
  }
  const [laying, setLaying] = useState(false)
  const moves = useChoices().data?.moves ?? []
  const lay = (slug: (typeof moves)[number]['slug']) => {
    setLaying(false)
    void changes.lay(slug)
  }
  const numbers = laying
    ? Object.fromEntries(moves.map(({ slug }, place) => [`${place + 1}`, () => lay(slug)]))
    : Object.fromEntries([1, 2, 3].map((level) => [`${level}`, () => changes.set({ level })]))
  useKeys(
    {
      ArrowRight: () => step(1),
      ArrowLeft: () => step(-1),
      'Shift+ArrowRight': () => widen(1),
      'Shift+ArrowLeft': () => widen(-1),
      ArrowDown: () => stepRow(1),
      ArrowUp: () => stepRow(-1),
      Escape: done,
      a: whole,
      p: () => changes.set({ texture: 'pattern', role: 'active' }),
      w: () => changes.set({ texture: 'written', role: 'active' }),
      f: () => changes.set({ texture: 'free', role: 'active' }),
      r: () => changes.set({ texture: 'rings', role: 'active' }),
      o: () => changes.set({ role: 'out' }),
      ...numbers,
      m: () => setLaying(!laying),
      '+': () => changes.louder(1),
      '-': () => changes.louder(-1),
      c: changes.copy,
      e: () => figure !== null && changes.answer(figure),
      i: write,
      j: () => setJumping(true),
    },
    writing === null && !covered,
  )
  return (
    <>
      <div className="chart-paper passes" role="region" aria-label="Bars and passes" tabIndex={0}>
        {laid.map(({ section, columns, rows }) => (
          <section key={section.id} className="pass-section" aria-label={`Section ${section.name}`}>
            {inRows(columns).map(([from, until]) => (
              <Fragment key={from}>
                <header>
                  {from === 0 && (
                    <>
                      <b>{section.name}</b>
                      <span>
                        {countOf(columns.length, 'bar')}
                        {section.times > 1 && ` · ${section.times} times`}
                      </span>
                    </>
                  )}
                </header>
                <FormBand
                  columns={columns.slice(from, until)}
                  names={names}
                  words={wordsOf(document, section.id, columns)}
                  chosen={songBar?.section === section.id ? songBar.number : null}
                  onBar={({ number }) => {
                    leave()
                    setSongBar({ section: section.id, bar: columns.findIndex((column) => column.number === number), number })
                  }}
                />
                {rows.map((each) => (
                  <PassRow
                    key={`${each.pass}-${each.time}`}
                    timeline={timeline}
                    row={each}
                    pass={document.passes.find(({ id }) => id === each.pass) ?? document.passes[0]}
                    number={document.passes.findIndex(({ id }) => id === each.pass) + 1}
                    again={section.times > 1}
                    columns={[from, until]}
                    pattern={patternOf(document, each)}
                    cursor={cursor}
                    notes={notesOf(document, each)}
                    figures={figuresOf(document, each)}
                    onBar={(bar, extend) => {
                      setSongBar(null)
                      choose(each, bar, extend)
                    }}
                    onHear={() => hearPass(timeline, each.pass)}
                  />
                ))}
              </Fragment>
            ))}
          </section>
        ))}
      </div>
      {jumping && <JumpToBar onJump={jump} onClose={() => setJumping(false)} />}
      {mine && writing === null && cursor !== null && row !== undefined && pass !== undefined && (
        <PassEditor
          pass={pass}
          number={number}
          row={row}
          cursor={cursor}
          note={noteAt(document, row, cursor)}
          onDone={done}
          changes={changes}
          figure={figure}
          onFigure={write}
          laying={laying}
          onTurns={(other) => hearPass(timeline, cursor.pass, other)}
        />
      )}
      {writing !== null && (
        <FigureSheet
          key={`${writing.pass}-${writing.number}`}
          id={store.getState().id}
          place={placeOf(writing)}
          number={writing.number}
          onClose={() => setWriting(null)}
        />
      )}
      {mine && songBar !== null && songSection !== undefined && (
        <SongBarEditor section={songSection} bar={songBar.bar} number={songBar.number} onDone={done} />
      )}
    </>
  )
}

const placeOf = ({ pass, section, ending, bar }: FigurePlace): FigurePlace => ({ pass, section, ending, bar })

const layOut = (sections: ChartSection[], timeline: Timeline): { section: ChartSection; columns: Column[]; rows: Row[] }[] =>
  sections.map((section) => {
    const columns = columnsOf(section)
    return { section, columns, rows: rowsOf(timeline, section, columns) }
  })

function inRows(columns: Column[]): [number, number][] {
  if (columns.length <= TOGETHER_UP_TO) return [[0, columns.length]]
  return Array.from({ length: Math.ceil(columns.length / BARS_A_ROW) }, (_, row) => [
    row * BARS_A_ROW,
    Math.min(columns.length, (row + 1) * BARS_A_ROW),
  ])
}

/** The pass over and over, from its first bar; by turns with another where one is named. */
function hearPass(timeline: Timeline, pass: string, other: string | null = null): void {
  const barsOf = (id: string): [number, number] => {
    const bars = timeline.bars.flatMap((bar, index) => (bar.pass === id ? [index] : []))
    return [bars[0] ?? 0, bars.at(-1) ?? 0]
  }
  band.set({ loop: barsOf(pass), turns: other === null ? null : barsOf(other) })
  if (!band.playing) void band.start()
}

function patternOf({ patterns }: BreakdownDocument, row: Row): string {
  const id = row.bars.find(({ told }) => told.pattern !== null)?.told.pattern
  const place = patterns.findIndex((pattern) => pattern.id === id)
  const name = patterns[place]?.name ?? ''
  return id == null ? 'out' : name === '' ? `strokes ${place + 1}` : name
}
