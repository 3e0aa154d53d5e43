import type { KeyboardEvent } from 'react'

const STEPS: Record<string, number> = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 }

/** In a list of options the arrows go from one to the next, and Home and End to its ends. Put it on the list's onKeyDown. */
export function walkList(event: KeyboardEvent<HTMLElement>): void {
  const options = [...event.currentTarget.querySelectorAll<HTMLElement>('[role="option"]')]
  const at = options.findIndex((option) => option === document.activeElement)
  const step = STEPS[event.key]
  const to =
    event.key === 'Home'
      ? 0
      : event.key === 'End'
        ? options.length - 1
        : step === undefined || at < 0
          ? null
          : Math.min(options.length - 1, Math.max(0, at + step))
  if (to === null) return
  event.preventDefault()
  options[to]?.focus()
}
