/**
 * The sounds of the band as plain sample buffers, computed once a sound: a plucked string (a delay line that is damped
 * as it goes round), damped strings, a bass string, drums and clicks. No Web Audio here, so that tests can measure them.
 */
export type Pluck = {
  /** MIDI number */
  pitch: number
  kind: 'ring' | 'palm-mute' | 'chuck' | 'bass'
  direction: 'down' | 'up'
}

export const midiToHz = (pitch: number): number => 440 * 2 ** ((pitch - 69) / 12)

/** A small repeatable source of noise: the same sound each time it is made. */
function noiseFrom(seed: number): () => number {
  let state = (seed * 2654435761 + 1013904223) >>> 0
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 2147483648 - 1
  }
}

/**
 * partials: up to which the low E is bright; lossDb: what it loses in a second, and loss: by how much that grows with the
 * frequency, in octaves for each octave. Low strings are darker and ring longer than high ones, as those of guitars do.
 */
const VOICES = {
  ring: { seconds: 3.2, partials: 9, lossDb: 5.5, loss: 0.37, gain: 0.5 },
  'palm-mute': { seconds: 0.5, partials: 4.5, lossDb: 33, loss: 1, gain: 0.62 },
  bass: { seconds: 2.4, partials: 3.4, lossDb: 5.5, loss: 0, gain: 0.4 },
} as const

const LOW_E = 40
/** A string two octaves higher has so many times the partials; an up stroke, nearer the bridge, so many again. */
const BRIGHTER = 1.6
const UP_BRIGHTNESS = 2.4
/** Where the pick meets the string, as a share of it: from, and how much farther; another place for every pitch. */
const PICK_AT = { down: { from: 0.14, farther: 0.1 }, up: { from: 0.08, farther: 0.06 } } as const
const GOLDEN = 0.618033988749895
const COMB = 0.6
/** Hz: the lower, the stiffer the low E. Its tenth partial lies 3 cents too high; a string an octave higher is so much softer. */
const SOFTNESS = 9000
const SOFTER = 2.4
/** How loud the pick's click is against the string, and how fast it is gone. */
const PICK = 0.4
const PICK_SECONDS = 0.002

export function pluck(sound: Pluck, rate: number): Float32Array<ArrayBuffer> {
  return sound.kind === 'chuck' ? chuck(sound, rate) : string(sound, VOICES[sound.kind], rate)
}

function string(sound: Pluck, voice: (typeof VOICES)[keyof typeof VOICES], rate: number): Float32Array<ArrayBuffer> {
  const out = new Float32Array(Math.floor(voice.seconds * rate))
  const hz = midiToHz(sound.pitch)
  const octaves = (sound.pitch - LOW_E) / 12
  const decay = 10 ** ((-voice.lossDb * 2 ** (voice.loss * octaves)) / hz / 20)
  const period = rate / hz
  // A stiff string carries its high partials faster: an all-pass that delays the first one most.
  const stiff = Math.exp((-SOFTNESS * SOFTER ** octaves) / rate)
  const turn = (2 * Math.PI) / period
  const delayed = 1 + (2 / turn) * Math.atan((stiff * Math.sin(turn)) / (1 - stiff * Math.cos(turn)))
  // The averaging below delays by half a sample; the rest of the period is split into a whole and a fractional part.
  const rest = period - 0.5 - delayed
  const whole = Math.max(2, Math.floor(rest))
  const fraction = rest - whole
  const stretch = (1 - fraction) / (1 + fraction)
  const partials = voice.partials * BRIGHTER ** (octaves / 2) * (sound.direction === 'up' ? UP_BRIGHTNESS : 1)
  const { from, farther } = PICK_AT[sound.direction]
  const line = excitation(whole, partials, from + farther * ((sound.pitch * GOLDEN) % 1), sound.pitch)
  let place = 0
  let before = 0
  let passIn = 0
  let passOut = 0
  let stiffIn = 0
  let stiffOut = 0
  for (let i = 0; i < out.length; i++) {
    const now = line[place] ?? 0
    out[i] = now
    const averaged = decay * (0.5 * now + 0.5 * before)
    before = now
    const tuned = stretch * averaged + passIn - stretch * passOut
    passIn = averaged
    passOut = tuned
    const carried = stiffIn - stiff * (tuned - stiffOut)
    stiffIn = tuned
    stiffOut = carried
    line[place] = carried
    place = (place + 1) % whole
  }
  if (sound.kind !== 'bass') pick(out, sound.pitch, rate)
  return shaped(out, voice.gain, rate)
}

/** The pick leaving the string: a click over everything, gone in a few milliseconds. */
function pick(samples: Float32Array, pitch: number, rate: number): void {
  const noise = noiseFrom(pitch + 1000)
  const peak = samples.slice(0, Math.floor(0.05 * rate)).reduce((most, value) => Math.max(most, Math.abs(value)), 0)
  const count = Math.min(samples.length, Math.floor(PICK_SECONDS * 6 * rate))
  for (let i = 0; i < count; i++) samples[i] = (samples[i] ?? 0) + PICK * peak * noise() * Math.exp(-i / (PICK_SECONDS * rate))
}

/** Noise, dark above so many partials, and combed by where the pick meets the string. */
function excitation(length: number, partials: number, pickAt: number, seed: number): Float64Array {
  const noise = noiseFrom(seed)
  const line = new Float64Array(length).map(() => noise())
  // Twice, and twice round: the second time as if it had always gone round.
  const by = 1 - Math.exp(-2 * Math.PI * Math.min(0.45, partials / length))
  for (let round = 0; round < 2; round++) {
    let smooth = 0
    for (let i = 0; i < 2 * length; i++) {
      smooth += by * ((line[i % length] ?? 0) - smooth)
      if (i >= length) line[i - length] = smooth
    }
  }
  const shift = Math.max(1, Math.round(pickAt * length))
  const combed = line.map((value, i) => value - COMB * (line[(i + length - shift) % length] ?? 0))
  const mean = combed.reduce((sum, value) => sum + value, 0) / length
  return combed.map((value) => value - mean)
}

export type Tone = {
  /** MIDI number */
  pitch: number
  voice: ToneVoice
}

/** Levels of the partials; piano strings die away, the rest is held. A stiff string's partials lie higher than multiples of the first. */
const TONES = {
  keys: { seconds: 3, attack: 0.004, decay: 1.1, partials: [1, 0.42, 0.2, 0.11, 0.05], stiff: 0.0004, gain: 0.34 },
  organ: { seconds: 6, attack: 0.006, decay: 60, partials: [1, 0.7, 0.45, 0.3, 0, 0.16, 0, 0.1], stiff: 0, gain: 0.28 },
  accordion: { seconds: 6, attack: 0.03, decay: 60, partials: [1, 0.6, 0.75, 0.4, 0.4, 0.22, 0.2, 0.12, 0.08], stiff: 0, gain: 0.26 },
  horn: { seconds: 6, attack: 0.028, decay: 30, partials: [1, 0.72, 0.6, 0.42, 0.28, 0.18, 0.1, 0.06], stiff: 0, gain: 0.25 },
  voice: { seconds: 6, attack: 0.035, decay: 60, partials: [1, 0.5, 0.28, 0.3, 0.1, 0.04], stiff: 0, gain: 0.34 },
  bow: { seconds: 6, attack: 0.05, decay: 60, partials: [1, 0.55, 0.42, 0.3, 0.24, 0.17, 0.13, 0.1, 0.07], stiff: 0, gain: 0.3 },
} as const

export type ToneVoice = keyof typeof TONES
export const isTone = (kind: string): kind is ToneVoice => kind in TONES

/** A partial this high in the spectrum is left out. */
const HIGHEST_SHARE = 0.45

export function tone({ pitch, voice }: Tone, rate: number): Float32Array<ArrayBuffer> {
  const { seconds, attack, decay, partials, stiff, gain } = TONES[voice]
  const hz = midiToHz(pitch)
  const out = new Float32Array(Math.floor(seconds * rate))
  const audible = partials
    .map((share, place) => ({ share, number: place + 1, hz: (place + 1) * Math.sqrt(1 + stiff * (place + 1) ** 2) * hz }))
    .filter((partial) => partial.hz < HIGHEST_SHARE * rate)
  for (let i = 0; i < out.length; i++) {
    const t = i / rate
    let sample = 0
    for (const partial of audible)
      sample += partial.share * Math.sin(2 * Math.PI * partial.hz * t) * Math.exp((-t * partial.number) / decay)
    out[i] = sample * Math.min(1, t / attack)
  }
  return shaped(out, gain, rate)
}

/** Damped strings: a short knock of filtered noise around the string's pitch, without one of its own. */
function chuck(sound: Pluck, rate: number): Float32Array<ArrayBuffer> {
  const out = new Float32Array(Math.floor(0.09 * rate))
  const noise = noiseFrom(sound.pitch + (sound.direction === 'up' ? 500 : 0))
  const centre = (sound.direction === 'up' ? 2600 : 1700) + 14 * (sound.pitch - 52)
  const width = (2 * Math.PI * centre) / rate
  const damping = 0.35
  let low = 0
  let band = 0
  for (let i = 0; i < out.length; i++) {
    const high = noise() - low - 2 * damping * band
    band += width * high
    low += width * band
    out[i] = band * Math.exp(-i / (0.011 * rate))
  }
  return shaped(out, 0.6, rate)
}

export type DrumName =
  | 'kick'
  | 'rim'
  | 'snare'
  | 'hat'
  | 'ride'
  | 'shaker'
  | 'click'
  | 'click-high'
  | 'count-bar'
  | 'count-beat'
  | 'count-division'
  | 'count-finer'

/** By the General MIDI percussion key that the core's events carry. */
export const DRUM_OF_KEY: Record<number, DrumName> = { 36: 'kick', 37: 'rim', 38: 'snare', 42: 'hat', 51: 'ride', 70: 'shaker' }

const DRUMS: Record<
  DrumName,
  { seconds: number; tone: number; fall: number; toneDecay: number; noise: number; noiseDecay: number; bright: number; gain: number }
> = {
  kick: { seconds: 0.4, tone: 52, fall: 90, toneDecay: 0.13, noise: 0.08, noiseDecay: 0.008, bright: 0.2, gain: 0.95 },
  rim: { seconds: 0.12, tone: 820, fall: 0, toneDecay: 0.018, noise: 0.5, noiseDecay: 0.006, bright: 0.8, gain: 0.5 },
  snare: { seconds: 0.3, tone: 190, fall: 20, toneDecay: 0.05, noise: 0.8, noiseDecay: 0.075, bright: 0.75, gain: 0.55 },
  hat: { seconds: 0.12, tone: 0, fall: 0, toneDecay: 0.01, noise: 1, noiseDecay: 0.022, bright: 1, gain: 0.3 },
  ride: { seconds: 0.6, tone: 3100, fall: 0, toneDecay: 0.12, noise: 0.45, noiseDecay: 0.14, bright: 1, gain: 0.22 },
  shaker: { seconds: 0.14, tone: 0, fall: 0, toneDecay: 0.01, noise: 1, noiseDecay: 0.03, bright: 1, gain: 0.2 },
  click: { seconds: 0.05, tone: 1000, fall: 0, toneDecay: 0.012, noise: 0, noiseDecay: 0.01, bright: 0.5, gain: 0.5 },
  'count-bar': { seconds: 0.09, tone: 1320, fall: 0, toneDecay: 0.022, noise: 0.1, noiseDecay: 0.006, bright: 0.6, gain: 0.5 },
  'count-beat': { seconds: 0.09, tone: 990, fall: 0, toneDecay: 0.022, noise: 0.1, noiseDecay: 0.006, bright: 0.6, gain: 0.44 },
  'count-division': { seconds: 0.08, tone: 660, fall: 0, toneDecay: 0.018, noise: 0.1, noiseDecay: 0.006, bright: 0.6, gain: 0.36 },
  'count-finer': { seconds: 0.07, tone: 495, fall: 0, toneDecay: 0.015, noise: 0.1, noiseDecay: 0.006, bright: 0.6, gain: 0.3 },
  'click-high': { seconds: 0.05, tone: 1600, fall: 0, toneDecay: 0.012, noise: 0, noiseDecay: 0.01, bright: 0.5, gain: 0.55 },
}

export function drum(name: DrumName, rate: number): Float32Array<ArrayBuffer> {
  const voice = DRUMS[name]
  const out = new Float32Array(Math.floor(voice.seconds * rate))
  const noise = noiseFrom(name.length * 97 + voice.tone)
  let phase = 0
  let smooth = 0
  for (let i = 0; i < out.length; i++) {
    const t = i / rate
    phase += (2 * Math.PI * (voice.tone + voice.fall * Math.exp(-t / 0.02))) / rate
    smooth += voice.bright * (noise() - smooth)
    const hiss = voice.bright === 1 ? noise() - smooth : smooth
    out[i] =
      (voice.tone > 0 ? (1 - 0.5 * voice.noise) * Math.sin(phase) * Math.exp(-t / voice.toneDecay) : 0) +
      voice.noise * hiss * Math.exp(-t / voice.noiseDecay)
  }
  return shaped(out, voice.gain, rate)
}

/** Brings a sound to its level and fades its last 10 ms, so that no buffer ends in a click. */
function shaped(samples: Float32Array<ArrayBuffer>, gain: number, rate: number): Float32Array<ArrayBuffer> {
  const peak = samples.reduce((most, value) => Math.max(most, Math.abs(value)), 1e-9)
  const fade = Math.floor(0.01 * rate)
  return samples.map((value, i) => (value / peak) * gain * Math.min(1, (samples.length - i) / fade))
}
