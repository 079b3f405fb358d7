import type { DynoSample } from '@bold-ballast/devices'

/**
 * The seam to a dyno. A real one is one more class with this shape: it opens its line when somebody listens, hands
 * on what the dyno shows as it comes, and null when the line is lost.
 */
export interface DynoSource {
  /** What it is called, for people. */
  readonly name: string
  /** Engines that it can be tried with; none on a real one. */
  readonly engines: readonly { readonly id: string; readonly name: string }[]
  /** @returns stops listening */
  listen(listener: (sample: DynoSample | null) => void): () => void
}
