import { useState } from 'react'
import { useBench } from '../../bench/benchContext'
import type { Row } from './rows'

/** Bars of a section, the so-manieth time it comes in a pass, that are chosen: from and to, counted in the section. */
export type Cursor = { pass: string; section: string; time: number; from: number; to: number }

/** What is chosen among the passes; the bench goes along, so that the other stations stand at the same place. */
export function usePassCursor(rows: Row[]) {
  const { setPlace } = useBench()
  const [asked, setAsked] = useState<Cursor | null>(null)
  const at =
    asked === null ? -1 : rows.findIndex((row) => row.pass === asked.pass && row.section === asked.section && row.time === asked.time)
  const row = rows[at]
  const last = (row?.bars.length ?? 1) - 1
  const cursor = asked === null || row === undefined ? null : { ...asked, from: Math.min(asked.from, last), to: Math.min(asked.to, last) }
  const choose = (to: Row, bar: number, extend = false) => {
    const same = extend && cursor !== null && row === to
    setAsked({
      pass: to.pass,
      section: to.section,
      time: to.time,
      from: same ? Math.min(cursor.from, bar) : bar,
      to: same ? Math.max(cursor.to, bar) : bar,
    })
    setPlace({ pass: to.pass, section: to.section })
  }
  const clamp = (bar: number, to: Row) => Math.min(to.bars.length - 1, Math.max(0, bar))
  return {
    cursor,
    row,
    choose,
    leave: () => setAsked(null),
    step: (by: number) => row !== undefined && cursor !== null && choose(row, clamp((by < 0 ? cursor.from : cursor.to) + by, row)),
    widen: (by: number) => row !== undefined && cursor !== null && choose(row, clamp((by < 0 ? cursor.from : cursor.to) + by, row), true),
    stepRow: (by: number) => {
      const next = rows[at < 0 ? 0 : Math.min(rows.length - 1, Math.max(0, at + by))]
      if (next !== undefined) choose(next, clamp(cursor?.from ?? 0, next))
    },
    whole: () => row !== undefined && cursor !== null && setAsked({ ...cursor, from: 0, to: row.bars.length - 1 }),
  }
}
