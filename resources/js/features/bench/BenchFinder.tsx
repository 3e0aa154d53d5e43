import { App } from 'antd'
import { usePath } from '../../api/queries'
import { withLine } from '../../api/desk'
import { pinned, pinOf } from '../../api/pins'
import QuickFinder from '../finder/QuickFinder'
import { useBench, useMine } from './benchContext'

/** The quick finder on the tune's neck and in its key; a grip can be pinned wherever its chord stands. */
export function BenchFinder({ onClose }: { onClose: () => void }) {
  const { store, desk } = useBench()
  const { document, line } = desk
  const mine = useMine()
  const chords = usePath(desk).data?.chords ?? []
  const { message } = App.useApp()
  const pin = (symbol: string, frets: (number | null)[]) => {
    const places = chords.filter((chord) => chord.symbol === symbol)
    if (places.length === 0) {
      void message.info(`${symbol} does not stand in this chart. Type it in Chart first.`)
      return
    }
    store.change((d) => withLine(d, line.id, pinned(places.map((chord) => pinOf(chord, frets)))))
    void message.success(`Pinned at ${places.length === 1 ? 'its place' : `all ${places.length} places`} in the chart. Undo takes it back.`)
    onClose()
  }

  return (
    <QuickFinder
      neck={{ key: document.start.key, ...document.guitar, company: line.company }}
      onClose={onClose}
      {...(mine ? { onUse: pin } : {})}
    />
  )
}
