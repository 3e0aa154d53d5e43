import { Button } from 'antd'
import type { Fix } from '../../api/types'
import { useMine } from './benchContext'
import { usePatches } from './usePatches'

/** One click takes a proposal over; nothing is changed before. */
export function FixButtons({ fixes }: { fixes: Fix[] }) {
  const apply = usePatches()
  const mine = useMine()
  if (!mine) return null
  return (
    <span className="fix-buttons">
      {fixes.map((fix) => (
        <Button key={fix.text} size="small" onClick={() => apply(fix.change)}>
          {fix.text}
        </Button>
      ))}
    </span>
  )
}
