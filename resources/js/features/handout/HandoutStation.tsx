import { App, Checkbox, Input, Segmented } from 'antd'
import { useState } from 'react'
import { ApiError } from '../../api/client'
import { useHandout } from '../../api/handout'
import { useKeys } from '../../ui/keys'
import { useNeckView } from '../../ui/neckView'
import { useTabState } from '../../ui/useTabState'
import { useBench, useDocument, useMine } from '../bench/benchContext'
import type { TakeWish } from './Losses'
import { OpenMarks } from './OpenMarks'
import { SheetPages } from './SheetPages'
import { TakeAlong } from './TakeAlong'
import { Versions } from './Versions'
import { asked, carriedPart, USUAL, type Sheet } from './sheet'

/** The page on the stand as it will be, what stands on it, and the files to take along. */
export default function HandoutStation() {
  const { store } = useBench()
  const document = useDocument()
  const mine = useMine()
  const { message } = App.useApp()
  const { id } = store.getState()
  const [sheet, setSheet] = useTabState<Sheet>(`sheet:${id}`, USUAL)
  const { left_handed, high_on_top } = useNeckView()
  const wish = { ...asked(sheet), left_handed, high_on_top }
  const handout = useHandout(document, wish)
  const [chosen, setChosen] = useState<string | null>(null)
  const set = (part: Partial<Sheet>) => setSheet({ ...sheet, ...part })
  const take = async (format: string, wanted: TakeWish = {}) => {
    try {
      if (mine) await store.saveNow()
      const query = new URLSearchParams(
        Object.entries({ ...wish, ...wanted }).map(([name, value]) => [
          name,
          typeof value === 'boolean' ? String(Number(value)) : String(value ?? ''),
        ]),
      )
      window.location.assign(`/api/breakdowns/${id}/export/${format}?${query.toString()}`)
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'The file could not be made.')
    }
  }
  const toggle = (part: string) => set({ out: sheet.out.includes(part) ? sheet.out.filter((each) => each !== part) : [...sheet.out, part] })
  useKeys({ l: () => window.print(), p: () => void take('pdf') })
  const parts = handout.data?.parts ?? []
  const inOrder = [...sheet.order, ...parts.map(({ part }) => part).filter((part) => !sheet.order.includes(part))]

  return (
    <div className="handout-room">
      <section className="sheet-parts" aria-label="On the sheet">
        <h2>
          On the sheet{' '}
          <small className="muted">{handout.data === undefined ? '' : pagesWords(handout.data.pages.length, sheet.paper)}</small>
        </h2>
        {inOrder.map((part, place) => {
          const told = parts.find((each) => each.part === part)
          return told === undefined ? null : (
            <div key={part} className={chosen === part ? 'sheet-part chosen' : 'sheet-part'}>
              <Checkbox checked={!sheet.out.includes(part)} onChange={() => toggle(part)}>
                <b>{told.words}</b>
                <small>{told.shows}</small>
              </Checkbox>
              <button
                type="button"
                aria-label={`${told.words} further up`}
                disabled={place === 0}
                onClick={() => set({ order: carriedPart(inOrder, part, -1) })}
              >
                ↑
              </button>
              <button
                type="button"
                aria-label={`${told.words} further down`}
                disabled={place === inOrder.length - 1}
                onClick={() => set({ order: carriedPart(inOrder, part, 1) })}
              >
                ↓
              </button>
            </div>
          )
        })}
        <div className="sheet-choices">
          <Choice
            label="Paper"
            value={sheet.paper}
            options={[
              ['a4', 'A4'],
              ['letter', 'Letter'],
            ]}
            onChange={(paper) => set({ paper })}
          />
          <Choice
            label="Size"
            value={sheet.large ? 'stand' : 'desk'}
            options={[
              ['desk', 'desk'],
              ['stand', 'stand'],
            ]}
            onChange={(size) => set({ large: size === 'stand' })}
          />
          <Choice
            label="Hand"
            value={String(sheet.bars)}
            options={[
              ['1', '1 bar'],
              ['2', '2 bars'],
              ['4', '4 bars'],
            ]}
            onChange={(bars) => set({ bars: Number(bars) as Sheet['bars'] })}
          />
          <Choice
            label="Grips"
            value={sheet.names ? 'names' : 'shapes'}
            options={[
              ['names', 'names'],
              ['shapes', 'shapes'],
            ]}
            onChange={(names) => set({ names: names === 'names' })}
          />
          <label>
            For
            <Input
              aria-label="For"
              size="small"
              maxLength={60}
              placeholder="nobody in particular"
              value={sheet.who}
              onChange={(event) => set({ who: event.target.value })}
            />
          </label>
        </div>
        <OpenMarks />
      </section>
      <section className="sheet-tray" aria-label="The sheet" tabIndex={0}>
        {handout.error instanceof ApiError && (
          <p role="alert" className="finding finding-off">
            {handout.error.message}
          </p>
        )}
        {handout.data === undefined && handout.error === null && <p className="loading">Laying the page out …</p>}
        {handout.data !== undefined && <SheetPages pages={handout.data.pages} chosen={chosen} onChoose={setChosen} />}
      </section>
      <aside className="sheet-take" aria-label="Take it along">
        <TakeAlong onTake={(format, wanted) => void take(format, wanted)} onPrint={() => window.print()} />
        <h2>Notes</h2>
        <Input.TextArea
          aria-label="Notes"
          disabled={!mine}
          rows={3}
          maxLength={20000}
          placeholder="What to listen for, nicknames, who plays when …"
          value={document.notes}
          onChange={(event) => store.change((d) => ({ ...d, notes: event.target.value }), { together: 'notes' })}
        />
        {mine && <Versions id={id} />}
      </aside>
    </div>
  )
}

const pagesWords = (pages: number, paper: string) => `${pages === 1 ? 'one side' : `${pages} sides`} of ${paper === 'a4' ? 'A4' : 'Letter'}`

function Choice({
  label,
  value,
  options,
  onChange,
}: {
  label: string
  value: string
  options: [string, string][]
  onChange: (value: string) => void
}) {
  return (
    <label>
      {label}
      <Segmented
        size="small"
        aria-label={label}
        options={options.map(([id, words]) => ({ value: id, label: words }))}
        value={value}
        onChange={(chosen) => onChange(chosen)}
      />
    </label>
  )
}
