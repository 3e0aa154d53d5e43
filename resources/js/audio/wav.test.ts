import { expect, it } from 'vitest'
import { wavOf } from './wav'

it('writes samples as a WAV file of 16 bits, and cuts off what is too loud', async () => {
  const view = new DataView(await wavOf([new Float32Array([0, 0.5]), new Float32Array([-1, 2])], 22050).arrayBuffer())
  const text = (at: number, length: number) => String.fromCharCode(...new Uint8Array(view.buffer, at, length))
  expect([text(0, 4), text(8, 8), text(36, 4)]).toEqual(['RIFF', 'WAVEfmt ', 'data'])
  expect([view.getUint32(4, true), view.getUint16(22, true), view.getUint32(24, true), view.getUint32(40, true)]).toEqual([44, 1, 22050, 8])
  expect([0, 1, 2, 3].map((place) => view.getInt16(44 + 2 * place, true))).toEqual([0, 16384, -32767, 32767])
})
