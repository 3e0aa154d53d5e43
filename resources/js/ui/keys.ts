import { useEffect } from 'react'

const inText = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    target instanceof HTMLTextAreaElement ||
    target instanceof HTMLSelectElement ||
    (target instanceof HTMLInputElement && !['checkbox', 'radio', 'button', 'range'].includes(target.type)))

/** "Shift+ArrowLeft", "mod+z", "a": mod is Ctrl or ⌘. */
function nameOf(event: KeyboardEvent): string {
  const key = event.key === ' ' ? 'Space' : event.key.length === 1 ? event.key.toLowerCase() : event.key
  const named = event.key.length > 1 || event.key === ' '
  return [
    event.ctrlKey || event.metaKey ? 'mod' : null,
    event.altKey ? 'alt' : null,
    event.shiftKey && (named || event.ctrlKey || event.metaKey) ? 'Shift' : null,
    key,
  ]
    .filter((part) => part !== null)
    .join('+')
}

const PRESSED =
  'button, a[href], summary, [role="button"], [role="link"], [role="checkbox"], [role="switch"], input[type="checkbox"], input[type="radio"]'
const WALKED =
  '[role="tab"], [role="option"], [role="listbox"], [role="radiogroup"], [role="menuitem"], [role="slider"], [role="spinbutton"], .ant-segmented, input[type="radio"], input[type="range"]'
const OWNS_ALL = '[role="combobox"], .ant-select, .ant-picker'

/** Whether what has the focus does something of its own with this key: it comes before any shortcut. */
function belongsToFocus(target: EventTarget | null, name: string): boolean {
  if (!(target instanceof Element)) return false
  if (inText(target)) return true
  const bare = name.replace(/^Shift\+/, '')
  if (target.closest(OWNS_ALL) !== null) return !name.startsWith('mod+') && !name.startsWith('alt+')
  if (target.closest(PRESSED) !== null && (bare === 'Enter' || bare === 'Space')) return true
  return (
    target.closest(WALKED) !== null &&
    ['Enter', 'Space', 'ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight', 'Home', 'End', 'PageUp', 'PageDown'].includes(bare)
  )
}

/** Shortcuts of a screen. The keyboard belongs to what has the focus first, and to a sheet that lies over the page. */
export function useKeys(keys: Record<string, (event: KeyboardEvent) => void>, enabled = true): void {
  useEffect(() => {
    if (!enabled) return
    const listen = (event: KeyboardEvent) => {
      if (event.defaultPrevented) return
      if (
        document.querySelector('.ant-modal-wrap:not([style*="display: none"])') !== null ||
        document.activeElement?.closest('.ant-popover') != null
      )
        return
      const name = nameOf(event)
      if (belongsToFocus(event.target, name)) return
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
