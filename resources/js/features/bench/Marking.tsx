import { Button, Input, Popover, Segmented } from 'antd'
import { useState } from 'react'
import type { BreakdownDocument } from '../../api/types'
import { useBench, useDocument, useMine } from './benchContext'

type Mark = NonNullable<BreakdownDocument['marks']>[number]
export type MarkedOn = Mark['on']

const KINDS: { value: Mark['is']; label: string }[] = [
  { value: 'unsure', label: 'unsure' },
  { value: 'either', label: 'either is fine' },
  { value: 'colour', label: 'meant as colour' },
]
const SIGNS = { unsure: '?', either: 'or', colour: '◆' } as const

const isOn = (mark: Mark, on: MarkedOn): boolean =>
  (['what', 'field', 'id', 'stream', 'tick'] as const).every((name) => (mark.on[name] ?? '') === (on[name] ?? '')) &&
  JSON.stringify(mark.on.at ?? null) === JSON.stringify(on.at ?? null)

/** What is said of a value beside it; undefined where nothing is. */
export const useMark = (on: MarkedOn): Mark | undefined => useDocument().marks?.find((each) => isOn(each, on))

/** Marks a value as unsure, as good another way, or as meant; the other value is kept beside it. */
export function Marking({ on, label, others = [], colour = false }: { on: MarkedOn; label: string; others?: string[]; colour?: boolean }) {
  const { store } = useBench()
  const mine = useMine()
  const mark = useMark(on)
  const [open, setOpen] = useState(false)
  const set = (change: Partial<Mark> | null) =>
    store.change(
      (d) => {
        const left = (d.marks ?? []).filter((each) => !isOn(each, on))
        if (change === null) return { ...d, marks: left }
        const next = { on, is: 'unsure' as const, ...mark, ...change }
        const other = next.other ?? (next.is === 'either' ? (others[0] ?? '') : '')
        if (next.is === 'either' && other === '') return d
        return { ...d, marks: [...left, other === '' ? next : { ...next, other }] }
      },
      { together: `mark ${label}` },
    )
  if (!mine && mark === undefined) return null
  const words = mark === undefined ? `Mark ${label}` : `${label}: ${KINDS.find(({ value }) => value === mark.is)?.label ?? ''}`
  return (
    <Popover
      open={open && mine}
      onOpenChange={setOpen}
      trigger="click"
      destroyOnHidden
      content={
        <div className="marking">
          <Segmented
            aria-label={`What ${label} is`}
            options={[{ value: 'sure', label: 'sure' }, ...KINDS.filter(({ value }) => colour || value !== 'colour')]}
            value={mark?.is ?? 'sure'}
            onChange={(value) => set(value === 'sure' ? null : { is: value as Mark['is'] })}
          />
          {mark !== undefined && mark.is !== 'colour' && (
            <Input
              aria-label="What else it may be"
              placeholder={others.length > 0 ? `or ${others.join(', ')}` : 'what else it may be'}
              maxLength={120}
              defaultValue={mark.other ?? ''}
              onBlur={(event) => event.target.value !== (mark.other ?? '') && set({ other: event.target.value })}
            />
          )}
          {mark !== undefined && (
            <Input
              aria-label="Note to it"
              placeholder="a note"
              maxLength={200}
              defaultValue={mark.note ?? ''}
              onBlur={(event) => event.target.value !== (mark.note ?? '') && set({ note: event.target.value })}
            />
          )}
        </div>
      }
    >
      <Button size="small" className={mark === undefined ? 'mark-button' : 'mark-button marked'} aria-label={words} title={words}>
        {mark === undefined ? '?' : SIGNS[mark.is]}
      </Button>
    </Popover>
  )
}
