import { useMemo, useState } from 'react'
import { strokesOf, withPattern } from '../../api/desk'
import { reshape, useHand, type Shape } from '../../api/queries'
import type { HandSlot, PatternDocument, StrokeDocument } from '../../api/types'
import { useTabState } from '../../ui/useTabState'
import { useBench, useMine } from '../bench/benchContext'
import { useRemake } from '../bench/useRemake'
import { GRIDS } from './sheets'
import { lineEditor, withLines, type Kind } from './strokes'

/** The pattern under the hand: its slots, the one at the cursor with its stroke, and every change that can be made there. */
export function usePatternDesk() {
  const { store, desk, tempo, level } = useBench()
  const { pattern } = desk
  const mine = useMine()
  const remake = useRemake()
  const [grid, setGrid] = useState<number | null>(null)
  const [selected, setSelected] = useTabState(`slot:${store.getState().id}`, 0)
  const [divided, setDivided] = useState<{ beat: number; division: number; from: PatternDocument; to: PatternDocument | undefined } | null>(
    null,
  )
  const hand = useHand(desk, tempo, grid, level, divided === null ? null : { beat: divided.beat, division: divided.division }).data
  const slots = useMemo(() => hand?.slots ?? [], [hand])
  const bars = hand === undefined ? 1 : hand.sketch.beats / hand.sketch.beats_a_bar
  const mixed = new Set(slots.map(({ division }) => division)).size > 1
  const slot: HandSlot | undefined = slots[Math.min(selected, slots.length - 1)]
  const [line, setLine] = useState(0)
  const lines = pattern.streams
  const { strokeAt, withKind, withoutStroke, changed, fixedDirection } = useMemo(
    () => lineEditor(Math.min(line, lines.length - 1), hand?.habits[line]),
    [line, lines.length, hand?.habits],
  )
  const stroke = strokeAt(pattern, slot?.at ?? null)
  const edit = (next: (pattern: PatternDocument) => PatternDocument) => mine && store.change((d) => withPattern(d, pattern.id, next))
  const setKind = (kind: Kind) => slot !== undefined && edit((d) => withKind(d, slot, kind))
  const setAir = () => slot !== undefined && edit((d) => withoutStroke(d, slot.at))
  const direct = (direction: 'down' | 'up') =>
    stroke !== undefined &&
    edit((d) =>
      fixedDirection(d, stroke.at, stroke.direction === direction && (stroke.fixed ?? []).includes('direction') ? null : direction),
    )
  const accent = () => stroke !== undefined && edit((d) => changed(d, stroke.at, { accent: ((stroke.accent ?? 1) + 1) % 4 }))
  const grip = (chord: 'next' | 'open') =>
    stroke !== undefined && edit((d) => changed(d, stroke.at, { chord: stroke.chord === chord ? 'this' : chord }))
  const otherLine = () => {
    if (line === 0) edit((d) => withLines(d, 2))
    else edit((d) => withLines(d, 1))
    setLine(line === 0 && (mine || lines.length === 2) ? 1 : 0)
  }
  const lay = (shape: Shape) => mine && void remake((d) => reshape({ ...desk, document: d }, shape))
  const copyBar = () => (bars === 1 ? void reshapeTo({ bars: 2 }) : slot !== undefined && lay({ copy_bar: slot.at }))
  const reshapeTo = async (shape: Shape) => {
    if (!(await remake((d) => reshape({ ...desk, document: d }, shape)))) return
    setGrid(shape.grid ?? grid)
    setDivided(null)
  }
  /**
   * The beat at the cursor in the next division: halves, thirds, quarters, sixths, whole. Going on starts from the
   * strokes there were, so that trying divisions wears nothing down.
   */
  const divideBeat = async () => {
    if (slot === undefined || hand === undefined) return
    const beat = Math.floor(slot.beats + 1e-6)
    const division = GRIDS[(GRIDS.findIndex(({ value }) => value === slot.division) + 1) % GRIDS.length]?.value ?? 2
    const from = divided !== null && divided.beat === beat && divided.to === pattern ? divided.from : pattern
    if (!(await remake((d) => reshape({ ...desk, document: withPattern(d, pattern.id, () => from) }, { beat, division })))) return
    setGrid(null)
    setDivided({ beat, division, from, to: strokesOf(store.getState().document, pattern.id) })
    setSelected(slots.findIndex((each) => each.on_beat && Math.floor(each.beats + 1e-6) === beat))
  }
  const click = (at: HandSlot) => {
    if (at.slot !== slot?.slot) {
      setSelected(at.slot)
      if (strokeAt(pattern, at.at) === undefined) edit((d) => withKind(d, at, 'ring'))
      return
    }
    if (stroke === undefined) setKind('ring')
    else setAir()
  }
  return {
    hand,
    slots,
    bars,
    /** of the whole pattern; 0 where beats are divided differently */
    division: mixed ? 0 : (slots[0]?.division ?? 2),
    slot,
    stroke,
    line,
    lines,
    step: (by: number) => setSelected((selected + by + slots.length) % Math.max(1, slots.length)),
    click,
    setKind,
    setAir,
    direct,
    accent,
    grip,
    otherLine,
    lay,
    exchangeBeat: () => lines.length === 2 && slot !== undefined && lay({ exchange_beat: slot.at }),
    copyBar: () => mine && copyBar(),
    divideBeat: () => mine && void divideBeat(),
    reshapeTo,
    setSchool: (school: PatternDocument['school']) => edit((d) => ({ ...d, school })),
    setPart: (part: Partial<StrokeDocument>) => stroke !== undefined && edit((d) => changed(d, stroke.at, part)),
  }
}
