import { useQueryClient } from '@tanstack/react-query'
import { App, Button } from 'antd'
import { keys } from '../../api/queries'
import { forgetMove, useMoves } from '../../api/song'
import { Dialog } from '../../ui/Dialog'

/** The moves that were recorded from songs, to be played in any. */
export function MovesDialog({ onClose }: { onClose: () => void }) {
  const moves = useMoves()
  const client = useQueryClient()
  const { message } = App.useApp()
  const forget = async (id: string) => {
    try {
      await forgetMove(id)
      await client.invalidateQueries({ queryKey: keys.moves })
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : 'That did not work.')
    }
  }
  return (
    <Dialog title="Your moves" open footer={null} onCancel={onClose}>
      {moves.error !== null && (
        <p role="alert" className="finding finding-off">
          {moves.error.message}
        </p>
      )}
      {moves.data?.length === 0 && (
        <p className="empty">
          No moves yet. On the Chart choose a bar of a pass and “Record this bar …”: it is then found under the bars of every song.
        </p>
      )}
      <ul className="moves-list">
        {moves.data?.map(({ id, name, meter }) => (
          <li key={id}>
            <b>{name}</b> <small className="muted">{meter}</small>
            <Button size="small" danger onClick={() => void forget(id)} aria-label={`Forget ${name}`}>
              Forget
            </Button>
          </li>
        ))}
      </ul>
      <p className="muted">Songs that play a move keep it when it is forgotten here.</p>
    </Dialog>
  )
}
