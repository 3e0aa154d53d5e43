import { Button } from 'antd'
import type { Take } from '../../api/types'
import type { useJudge } from './useJudge'

/** What was played and is not judged yet: it is kept, and can be sent again. */
export function Unjudged({ judge, onJudged }: { judge: ReturnType<typeof useJudge>; onJudged: (take: Take | null) => void }) {
  const { unsent, unheard } = judge
  return (
    <>
      {unsent !== null && (
        <p className="finding finding-off" role="alert">
          Your last take is not judged yet. It is kept here.{' '}
          <Button size="small" onClick={() => void judge.taps(unsent.take, unsent.id).then(onJudged)}>
            Judge it now
          </Button>
        </p>
      )}
      {unheard !== null && (
        <p className="finding finding-off">
          Your last recording could not be heard. It is kept here until the page is left.{' '}
          <Button size="small" onClick={() => void judge.sound(unheard).then(onJudged)}>
            Hear it again
          </Button>
        </p>
      )}
    </>
  )
}
