/** One channel of samples as a WAV file of 16 bits. */
export function wavOf(chunks: Float32Array[], rate: number): Blob {
  const count = chunks.reduce((sum, chunk) => sum + chunk.length, 0)
  const view = new DataView(new ArrayBuffer(44 + 2 * count))
  const text = (at: number, words: string) => [...words].forEach((letter, index) => view.setUint8(at + index, letter.charCodeAt(0)))
  text(0, 'RIFF')
  view.setUint32(4, 36 + 2 * count, true)
  text(8, 'WAVEfmt ')
  view.setUint32(16, 16, true)
  view.setUint16(20, 1, true)
  view.setUint16(22, 1, true)
  view.setUint32(24, rate, true)
  view.setUint32(28, 2 * rate, true)
  view.setUint16(32, 2, true)
  view.setUint16(34, 16, true)
  text(36, 'data')
  view.setUint32(40, 2 * count, true)
  let at = 44
  for (const chunk of chunks) {
    for (const sample of chunk) {
      view.setInt16(at, Math.round(32767 * Math.max(-1, Math.min(1, sample))), true)
      at += 2
    }
  }
  return new Blob([view.buffer], { type: 'audio/wav' })
}
