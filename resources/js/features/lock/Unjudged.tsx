import { Button } from 'antd'
import { letGo, useOutbox, type Waiting } from '../../api/outbox'
import type { Take } from '../../api/types'
import { ago } from '../../ui/words'
import type { useJudge } from './useJudge'

/** What was played and is not judged yet: it is kept, and can be sent again. */
export function Unjudged({ judge, onJudged }: { judge: ReturnType<typeof useJudge>; onJudged: (take: Take | null) => void }) {
  const kept = useOutbox((outbox) => outbox.kept)
  return (
    <>
      {judge.waiting.map((each) => (
        <WaitingTake key={each.id} waiting={each} onAgain={() => void judge.again(each).then(onJudged)} />
      ))}
      {judge.waiting.length > 0 && !kept && (
        <p className="finding finding-off" role="alert">
          This browser keeps nothing: its store is full or forbidden. Leave this page open until the take is judged.
        </p>
      )}
    </>
  )
}

/** One take that waits, or that the server does not take. */
export function WaitingTake({ waiting, onAgain }: { waiting: Waiting; onAgain: () => void }) {
  const { id, title, at, played, refused } = waiting
  const what = 'sound' in played ? 'recording' : 'take'
  return (
    <p className="finding finding-off" role="alert">
      {refused === undefined
        ? `Your ${what} of ${title}, played ${ago(new Date(at).toISOString())}, is not judged yet. It is kept here. `
        : `Your ${what} of ${title} was not taken. ${refused} It is kept here. `}
      <Button size="small" onClick={onAgain}>
        Judge it now
      </Button>{' '}
      {refused !== undefined && (
        <>
          <Button size="small" onClick={() => takeAlong(waiting)}>
            Take it along
          </Button>{' '}
          <Button size="small" danger onClick={() => void letGo(id)}>
            Let it go
          </Button>
        </>
      )}
    </p>
  )
}

/** The take as a file of its own: what the server does not want is still its player's. */
function takeAlong({ id, played }: Waiting): void {
  const [file, name] =
    'sound' in played
      ? [played.sound, `take-${id}.wav`]
      : [new Blob([JSON.stringify(played.taps, null, 2)], { type: 'application/json' }), `take-${id}.json`]
  const link = Object.assign(document.createElement('a'), { href: URL.createObjectURL(file), download: name })
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href))
}
