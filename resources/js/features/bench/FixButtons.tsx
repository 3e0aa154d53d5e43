import { Button } from 'antd'
import type { Fix } from '../../api/types'
import { useBench, useMine } from './benchContext'

/** One click takes a proposal over; nothing is changed before. */
export function FixButtons({ fixes }: { fixes: Fix[] }) {
  const { store } = useBench()
  if (!useMine()) return null
  return (
    <span className="fix-buttons">
      {fixes.map((fix) => (
        <Button key={fix.text} size="small" onClick={() => store.change((d) => ({ ...d, ...fix.change }))}>
          {fix.text}
        </Button>
      ))}
    </span>
  )
}
