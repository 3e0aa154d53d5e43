import { Button } from 'antd'
import { useAssignments, useChangeWork, useTakeBack, type ClassRow } from '../../api/school'
import { Dialog } from '../../ui/Dialog'

type Props = { student: ClassRow; onGive: () => void; onClose: () => void }

/** All that a student was given: which stage lies on the stand, and what has changed since it was given. */
export function WorkDialog({ student, onGive, onClose }: Props) {
  const work = useAssignments(student.id)
  const change = useChangeWork()
  const takeBack = useTakeBack()
  return (
    <Dialog title={`What ${student.name} works at`} open onCancel={onClose} footer={null} width={640}>
      {work.data?.length === 0 && <p className="muted">Nothing yet.</p>}
      <ul className="plain-list work-list">
        {work.data?.map((each) => (
          <li key={each.id}>
            <div>
              <b>{each.title}</b> {each.passed ? <span className="held">passed</span> : each.stage_name}
              {each.due_on !== null && <small className="muted">{` due ${each.due_on}`}</small>}
              {(each.eased.length > 0 || !each.eases) && (
                <p className="finding finding-swing">
                  {each.eases
                    ? `Easier for this hand: ${each.eased.map(({ symbol, was, now, why }) => `${symbol} as ${now}, not ${was}, since ${why}`).join('; ')}. `
                    : 'Given in your own grips, whatever the hand. '}
                  <Button size="small" onClick={() => change.mutate({ id: each.id, eases: !each.eases })}>
                    {each.eases ? 'Give my grips' : 'Ease them'}
                  </Button>
                </p>
              )}
              {each.differs.length > 0 && (
                <p className="finding finding-swing">
                  You have changed it since: {each.differs.join('; ')}.
                  <Button size="small" onClick={() => change.mutate({ id: each.id, renew: true })}>
                    Go on with today’s
                  </Button>
                </p>
              )}
            </div>
            <div className="button-row">
              {each.stages.length > 1 && (
                <>
                  <Button
                    size="small"
                    disabled={each.reached === 0}
                    onClick={() => change.mutate({ id: each.id, reached: each.reached - 1 })}
                  >
                    Stage back
                  </Button>
                  <Button
                    size="small"
                    disabled={each.reached >= each.stages.length - 1}
                    onClick={() => change.mutate({ id: each.id, reached: each.reached + 1 })}
                  >
                    Open the next
                  </Button>
                </>
              )}
              <Button size="small" danger onClick={() => takeBack.mutate(each.id)}>
                Take back
              </Button>
            </div>
          </li>
        ))}
      </ul>
      <Button type="primary" onClick={onGive}>
        Give something
      </Button>
    </Dialog>
  )
}
