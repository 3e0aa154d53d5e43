const DAY = 86_400_000

/** "today", "yesterday", "4 days ago". */
export function ago(iso: string, now = Date.now()): string {
  const days = Math.floor(now / DAY) - Math.floor(new Date(iso).getTime() / DAY)
  if (days <= 0) return 'today'
  return days === 1 ? 'yesterday' : `${days} days ago`
}

/** "12 ms early", "on time". */
export function lateness(ms: number): string {
  const whole = Math.round(Math.abs(ms))
  return whole === 0 ? 'on time' : `${whole} ms ${ms < 0 ? 'early' : 'late'}`
}
