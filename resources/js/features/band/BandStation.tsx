import { Button } from 'antd'
import { useRef, useState } from 'react'
import { ApiError } from '../../api/client'
import { setCell, takeRoles, useBand, type Support } from '../../api/song'
import type { Band } from '../../api/types'
import { useKeys } from '../../ui/keys'
import { useTabState } from '../../ui/useTabState'
import { useWidth } from '../../ui/useWidth'
import { band as player } from '../../audio/band'
import { usePlayer } from '../transport/Transport'
import { useBench, useMine } from '../bench/benchContext'
import { usePatches } from '../bench/usePatches'
import { useRemake } from '../bench/useRemake'
import { ClashList } from './ClashList'
import { LineUpSheet } from './LineUpSheet'
import { PartnerSheet } from './PartnerSheet'
import { RolesBoard } from './RolesBoard'
import { SoundingsPlumb } from './SoundingsPlumb'
import { useTryOut } from './useTryOut'
import { WhoSpeaks } from './WhoSpeaks'

const WINDOW = 2

/** Who speaks when, in which role, and who is in whose way. */
export default function BandStation() {
  const { store, desk, tempo, timeline } = useBench()
  const { document } = desk
  const mine = useMine()
  const remake = useRemake()
  const apply = usePatches()
  const [from, setFrom] = useTabState(`band:${store.getState().id}`, 0)
  const [chosen, setChosen] = useState(0)
  const [sheet, setSheet] = useState<'line-up' | 'partner' | null>(null)
  const [support, setSupport] = useState<Support>('small-group')
  const asked = useBand(document, tempo, from, WINDOW, chosen, support)
  const band = asked.data
  const { heard, hear, stop } = useTryOut()
  const frame = useRef<HTMLDivElement>(null)
  const width = useWidth(frame)
  const bars = timeline?.bars.length ?? 0
  const step = (by: number) => setFrom(Math.max(0, Math.min(Math.max(0, bars - WINDOW), from + by)))
  const clash = band?.clashes[Math.min(chosen, band.clashes.length - 1)]
  const choose = (place: number) => {
    setChosen(place)
    const first = band?.clashes[place]?.bars[0]
    if (first !== undefined) setFrom(Math.max(0, Math.min(first, bars - WINDOW)))
  }
  const settle = (mend: number) => {
    const change = clash?.mends[mend]?.change
    if (!mine || change == null) return
    stop()
    apply(change)
  }
  const setRole = (part: string, visit: Band['visits'][number], role: Band['visits'][number]['roles'][number]) =>
    mine && void remake((d) => setCell(d, { part, pass: visit.pass, section: visit.section, bars: null, role }))
  useKeys({
    ArrowRight: () => step(WINDOW),
    ArrowLeft: () => step(-WINDOW),
    ArrowDown: () => band !== undefined && choose(Math.min(band.clashes.length - 1, chosen + 1)),
    ArrowUp: () => choose(Math.max(0, chosen - 1)),
    Enter: () => settle(0),
    h: () => clash !== undefined && void hear(clash.bars, null),
    j: () => clash?.mends[0]?.change != null && void hear(clash.bars, clash.mends[0].change),
    Escape: stop,
  })
  return (
    <div className="with-side">
      <div className="station-main band">
        <div className="station-head">
          <h2>Who speaks when</h2>
          <p className="muted">height is loudness</p>
          <div className="title-actions">
            <Button size="small" aria-label="Bars before" disabled={from === 0} onClick={() => step(-WINDOW)}>
              ←
            </Button>
            <b className="window-words">{band === undefined ? '' : windowWords(band.window)}</b>
            <Button size="small" aria-label="Bars after" disabled={from + WINDOW >= bars} onClick={() => step(WINDOW)}>
              →
            </Button>
            <HearOnly parts={document.parts.map(({ instrument }) => instrument)} />
            <Button size="small" onClick={() => setSheet('line-up')}>
              Line-up …
            </Button>
            <Button size="small" onClick={() => setSheet('partner')}>
              Another’s part …
            </Button>
          </div>
        </div>
        {asked.error instanceof ApiError && (
          <p role="alert" className="finding finding-off">
            {asked.error.message}
          </p>
        )}
        {sheet === 'partner' && <PartnerSheet onClose={() => setSheet(null)} />}
        {sheet === 'line-up' && band !== undefined && <LineUpSheet band={band} onClose={() => setSheet(null)} />}
        <div ref={frame} className="band-picture">
          {band !== undefined && timeline !== undefined && <WhoSpeaks band={band} timeline={timeline} clash={clash} width={width} />}
        </div>
        {band !== undefined && (
          <div className="band-below">
            <RolesBoard
              band={band}
              passes={document.passes}
              mine={mine}
              from={from}
              onWindow={setFrom}
              onRole={setRole}
              support={support}
              onSupport={setSupport}
              onTake={() => void remake((d) => takeRoles(d, support))}
            />
            <SoundingsPlumb band={band} />
          </div>
        )}
      </div>
      {band !== undefined && (
        <ClashList
          band={band}
          chosen={chosen}
          mine={mine}
          heard={heard}
          onChoose={choose}
          onSettle={settle}
          onHear={(change) => clash !== undefined && void hear(clash.bars, change)}
          onStop={stop}
        />
      )}
    </div>
  )
}

const windowWords = ({ from, bars }: Band['window']): string => (bars === 1 ? `bar ${from + 1}` : `bars ${from + 1}–${from + bars}`)

type Instrument = Band['parts'][number]['instrument']

/** The student's own part silent, so that it is played, or alone, so that it is heard. */
function HearOnly({ parts }: { parts: Instrument[] }) {
  const { muted } = usePlayer()
  const others = parts.filter((part) => part !== 'guitar')
  const mine = muted.guitar && others.every((part) => !muted[part])
  const alone = !muted.guitar && others.length > 0 && others.every((part) => muted[part])
  const hear = (heard: (part: Instrument) => boolean) => parts.forEach((part) => player.mute(part, !heard(part)))
  return (
    <>
      <Button
        size="small"
        aria-pressed={mine}
        type={mine ? 'primary' : 'default'}
        onClick={() => hear((part) => mine || part !== 'guitar')}
      >
        I am the guitar
      </Button>
      <Button
        size="small"
        aria-pressed={alone}
        type={alone ? 'primary' : 'default'}
        onClick={() => hear((part) => alone || part === 'guitar')}
      >
        Only the guitar
      </Button>
    </>
  )
}
