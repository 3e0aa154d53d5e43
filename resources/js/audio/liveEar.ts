import { compute } from '../api/client'
import { wavOf } from './wav'

/** Strokes as they are heard while somebody still plays; the judgement comes from the whole take afterwards. */
export type LiveStroke = { t: number; key: 'down' | 'up' | null }

/** A stretch of so many seconds is heard at a time, every so often. */
const STRETCH_S = 3
const EVERY_S = 1.5
/** At the edges of a stretch a stroke may be half there. */
const EDGE_S = 0.3
/** What lies nearer than this to the one before was heard already. */
const SAME_S = 0.06

/** Hands the newest stretch of a recording to the core again and again, one at a time, and gathers what it hears. */
export class LiveEar {
  private readonly strokes: LiveStroke[] = []
  private heardUntil = 0
  private busy = false

  constructor(
    private readonly rate: number,
    private readonly onHeard: (strokes: LiveStroke[]) => void,
  ) {}

  /** @param blocks of the recording from its beginning on; @param since the audio second of its first sample */
  async listen(blocks: Float32Array[], since: number): Promise<void> {
    const samples = blocks.reduce((sum, block) => sum + block.length, 0)
    const until = since + samples / this.rate
    if (this.busy || until - this.heardUntil < EVERY_S) return
    this.busy = true
    this.heardUntil = until
    const stretch = newest(blocks, Math.round(STRETCH_S * this.rate))
    const begins = until - stretch.reduce((sum, block) => sum + block.length, 0) / this.rate
    try {
      const { strokes } = await compute('/api/compute/hear', wavOf(stretch, this.rate))
      for (const stroke of strokes) {
        const t = begins + stroke.t
        const last = this.strokes.at(-1)?.t ?? -Infinity
        if ((stroke.t > EDGE_S || begins <= since) && t < until - EDGE_S && t > last + SAME_S)
          this.strokes.push({ t, key: stroke.direction })
      }
      this.onHeard([...this.strokes])
    } catch {
      // Silence, or a moment without the server: the next stretch comes soon.
    } finally {
      this.busy = false
    }
  }
}

/** The last blocks that hold so many samples. */
function newest(blocks: Float32Array[], samples: number): Float32Array[] {
  const taken: Float32Array[] = []
  let count = 0
  for (let index = blocks.length - 1; index >= 0 && count < samples; index--) {
    const block = blocks[index]
    if (block === undefined) break
    taken.unshift(block)
    count += block.length
  }
  return taken
}
