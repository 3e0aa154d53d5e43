import { useEffect } from 'react'

const inText = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (target.isContentEditable || target instanceof HTMLTextAreaElement || target instanceof HTMLSelectElement || (target instanceof HTMLInputElement && !['checkbox', 'radio', 'button', 'range'].includes(target.type)))

/** "Shift+ArrowLeft", "mod+z", "a": mod is Ctrl or ⌘. */
function nameOf(event: KeyboardEvent): string {
  const key = event.key === ' ' ? 'Space' : event.key.length === 1 ? event.key.toLowerCase() : event.key
  const named = event.key.length > 1 || event.key === ' '
  return [event.ctrlKey || event.metaKey ? 'mod' : null, event.altKey ? 'alt' : null, event.shiftKey && (named || event.ctrlKey || event.metaKey) ? 'Shift' : null, key].filter((part) => part !== null).join('+')
}

/** Shortcuts of a screen. They rest while somebody types in a field, and buttons keep Enter and Space. */
export function useKeys(keys: Record<string, (event: KeyboardEvent) => void>, enabled = true): void {
  useEffect(() => {
    if (!enabled) return
    const listen = (event: KeyboardEvent) => {
      if (inText(event.target) || event.defaultPrevented) return
      if (document.querySelector('.ant-modal-wrap:not([style*="display: none"]), .ant-popover:not(.ant-popover-hidden) input') !== null) return
      const name = nameOf(event)
      if (event.target instanceof HTMLElement && event.target.closest('button, a, [role="combobox"]') !== null && name === 'Enter') return
      const act = keys[name]
      if (act !== undefined) {
        event.preventDefault()
        act(event)
      }
    }
    window.addEventListener('keydown', listen)
    return () => window.removeEventListener('keydown', listen)
  })
}
