import { useEffect, useState, type RefObject } from 'react'

/** The width of an element as it is laid out; 900 until that is known. */
export function useWidth(box: RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(900)
  useEffect(() => {
    const element = box.current
    if (element === null) return
    const observer = new ResizeObserver(() => setWidth(Math.max(320, element.clientWidth)))
    observer.observe(element)
    return () => observer.disconnect()
  }, [box])
  return width
}
