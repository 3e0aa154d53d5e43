/** Days since some day long ago, as the calendar on the reader's wall counts them. */
const dayOf = (time: Date): number => Math.round(Date.UTC(time.getFullYear(), time.getMonth(), time.getDate()) / 86_400_000)

/** "today", "yesterday", "4 days ago", by the reader's own calendar. */
export function ago(iso: string, now = Date.now()): string {
  const days = dayOf(new Date(now)) - dayOf(new Date(iso))
  if (days <= 0) return 'today'
  return days === 1 ? 'yesterday' : `${days} days ago`
}

/** "12 ms early", "on time". */
export function lateness(ms: number): string {
  const whole = Math.round(Math.abs(ms))
  return whole === 0 ? 'on time' : `${whole} ms ${ms < 0 ? 'early' : 'late'}`
}

/** "1 bar", "4 bars". */
export const countOf = (count: number, word: string): string => `${count} ${word}${count === 1 ? '' : 's'}`

/** "14:05" on the reader's clock. The browser's own formatter takes 20 ms to be made, and this stands on the first screen. */
export const clock = (time: Date): string => `${String(time.getHours()).padStart(2, '0')}:${String(time.getMinutes()).padStart(2, '0')}`

export const ordinal = (number: number): string =>
  `${number}${[11, 12, 13].includes(number % 100) ? 'th' : (['th', 'st', 'nd', 'rd'][number % 10] ?? 'th')}`

/** What a pass is called: by its name, else by its number. */
export function passName(passes: readonly { id: string; name: string }[], id: string): string {
  const place = passes.findIndex((pass) => pass.id === id)
  return passes[place]?.name || ordinal(place + 1)
}
