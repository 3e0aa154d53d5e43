import { Button } from 'antd'
import { useChoices } from '../../api/queries'
import type { Choices } from '../../api/types'
import { Losses, type TakeWish } from './Losses'
import { useState } from 'react'

type Export = Choices['exports'][number]

const QUALITIES = ['chords', 'grips', 'strokes', 'muting', 'swing', 'passes', 'stages'] as const

/** Every form in which the song can leave the house, and what each keeps of it. */
export function TakeAlong({ onTake, onPrint }: { onTake: (format: string, wanted: TakeWish) => void; onPrint: () => void }) {
  const forms = useChoices().data?.exports ?? []
  const [asked, setAsked] = useState<Export | null>(null)
  return (
    <>
      <h2>
        Take it along <small className="muted">what each form keeps</small>
      </h2>
      <Button type="primary" block onClick={onPrint}>
        Print, or save as PDF <kbd className="on-ink">L</kbd>
      </Button>
      <table className="forms">
        <thead>
          <tr>
            <th scope="col">
              <span className="unseen">Form</span>
            </th>
            {QUALITIES.map((quality) => (
              <th key={quality} scope="col">
                <i>{quality}</i>
              </th>
            ))}
            <th scope="col">
              <span className="unseen">Take</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {forms.map((form) => (
            <tr key={form.format}>
              <th scope="row">
                {form.name}
                <small>{form.words}</small>
              </th>
              {QUALITIES.map((quality) => (
                <td key={quality}>
                  <Kept how={form.keeps[quality]} />
                </td>
              ))}
              <td>
                <Button size="small" aria-label={`Take ${form.name}`} onClick={() => setAsked(form)}>
                  Take
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="forms-key muted">
        <Kept how="kept" /> kept <Kept how="bent" /> bent to fit <Kept how="out" /> left out
      </p>
      {asked !== null && (
        <Losses
          form={asked}
          onClose={() => setAsked(null)}
          onTake={(wanted) => {
            onTake(asked.format, wanted)
            setAsked(null)
          }}
        />
      )}
    </>
  )
}

function Kept({ how }: { how: Export['keeps']['chords'] }) {
  return (
    <svg
      width="14"
      height="18"
      viewBox="0 0 14 18"
      role="img"
      aria-label={how === 'kept' ? 'kept' : how === 'bent' ? 'bent to fit' : 'left out'}
    >
      {how === 'out' ? (
        <path d="M3 9h8" className="form-out" />
      ) : (
        <path d="M3 1h7l1 10-2 6-5-6z" className={how === 'kept' ? 'form-kept' : 'form-bent'} />
      )}
    </svg>
  )
}
