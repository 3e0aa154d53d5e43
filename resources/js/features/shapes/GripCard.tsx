import type { Voicing } from '../../api/types'
import { hearGrip } from '../../audio/hearGrip'
import { gripText } from '../../ui/gripText'
import { MiniNeck } from '../../ui/MiniNeck'

/** A grip with its name, heard when it is pressed. */
export function GripCard({
  symbol,
  voicing,
  note,
  differs = false,
}: {
  symbol: string
  voicing: Voicing
  note?: string
  differs?: boolean
}) {
  return (
    <button type="button" className={differs ? 'grip-card differs' : 'grip-card'} title="Hear it" onClick={() => void hearGrip(voicing)}>
      <b>{symbol}</b>
      <MiniNeck voicing={voicing} width={92} height={50} />
      <small>{note ?? gripText(voicing.frets)}</small>
    </button>
  )
}
