import { useQueryClient } from '@tanstack/react-query'
import { App } from 'antd'
import { keys } from '../../../api/queries'
import {
  addPass,
  keepMove,
  layMove,
  movePass,
  placeAnswer,
  placeFigure,
  playHere,
  playMove,
  setCell,
  takePassOut,
  type CellTold,
  type MoveAt,
} from '../../../api/song'
import type { BreakdownDocument, Choices, PassDocument } from '../../../api/types'
import { useBench, useMine } from '../../bench/benchContext'
import { useRemake } from '../../bench/useRemake'
import type { Row } from './rows'
import type { Cursor } from './usePassCursor'

/** Everything that can be changed at the cursor; a song that is only read has none of it. */
export function usePassChanges(cursor: Cursor | null, row: Row | undefined, whole: () => void) {
  const { store, desk } = useBench()
  const mine = useMine()
  const remake = useRemake()
  const client = useQueryClient()
  const { message } = App.useApp()
  const all = cursor !== null && row !== undefined && cursor.from === 0 && cursor.to === row.bars.length - 1
  const bars = cursor === null || all ? null : Array.from({ length: cursor.to - cursor.from + 1 }, (_, by) => cursor.from + by)
  const set = (told: CellTold) => {
    if (!mine || cursor === null) return
    void remake((d) => setCell(d, { pass: cursor.pass, section: cursor.section, bars, ...told }))
  }
  const own = (document: BreakdownDocument): number => {
    const cells = document.passes.find(({ id }) => id === cursor?.pass)?.cells ?? []
    const at = (cell: PassDocument['cells'][number]) =>
      cell.section === cursor?.section && (bars === null ? cell.bars == null : ([...(cell.bars ?? [])] as number[]).includes(bars[0] ?? -1))
    return cells.findLast((cell) => at(cell) && cell.dynamic != null)?.dynamic ?? 0
  }
  const chosen = (): MoveAt[] =>
    !mine || cursor === null || row === undefined
      ? []
      : row.bars.slice(cursor.from, cursor.to + 1).map(({ at }) => ({ pass: cursor.pass, section: cursor.section, ...at }))
  const overBars = async (change: (document: BreakdownDocument, at: MoveAt) => Promise<{ document: BreakdownDocument }>) => {
    const places = chosen()
    if (places.length === 0) return
    await remake(async (d) => {
      let document = d
      for (const at of places) document = (await change(document, at)).document
      return { document }
    })
  }
  return {
    set,
    whole,
    /** Strokes or grips of their own for the section in this pass: a copy of what it has. */
    own: (what: 'pattern' | 'line') => mine && cursor !== null && void remake((d) => playHere({ ...desk, document: d }, what, null)),
    louder: (by: number) => set({ dynamic: Math.max(-2, Math.min(2, own(store.getState().document) + by)) }),
    rename: (part: Partial<Pick<PassDocument, 'name' | 'lead' | 'notes'>>) =>
      mine &&
      cursor !== null &&
      store.change(
        (d) => ({
          ...d,
          passes: d.passes.map((pass) => (pass.id === cursor.pass ? { ...pass, ...part } : pass)) as BreakdownDocument['passes'],
        }),
        { together: `pass-${cursor.pass}` },
      ),
    /** @param id null to play none there any more */
    playFigure: (id: string | null) => {
      const first = row?.bars[cursor?.from ?? 0]
      if (!mine || cursor === null || first === undefined) return
      void remake((d) => placeFigure(d, { id, pass: cursor.pass, passes: [cursor.pass], section: cursor.section, ...first.at }))
    },
    /** A figure, a varied answer, and the figure again over the chosen bars. */
    answer: (id: string) => {
      const places = chosen()
      const first = places[0]
      if (first !== undefined) void remake((d) => placeAnswer(d, { ...first, id, bars: places.length }))
    },
    /** Over each of the chosen bars. */
    lay: (move: Choices['moves'][number]['slug'], slots?: number) =>
      overBars((d, at) => layMove(d, { ...at, move, ...(slots === undefined ? {} : { slots }) })),
    /** @param move id of one the teacher recorded */
    playMove: (move: string) => overBars((d, at) => playMove(d, move, at)),
    /** Records what the first of the chosen bars plays; answers whether it was done. */
    record: async (name: string): Promise<boolean> => {
      const at = chosen()[0]
      if (at === undefined) return false
      try {
        await keepMove(store.getState().document, at, name)
        await client.invalidateQueries({ queryKey: keys.moves })
        return true
      } catch (problem) {
        void message.error(problem instanceof Error ? problem.message : 'The move could not be recorded.')
        return false
      }
    },
    copy: () => mine && cursor !== null && void remake((d) => addPass(d, cursor.pass)),
    move: (position: number) => mine && cursor !== null && void remake((d) => movePass(d, cursor.pass, position)),
    takeOut: () => mine && cursor !== null && void remake((d) => takePassOut(d, cursor.pass)),
  }
}
