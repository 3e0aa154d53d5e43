import { App } from 'antd'
import { usePath } from '../../api/queries'
import type { BreakdownDocument, VoicedChord } from '../../api/types'
import QuickFinder from '../finder/QuickFinder'
import { useBench, useDocument, useMine } from './benchContext'

/** The quick finder on the tune's neck and in its key; a grip can be pinned wherever its chord stands. */
export function BenchFinder({ onClose }: { onClose: () => void }) {
  const { store } = useBench()
  const document = useDocument()
  const mine = useMine()
  const chords = usePath(document).data?.chords ?? []
  const { message } = App.useApp()
  const pin = (symbol: string, frets: (number | null)[]) => {
    const places = chords.filter((chord) => chord.symbol === symbol)
    if (places.length === 0) {
      void message.info(`${symbol} does not stand in this chart. Type it in Chart first.`)
      return
    }
    store.change((d) => withPins(d, places, frets))
    void message.success(`Pinned at ${places.length === 1 ? 'its place' : `all ${places.length} places`} in the chart. Undo takes it back.`)
    onClose()
  }

  return <QuickFinder neck={document} onClose={onClose} {...(mine ? { onUse: pin } : {})} />
}

const samePlace = (a: { section: number; bar: number; at: number }, b: { section: number; bar: number; at: number }): boolean => a.section === b.section && a.bar === b.bar && a.at === b.at

function withPins(document: BreakdownDocument, places: VoicedChord[], frets: (number | null)[]): BreakdownDocument {
  const pins = places.map(({ section, bar, at, symbol }) => ({ section, bar, at, symbol, frets: frets as BreakdownDocument['pins'][number]['frets'] }))

  return { ...document, pins: [...document.pins.filter((pin) => !pins.some((each) => samePlace(each, pin))), ...pins] }
}
