import { deliver, useOutbox } from '../../api/outbox'
import { useOnline } from '../../ui/useOnline'
import { countOf } from '../../ui/words'
import { WaitingTake } from '../lock/Unjudged'

/** What was played without a connection: how much waits, and what the server did not take. */
export function WaitingTakes({ player, kept: isKept }: { player: number | undefined; kept: boolean }) {
  const { waiting, kept } = useOutbox()
  const online = useOnline()
  const own = waiting.filter((each) => each.player === player)
  const refused = own.filter((each) => each.refused !== undefined)
  const count = own.length - refused.length
  return (
    <>
      {!online && (
        <p className="finding finding-swing" role="status">
          No connection. {isKept ? 'Today’s practice lies on this device; what' : 'What'} you play is judged when the connection is back.
        </p>
      )}
      {count > 0 && (
        <p className="finding finding-swing" role="status">
          {`${countOf(count, 'take')} ${count === 1 ? 'waits' : 'wait'} on this device to be judged.`}
          {!kept && ' This browser keeps nothing, so leave this page open until then.'}
        </p>
      )}
      {refused.map((each) => (
        <WaitingTake key={each.id} waiting={each} onAgain={() => void deliver(each).catch(() => undefined)} />
      ))}
    </>
  )
}
