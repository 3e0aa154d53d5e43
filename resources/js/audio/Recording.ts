/** Sound as it comes in, block by block. */
export class Recording {
  readonly blocks: Float32Array[] = []
  /** audio second of its first sample, as it is known by now: the clock of a device is told truer from block to block */
  since: number | null = null
  private samples = 0

  /** @param rate samples a second */
  add(block: Float32Array, at: number, rate: number): void {
    this.since = at - this.samples / rate
    this.blocks.push(block)
    this.samples += block.length
  }
}
