import { drum, pluck, tone, type DrumName, type Pluck, type Tone } from './synth'

/** A sound that is wanted, by the name it is kept under. */
export type WantedSound = { name: string; rate: number } & ({ drum: DrumName } | { pluck: Pluck } | { tone: Tone })

export type MadeSound = { name: string; samples: Float32Array<ArrayBuffer> }

export const makeSound = (wanted: WantedSound): Float32Array<ArrayBuffer> =>
  'drum' in wanted ? drum(wanted.drum, wanted.rate) : 'tone' in wanted ? tone(wanted.tone, wanted.rate) : pluck(wanted.pluck, wanted.rate)

// In a worker this makes sounds while the page stays awake; imported by the page it only lends `makeSound`.
if (typeof document === 'undefined') {
  const worker = self as unknown as {
    onmessage: (event: MessageEvent<WantedSound>) => void
    postMessage(made: MadeSound, transfer: Transferable[]): void
  }
  worker.onmessage = ({ data }) => {
    const samples = makeSound(data)
    worker.postMessage({ name: data.name, samples }, [samples.buffer])
  }
}
