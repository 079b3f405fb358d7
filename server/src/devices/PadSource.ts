import type { PadReading } from '@bold-ballast/core'

/**
 * The seam to a set of scale pads. A real set is one more class with this shape: it opens its line when somebody
 * listens, hands on what the pads show as it comes, and null when the line is lost.
 */
export interface PadSource {
  /** What it is called, for people. */
  readonly name: string
  /** Smallest step of a pad, kg. */
  readonly resolution: number
  /** @returns stops listening */
  listen(listener: (reading: PadReading | null) => void): () => void
}
