/**
 * What this browser remembers between visits. A store that is full or forbidden must stop nothing: what cannot be kept is
 * kept until the page is left.
 */
const untilLeft = new Map<string, string>()

export function recall(key: string): string | null {
  try {
    return untilLeft.get(key) ?? localStorage.getItem(key)
  } catch {
    return untilLeft.get(key) ?? null
  }
}

/** Whether it will be there after a reload. */
export function remember(key: string, value: string): boolean {
  try {
    localStorage.setItem(key, value)
    untilLeft.delete(key)
    return true
  } catch {
    untilLeft.set(key, value)
    return false
  }
}

export function forget(key: string): void {
  untilLeft.delete(key)
  try {
    localStorage.removeItem(key)
  } catch {
    // Then there was nothing to forget.
  }
}

/** A value written as JSON; null where there is none or it cannot be read. */
export function recalled<T>(key: string): T | null {
  try {
    return JSON.parse(recall(key) ?? 'null') as T | null
  } catch {
    return null
  }
}
