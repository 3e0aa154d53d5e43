import { useQuery } from '@tanstack/react-query'
import { Button, InputNumber, Select } from 'antd'
import { useState } from 'react'
import { losses } from '../../api/handout'
import type { Choices } from '../../api/types'
import { Dialog } from '../../ui/Dialog'
import { ordinal } from '../../ui/words'
import { useDocument } from '../bench/benchContext'

type Props = { form: Choices['exports'][number]; onClose: () => void; onTake: (wish: TakeWish) => void }

export type TakeWish = { pass?: string; hear?: string; tempo?: number }

/** What a form will not keep of this song, before the file is taken. */
export function Losses({ form, onClose, onTake }: Props) {
  const document = useDocument()
  const [wish, setWish] = useState<TakeWish>({})
  const lost = useQuery({ queryKey: ['losses', form.format, document], queryFn: () => losses(document, form.format) })
  return (
    <Dialog title={`${form.name}: ${form.words}`} open onCancel={onClose} footer={null}>
      {lost.isPending && <p>Looking what it keeps …</p>}
      {lost.error !== null && <p className="cut">{lost.error.message}</p>}
      {lost.data?.not_kept.length === 0 && <p className="held">It keeps everything.</p>}
      {lost.data !== undefined && lost.data.not_kept.length > 0 && (
        <>
          <p>What it cannot hold of this song:</p>
          <ul>
            {lost.data.not_kept.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
        </>
      )}
      {document.passes.length > 1 && form.format !== 'json' && (
        <div className="take-wish">
          <Select
            aria-label="Which passes"
            value={wish.pass ?? ''}
            options={[
              { value: '', label: 'the whole song' },
              ...document.passes.map(({ id, name }, place) => ({
                value: id,
                label: name === '' ? `${ordinal(place + 1)} pass alone` : name,
              })),
            ]}
            onChange={(pass: string) => setWish({ ...wish, pass })}
          />
        </div>
      )}
      {lost.data !== undefined && lost.data.heard.length > 0 && (
        <div className="take-wish">
          <Select
            aria-label="Who is heard"
            value={wish.hear ?? lost.data.heard[0]?.id}
            options={lost.data.heard.map(({ id, words }) => ({ value: id, label: words }))}
            onChange={(hear) => setWish({ ...wish, hear })}
          />
          <InputNumber
            aria-label="Tempo"
            min={20}
            max={400}
            value={wish.tempo ?? document.start.tempo}
            onChange={(tempo) => tempo !== null && setWish({ ...wish, tempo })}
          />
          beats a minute
        </div>
      )}
      <div className="button-row">
        <Button type="primary" disabled={lost.data === undefined} onClick={() => onTake(wish)}>
          Take it
        </Button>
        <Button onClick={onClose}>Leave it</Button>
      </div>
    </Dialog>
  )
}
