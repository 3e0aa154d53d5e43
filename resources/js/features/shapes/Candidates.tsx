import { Button, Select } from 'antd'
import { useEffect, useRef } from 'react'
import { useChoices } from '../../api/queries'
import type { Voicing } from '../../api/types'
import { saveDrawing } from '../../ui/drawing'
import { gripText } from '../../ui/gripText'
import { MiniNeck } from '../../ui/MiniNeck'

type Props = {
  voicings: Voicing[]
  count: number
  refusal: string | null
  inUse: Voicing
  onLook: (voicing: Voicing) => void
  busy: boolean
  kind: string
  onKind: (kind: string) => void
}

/** Other grips for the same chord as small pictures, two abreast, those that suit best first; each is heard when it is chosen. */
export function Candidates({ voicings, count, refusal, inUse, onLook, busy, kind, onKind }: Props) {
  const kinds = useChoices().data?.kinds ?? []
  const list = useRef<HTMLDivElement>(null)
  const used = inUse.frets.join()
  useEffect(() => {
    const box = list.current
    const chosen = box?.querySelector<HTMLElement>('.chosen')
    if (box === null || !chosen) return
    // Only the list scrolls: the grip's own table above it stays in sight.
    const top = chosen.offsetTop - box.offsetTop
    if (top < box.scrollTop || top + chosen.offsetHeight > box.scrollTop + box.clientHeight)
      box.scrollTo({ top: Math.max(0, top - box.clientHeight / 2 + chosen.offsetHeight / 2) })
  }, [used])
  return (
    <section className="candidates" aria-busy={busy}>
      <div className="candidates-head">
        <h3>Elsewhere</h3>
        <small className="muted" hidden={refusal !== null}>
          {voicings.length} of {count}
        </small>
        <Select
          aria-label="Kind of grip"
          className="kind-select"
          value={kind}
          onChange={(kind) => {
            onKind(kind)
            ;(window.document.activeElement as HTMLElement | null)?.blur()
          }}
          options={[{ value: '', label: 'any kind of grip' }, ...kinds.map(({ slug, name }) => ({ value: slug, label: name }))]}
          popupMatchSelectWidth={false}
        />
        <Button
          size="small"
          title="Save this grip as a drawing"
          onClick={() => {
            const drawn = list.current?.querySelector<SVGSVGElement>('.chosen svg')
            if (drawn != null) saveDrawing(drawn, `grip ${gripText(inUse.frets)}`)
          }}
        >
          SVG
        </Button>
      </div>
      {refusal !== null && (
        <p role="alert" className="finding finding-off">
          {refusal}
        </p>
      )}
      <div ref={list} className="candidate-list" role="group" aria-label="Grips">
        {voicings.map((voicing) => (
          <button
            key={voicing.frets.join()}
            type="button"
            aria-pressed={voicing.frets.join() === used}
            title={voicing.degrees.filter((degree) => degree !== null).join(' ')}
            className={voicing.frets.join() === used ? 'candidate chosen' : 'candidate'}
            onClick={() => onLook(voicing)}
          >
            <MiniNeck voicing={voicing} width={128} height={45} />
            <b>{gripText(voicing.frets)}</b>
            <span className="difficulty" title={`difficulty ${voicing.difficulty.toFixed(1)}`}>
              <i style={{ width: `${Math.min(100, 25 * voicing.difficulty)}%` }} />
            </span>
          </button>
        ))}
      </div>
    </section>
  )
}
