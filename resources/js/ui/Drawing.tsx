import { Button } from 'antd'
import { useRef, type ReactNode } from 'react'
import { saveDrawing } from './drawing'

/** A drawing that can be taken along by itself; the way to do so shows where it is pointed at or reached by keys. */
export function Drawing({ name, children }: { name: string; children: ReactNode }) {
  const frame = useRef<HTMLDivElement>(null)
  const take = () => {
    const drawn = [...(frame.current?.querySelectorAll('svg') ?? [])].find((each) => each.closest('button') === null)
    if (drawn !== undefined) saveDrawing(drawn, name)
  }
  return (
    <div ref={frame} className="drawing">
      {children}
      <Button size="small" className="take-drawing" onClick={take} title={`Save ${name} as a drawing`}>
        SVG
      </Button>
    </div>
  )
}
