import { ulid } from 'ulid'

const KEY = 'gravik:device'

/** This browser on this machine, for the delay measured on it. */
export function deviceId(): string {
  const known = localStorage.getItem(KEY)
  if (known !== null) return known
  const made = ulid().toLowerCase()
  localStorage.setItem(KEY, made)
  return made
}
