import { ulid } from 'ulid'
import { recall, remember } from '../../ui/remembered'

/** Keys and the microphone are late by different amounts, so each is measured as a device of its own. */
const KEYS = { keys: 'gravik:device', microphone: 'gravik:device:microphone' }

/** This browser on this machine, for the delay measured on it. */
export function deviceId(input: keyof typeof KEYS): string {
  const known = recall(KEYS[input])
  if (known !== null) return known
  const made = ulid().toLowerCase()
  remember(KEYS[input], made)
  return made
}
