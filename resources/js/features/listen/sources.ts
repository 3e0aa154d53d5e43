import { hearWhole, type Told } from '../../api/hearings'
import type { Hearing } from '../../api/types'
import { wavOf } from '../../audio/wav'

/** What cannot be opened, in words that say what to do. */
export class CannotOpen extends Error {}

const isMidi = (file: File) => /\.midi?$/i.test(file.name)
const isWav = (file: File) => /\.wav$/i.test(file.name)

/** WAV and MIDI go to the core as they are; what else the browser can play is decoded to one channel of samples first. */
export async function hearFile(file: File, told: Told = () => undefined): Promise<{ hearing: Hearing; sound: Blob | null }> {
  if (isMidi(file)) return { hearing: await hearWhole(new Blob([file], { type: 'audio/midi' }), told), sound: null }
  const sound = isWav(file) ? new Blob([file], { type: 'audio/wav' }) : await decoded(file)
  return { hearing: await hearWhole(sound, told), sound }
}

async function decoded(file: File): Promise<Blob> {
  const context = new OfflineAudioContext(1, 1, 44100)
  const buffer = await context.decodeAudioData(await file.arrayBuffer()).catch(() => {
    throw new CannotOpen(`The browser cannot play “${file.name}”. Choose a WAV, a MIDI file, or another recording.`)
  })
  const channels = Array.from({ length: buffer.numberOfChannels }, (_, channel) => buffer.getChannelData(channel))
  const mixed = new Float32Array(buffer.length)
  for (const samples of channels)
    for (let at = 0; at < samples.length; at++) mixed[at] = (mixed[at] ?? 0) + (samples[at] ?? 0) / channels.length
  return wavOf([mixed], buffer.sampleRate)
}
