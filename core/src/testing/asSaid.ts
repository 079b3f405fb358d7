import { expect } from 'vitest'

/** A number as a comment writes it, with its thousands together and a plain sign. */
export const plainNumber = (written: string): string =>
  written
    .replace('−', '-')
    .replace(/[\s.,]+$/, '')
    .replace(/[ _]|,(?=\d{3})/g, '')

/** Half of the last place that is written, and a hair for how it was rounded. */
function halfPlace(written: string): number {
  const [digits = '', exponent = '0'] = written.split('e')
  const decimals = digits.split('.')[1]?.length ?? 0
  return 0.51 * 10 ** (Number(exponent) - decimals)
}

/** A value as a comment gives it: numbers to the places that are written, objects as far as they are written. */
export function asSaid(value: unknown, says: string): unknown {
  const places = new Map(
    [...says.replaceAll('−', '-').matchAll(/-?\d[\d ,_]*(?:\.\d+)?(?:e-?\d+)?/g)].map(([text]) => {
      const written = plainNumber(text)
      return [Number(written), halfPlace(written)] as const
    }),
  )
  const within = (part: unknown): unknown => {
    if (typeof part === 'number') {
      const half = places.get(part) ?? 0.51
      return expect.toSatisfy((found: number) => Math.abs(found - part) <= half, `about ${part}`)
    }
    if (Array.isArray(part)) return part.map(within)
    if (part && typeof part === 'object')
      return expect.objectContaining(
        Object.fromEntries(Object.entries(part).map(([key, inner]) => [key, within(inner)])),
      )
    return part
  }
  return within(value)
}
