declare module 'verovio/wasm' {
  export default function createVerovioModule(): Promise<unknown>
}
declare module 'verovio/esm' {
  export class VerovioToolkit {
    constructor(module: unknown)
    loadData(score: string): boolean
    renderToTimemap(options: object): unknown
    renderToMIDI(): string
    getMIDIValuesForElement(id: string): unknown
  }
}
