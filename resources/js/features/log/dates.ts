/** The log's own axis: whole days. */
const A_DAY = 86_400_000

/** Days since some day long ago, by the date alone. */
export const dayNumber = (iso: string): number => Math.round(Date.parse(`${iso.slice(0, 10)}T00:00:00Z`) / A_DAY)

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']

/** "22 Sep" of a date, or of a number of days. */
export function shortDate(day: string | number): string {
  const date = new Date((typeof day === 'string' ? dayNumber(day) : day) * A_DAY)
  return `${date.getUTCDate()} ${MONTHS[date.getUTCMonth()] ?? ''}`
}

/** A few round days between two, for the axis. */
export function marksBetween(from: number, to: number, most: number): number[] {
  const step = [1, 2, 7, 14, 28, 91, 182, 364].find((each) => (to - from) / each <= most) ?? 728
  return Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, place) => from + place * step)
}
