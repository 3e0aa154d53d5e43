import type { BreakdownDocument, LessonStage } from '../../api/types'

export type Note = BreakdownDocument['lesson'][number]

const isOf = (note: Note, stage: LessonStage): boolean => note.stage === stage.stage && (note.of ?? '') === stage.of

/** What the teacher says of a stage; what is nobody's is as it is proposed. */
export const noteOf = ({ lesson }: BreakdownDocument, stage: LessonStage): Note =>
  lesson.find((note) => isOf(note, stage)) ?? { stage: stage.stage as Note['stage'], ...(stage.of === '' ? {} : { of: stage.of }) }

/** The lesson with a stage's note changed; stages that have one stay in the order that is shown. */
export function noted(document: BreakdownDocument, stages: LessonStage[], stage: LessonStage, change: Partial<Note>): BreakdownDocument {
  const lesson = stages.flatMap((each): Note[] => {
    if (each.key === stage.key) return [clean({ ...noteOf(document, each), seen: each.proposal, ...change })]
    return document.lesson.filter((note) => isOf(note, each))
  })
  return { ...document, lesson }
}

/** The lesson in another order: from now on every stage has its place by hand. */
export function carried(document: BreakdownDocument, stages: LessonStage[], from: number, to: number): BreakdownDocument {
  const order = [...stages]
  const [moved] = order.splice(from, 1)
  if (moved === undefined) return document
  order.splice(Math.max(0, Math.min(order.length, to)), 0, moved)
  return { ...document, lesson: order.map((stage) => noteOf(document, stage)) }
}

/** The lesson with a stage of the teacher's own after another. */
export function added(
  document: BreakdownDocument,
  stages: LessonStage[],
  after: number,
  kind: string,
): { document: BreakdownDocument; key: string } {
  const numbers = document.lesson.map(({ of }) => Number(/^own-(\d+)$/.exec(of ?? '')?.[1] ?? 0))
  const of = `own-${Math.max(0, ...numbers) + 1}`
  const lesson = stages.map((stage) => noteOf(document, stage))
  lesson.splice(after + 1, 0, { stage: kind as Note['stage'], of })
  return { document: { ...document, lesson }, key: `${kind} ${of}` }
}

/** As it is proposed again, at the place it has. */
export const asProposed = (document: BreakdownDocument, stage: LessonStage): BreakdownDocument => ({
  ...document,
  lesson: document.lesson.map((note) =>
    isOf(note, stage) ? { stage: note.stage, ...(note.of === undefined ? {} : { of: note.of }) } : note,
  ),
})

export const withoutStage = (document: BreakdownDocument, stage: LessonStage): BreakdownDocument => ({
  ...document,
  lesson: document.lesson.filter((note) => !isOf(note, stage)),
})

/** Fields that say nothing are left out. */
const clean = (note: Note): Note =>
  Object.fromEntries(Object.entries(note).filter(([, value]) => value !== undefined && value !== false)) as Note
