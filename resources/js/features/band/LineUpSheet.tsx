import { Button } from 'antd'
import { addPart } from '../../api/song'
import type { Band, BreakdownDocument } from '../../api/types'
import { Dialog } from '../../ui/Dialog'
import { useBench, useDocument, useMine } from '../bench/benchContext'
import { useRemake } from '../bench/useRemake'
import { KeepWord } from './KeepWord'
import { LeadTune } from './LeadTune'
import { LineUpPart, type Part } from './LineUpPart'
import { MixBus } from './MixBus'

/** Who is in the band: how each plays and sounds, how loud, how high, and where against the beat. */
export function LineUpSheet({ band, onClose }: { band: Band; onClose: () => void }) {
  const { store } = useBench()
  const document = useDocument()
  const mine = useMine()
  const remake = useRemake()
  const change = (id: string, part: Partial<Part>) =>
    store.change(
      (d) => ({ ...d, parts: d.parts.map((each) => (each.id === id ? { ...each, ...part } : each)) as BreakdownDocument['parts'] }),
      { together: `part-${id}` },
    )
  return (
    <Dialog title="Line-up" open width={900} footer={null} onCancel={onClose} className="line-up">
      <table>
        <thead>
          <tr>
            <th scope="col">Part</th>
            <th scope="col">Plays</th>
            <th scope="col">Loudness</th>
            <th scope="col">Register</th>
            <th scope="col">Late by</th>
            <th scope="col">Straight</th>
            <th scope="col">
              <span className="unseen">More</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {document.parts.map((part) => {
            const told = band.parts.find(({ id }) => id === part.id)
            return (
              told !== undefined && (
                <LineUpPart
                  key={part.id}
                  part={part}
                  told={told}
                  limits={band.registers}
                  mine={mine}
                  onChange={(changed) => change(part.id, changed)}
                />
              )
            )
          })}
        </tbody>
      </table>
      {document.parts.map((part) => part.instrument === 'lead' && <LeadTune key={part.id} part={part} passes={document.passes} />)}
      <MixBus />
      {mine && band.absent.length > 0 && (
        <div className="button-row">
          <span className="label">Take in</span>
          {band.absent.map(({ slug, words }) => (
            <Button key={slug} size="small" onClick={() => void remake((d) => addPart(d, slug))}>
              {words}
            </Button>
          ))}
        </div>
      )}
      {mine && <KeepWord />}
    </Dialog>
  )
}
