import type { BreakdownDocument, ChartBar, ChartSection, Timeline } from '../../api/types'
import { ordinal, passName } from '../../ui/words'
import { useDocument } from '../bench/benchContext'
import { ChordName } from '../chart/ChordName'
import { columnsOf, loudnessOf, rowsOf, type Column, type Row } from '../chart/passes/rows'
import { figuresOf, notesOf, wordsOf } from '../chart/passes/told'

const SIZES = [26, 21, 16, 14]

/** The bars of a section four in a row, and under them what each pass does there. */
export function LeadSection({ section, timeline }: { section: ChartSection; timeline: Timeline }) {
  const document = useDocument()
  const columns = columnsOf(section)
  const rows = rowsOf(timeline, section, columns)
  const words = wordsOf(document, section.id, columns)
  const called = nicknames(document, section)
  return (
    <section className="lead-section">
      <h2>
        {section.name}
        {section.times > 1 && <small> {section.times} times</small>}
      </h2>
      <div className="lead-bars">
        {columns.map((column) => (
          <LeadBar key={column.number} column={column} words={words.get(column.number)} called={called} />
        ))}
      </div>
      {document.passes.length > 1 && (
        <ul className="lead-passes">
          {rows.map((row) => (
            <li key={`${row.pass}-${row.time}`}>
              <b>{nameOf(document, row)}</b> {wordsOfRow(document, row)}
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

function LeadBar({ column, words, called }: { column: Column; words: string | undefined; called: Map<string, string> }) {
  return (
    <div className="lead-bar">
      <small className="lead-number">{column.number}</small>
      {words !== undefined && <i className="lead-words">{words}</i>}
      {column.bars.map(({ bar, ending }) => (
        <div key={bar.written} className="lead-chords">
          {ending !== null && <small className="lead-ending">{ordinal(ending + 1)}</small>}
          {bar.chords.map((chord) => (
            <ChordName key={chord.at} chord={chord} names="letters" size={sizeOf(bar, column)}>
              <em className="lead-nickname">{called.get(`${bar.written} ${chord.symbol}`)}</em>
            </ChordName>
          ))}
        </div>
      ))}
    </div>
  )
}

const sizeOf = (bar: ChartBar, column: Column): number => SIZES[Math.min(3, bar.chords.length - 1 + (column.bars.length > 1 ? 1 : 0))] ?? 14

/** What the teacher calls the grips of a section, by the written bar and the symbol they stand for: "12 A7". */
function nicknames({ lines }: BreakdownDocument, section: ChartSection): Map<string, string> {
  const parts = [section.bars, ...section.endings.map(({ bars }) => bars)]
  return new Map(
    lines
      .flatMap(({ pins }) => pins)
      .flatMap(({ at, symbol, nickname }) => {
        const bar = parts[at.ending === null ? 0 : at.ending + 1]?.[at.bar]
        const here = at.section === section.id && bar !== undefined && nickname !== undefined && nickname !== ''
        return here ? [[`${bar.written} ${symbol}`, nickname] as const] : []
      }),
  )
}

function nameOf({ passes }: BreakdownDocument, row: Row): string {
  const lead = passes.find(({ id }) => id === row.pass)?.lead ?? ''
  return `${passName(passes, row.pass)}${row.time > 1 ? `, ${ordinal(row.time)} time` : ''}${lead === '' ? '' : ` (${lead})`}`
}

/** What is played in a row: its strokes, how loud, the figures and notes at their bars. */
function wordsOfRow(document: BreakdownDocument, row: Row): string {
  const number = (inSection: number) => row.bars.find((bar) => bar.inSection === inSection)?.number ?? inSection + 1
  const patterns = [...new Set(row.bars.flatMap(({ told }) => told.pattern ?? []))]
  const named = patterns.flatMap((id) => document.patterns.find((pattern) => pattern.id === id)?.name ?? []).filter((name) => name !== '')
  const at = (told: Map<number, string>) => [...told].map(([bar, what]) => `bar ${number(bar)}: ${what}`)
  return [...named, loudnessOf(row), ...at(figuresOf(document, row)), ...at(notesOf(document, row))].join(' · ')
}
