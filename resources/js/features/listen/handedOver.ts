/** A recording that was dropped on the shelf goes along to the bench, where it is heard. */
let waiting: { id: string; file: File } | null = null

export const handOver = (id: string, file: File): void => void (waiting = { id, file })

/** The recording for this breakdown, once. */
export function handedOver(id: string): File | null {
  if (waiting?.id !== id) return null
  const { file } = waiting
  waiting = null
  return file
}

export const isRecording = (file: File): boolean =>
  !/\.midi?$/i.test(file.name) && (file.type.startsWith('audio/') || /\.(wav|mp3|m4a|ogg|flac|webm)$/i.test(file.name))
