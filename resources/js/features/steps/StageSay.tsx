import { Button, Checkbox, Input } from 'antd'
import type { Lesson, LessonStage, OpenStage } from '../../api/types'
import type { Note } from './notes'

type Props = { stage: LessonStage; open: OpenStage; waits: Lesson['waits']; mine: boolean; onNote: (change: Partial<Note>) => void }

/** What is said of a stage, what usually goes wrong in it, and what waits for a later one. */
export function StageSay({ stage, open, waits, mine, onNote }: Props) {
  return (
    <section className="stage-say" aria-label="What to say">
      <h3>
        Say {open.own_say && <span className="own-words">~ your words</span>}
        {open.own_say && mine && (
          <Button size="small" onClick={() => onNote({ say: undefined })}>
            As proposed
          </Button>
        )}
      </h3>
      {mine ? (
        <Words key={`${stage.key}-${open.say}`} label="The cue" words={open.say} onChange={(say) => onNote({ say })} />
      ) : (
        <p className="stage-cue">{open.say}</p>
      )}
      <h3>
        Usually goes wrong {open.own_mistakes && <span className="own-words">~ your words</span>}
        {open.own_mistakes && mine && (
          <Button size="small" onClick={() => onNote({ mistakes: undefined })}>
            As proposed
          </Button>
        )}
      </h3>
      {mine ? (
        <Words
          key={`${stage.key}-${open.mistakes.join()}`}
          label="Usual mistakes, one a line"
          small
          words={open.mistakes.join('\n')}
          onChange={(typed) =>
            onNote({
              mistakes: typed
                .split('\n')
                .map((line) => line.trim())
                .filter((line) => line !== '')
                .slice(0, 6),
            })
          }
        />
      ) : (
        <ul className="stage-mistakes">
          {open.mistakes.map((mistake) => (
            <li key={mistake}>{mistake}</li>
          ))}
        </ul>
      )}
      <h3>Still to come</h3>
      {open.postponed.length === 0 && <p className="muted">Nothing: all of the song is in it.</p>}
      <ul className="stage-later">
        {open.postponed.map(({ what, stage: number }) => (
          <li key={what}>
            {what} <span className="muted">{number === null ? 'in no stage yet' : `in stage ${number}`}</span>
          </li>
        ))}
      </ul>
      {mine && (
        <div className="stage-waits" role="group" aria-label="What waits on purpose">
          <span className="muted">waits here:</span>
          {waits.map(({ id, words }) => (
            <Checkbox
              key={id}
              checked={stage.waits.includes(id)}
              onChange={(event) =>
                onNote({
                  waits: waits.map((each) => each.id).filter((each) => (each === id ? event.target.checked : stage.waits.includes(each))),
                })
              }
            >
              {words}
            </Checkbox>
          ))}
        </div>
      )}
    </section>
  )
}

function Words({
  label,
  words,
  small = false,
  onChange,
}: {
  label: string
  words: string
  small?: boolean
  onChange: (words: string) => void
}) {
  return (
    <Input.TextArea
      aria-label={label}
      className={small ? 'stage-words small' : 'stage-words'}
      variant="borderless"
      autoSize={{ minRows: 1, maxRows: 5 }}
      maxLength={small ? 1800 : 300}
      defaultValue={words}
      onBlur={(event) => {
        const typed = event.target.value.trim()
        if (typed !== words && typed !== '') onChange(typed)
      }}
    />
  )
}
