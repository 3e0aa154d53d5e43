import { App, Button, Checkbox, Input, InputNumber, Select } from 'antd'
import { useState } from 'react'
import { useBreakdownLesson } from '../../api/lesson'
import { useShelf } from '../../api/queries'
import { useClass, useGive } from '../../api/school'
import { Dialog } from '../../ui/Dialog'

type Props = {
  /** ids of students who are chosen already */ to?: number[]
  /** id of what is chosen already, and the stage it begins at */ breakdown?: { id: string; title: string }
  stage?: string | null
  onClose: () => void
}

/** Work is given: what, from which stage on, to whom, until when. */
export function GiveDialog({ to = [], breakdown: asked, stage = null, onClose }: Props) {
  const students = useClass().data ?? []
  const [search, setSearch] = useState('')
  const shelf = useShelf(search)
  const [breakdown, setBreakdown] = useState<string | undefined>(asked?.id)
  const [chosen, setChosen] = useState(to)
  const lesson = useBreakdownLesson(breakdown)
  const stages = (lesson.data?.stages ?? []).filter(({ number }) => number !== null)
  const [from, setFrom] = useState<string | null>(stage)
  const [due, setDue] = useState('')
  const [minutes, setMinutes] = useState(10)
  const [opens, setOpens] = useState(true)
  const give = useGive()
  const { message } = App.useApp()
  const first = stages.findIndex(({ key }) => key === from)
  const send = () => {
    if (breakdown === undefined) return
    give.mutate(
      {
        breakdown,
        students: chosen,
        stages: first < 0 ? [] : stages.slice(first).map(({ key }) => key),
        due_on: due === '' ? null : due,
        minutes,
        opens,
      },
      {
        onSuccess: (given) => {
          void message.success(`“${given[0]?.title ?? ''}” is given to ${given.length === 1 ? 'one student' : `${given.length} students`}.`)
          onClose()
        },
      },
    )
  }
  return (
    <Dialog title="Give work" open onCancel={onClose} footer={null} width={520}>
      <div className="sign-in-form">
        <label>
          To whom
          <Select
            mode="multiple"
            aria-label="To whom"
            value={chosen}
            onChange={setChosen}
            options={students.map(({ id, name }) => ({ value: id, label: name }))}
            showSearch={{ optionFilterProp: 'label' }}
          />
        </label>
        <label>
          What
          <Select
            aria-label="What"
            showSearch={{ filterOption: false, onSearch: setSearch }}
            placeholder="Search the shelf"
            value={breakdown}
            options={[...(asked === undefined ? [] : [asked]), ...(shelf.items ?? []).filter(({ id }) => id !== asked?.id)].map(
              ({ id, title }) => ({ value: id, label: title }),
            )}
            onChange={(id: string) => {
              setBreakdown(id)
              setFrom(null)
            }}
          />
        </label>
        <label>
          From which stage on
          <Select
            aria-label="From which stage on"
            loading={lesson.isFetching}
            value={from}
            onChange={setFrom}
            options={[
              { value: null, label: 'the whole song, with everybody' },
              ...stages.map(({ key, number, name }) => ({ value: key, label: `${number} ${name}` })),
            ]}
          />
        </label>
        <div className="field-row">
          <label>
            Until
            <Input type="date" aria-label="Until" value={due} onChange={(event) => setDue(event.target.value)} />
          </label>
          <label>
            Minutes a day
            <InputNumber aria-label="Minutes a day" min={5} max={25} value={minutes} onChange={(value) => setMinutes(value ?? 10)} />
          </label>
        </div>
        {first >= 0 && (
          <Checkbox checked={opens} onChange={(event) => setOpens(event.target.checked)}>
            A passed gate opens the next stage by itself
          </Checkbox>
        )}
        {give.error !== null && (
          <p role="alert" className="finding finding-off">
            {give.error.message}
          </p>
        )}
        <div className="button-row">
          <Button type="primary" disabled={breakdown === undefined || chosen.length === 0} loading={give.isPending} onClick={send}>
            Give it
          </Button>
          <Button onClick={onClose}>Leave it</Button>
        </div>
      </div>
    </Dialog>
  )
}
