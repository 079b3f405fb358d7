import type { LoggerSample } from '@bold-ballast/devices'

/**
 * The seam to a logger in a car. A real one is one more class with this shape: it opens its line when somebody listens,
 * hands on each sample as it comes, and null when the line is lost.
 */
export interface LoggerSource {
  /** What it is called, for people. */
  readonly name: string
  readonly isSimulated: boolean
  /** @returns stops listening */
  listen(listener: (sample: LoggerSample | null) => void): () => void
}
