import { ulid } from 'ulid'

/** Keys and the microphone are late by different amounts, so each is measured as a device of its own. */
const KEYS = { keys: 'gravik:device', microphone: 'gravik:device:microphone' }

/** This browser on this machine, for the delay measured on it. */
export function deviceId(input: keyof typeof KEYS): string {
  const known = localStorage.getItem(KEYS[input])
  if (known !== null) return known
  const made = ulid().toLowerCase()
  localStorage.setItem(KEYS[input], made)
  return made
}
