import type { GearingFigures } from './compareGearings'
import type { Gearing } from './gearing'

/** What a workshop could fit; an empty list leaves what is fitted. */
export interface Shelf {
  readonly gearboxes: readonly { readonly name: string; readonly ratios: readonly number[] }[]
  readonly finalDrives: readonly { readonly name: string; readonly ratio: number }[]
  /** Drop gears, quick-change pairs or transfer ratios. */
  readonly between: readonly { readonly name: string; readonly ratio: number }[]
  readonly tyres: readonly { readonly name: string; readonly radius: number; readonly growth: number }[]
}

export interface ShelfCandidate {
  /** What of the shelf is in it, gearbox first; empty for what is fitted. */
  readonly parts: readonly string[]
  readonly gearing: Gearing
}

export const MOST_CANDIDATES = 500

/**
 * Every gearing that a shelf allows, the fitted one first.
 *
 * @throws {RangeError} when there are more than 500
 * @source all combinations; none stands twice
 * @example candidatesOf(fitted, { gearboxes: [], finalDrives: [{ name: 'short', ratio: 4.8 }], between: [], tyres: [] })
 */
export function candidatesOf(fitted: Gearing, shelf: Shelf): ShelfCandidate[] {
  const { gearboxes, finalDrives, between, tyres } = shelf
  const count = (gearboxes.length + 1) * (finalDrives.length + 1) * (between.length + 1) * (tyres.length + 1)
  if (count > MOST_CANDIDATES)
    throw new RangeError(`${count} combinations are more than ${MOST_CANDIDATES}: choose fewer sets`)
  const all: ShelfCandidate[] = []
  const seen = new Set<string>()
  for (const box of [null, ...gearboxes])
    for (const final of [null, ...finalDrives])
      for (const middle of [null, ...between])
        for (const tyre of [null, ...tyres]) {
          const gearing: Gearing = {
            ...fitted,
            ...(box && { ratios: box.ratios }),
            ...(final && { finalDrive: final.ratio }),
            ...(middle && { between: middle.ratio }),
            ...(tyre && { rollingRadius: tyre.radius, growth: tyre.growth }),
          }
          const { ratios, finalDrive, rollingRadius, growth } = gearing
          const key = JSON.stringify([ratios, finalDrive, gearing.between, rollingRadius, growth])
          if (seen.has(key)) continue
          seen.add(key)
          all.push({
            parts: [box, final, middle, tyre].flatMap((part) => (part ? [part.name] : [])),
            gearing,
          })
        }
  return all
}

export const RANKINGS = ['quarterMile', 'zeroToHundred', 'topSpeed', 'window', 'shifts', 'inBand'] as const
export type Ranking = (typeof RANKINGS)[number]

/**
 * Gearings by how well they do, the best first; what a gearing never reaches puts it last.
 *
 * @source the figure itself: least time and shifts; most speed, window and time on the boil
 * @example rankGearings([{ figures }], 'quarterMile')
 */
export function rankGearings<T extends { readonly figures: GearingFigures }>(
  tried: readonly T[],
  by: Ranking,
): T[] {
  const worth = ({ figures: f }: T): number => {
    const least = (figure: number | null | undefined) => (figure == null ? -Infinity : -figure)
    if (by === 'quarterMile') return least(f.quarterMile)
    if (by === 'zeroToHundred') return least(f.zeroToHundred)
    if (by === 'topSpeed') return f.topSpeed ?? -Infinity
    if (by === 'window') return f.window?.window ? f.window.window[1] - f.window.window[0] : -Infinity
    if (by === 'shifts') return least(f.lap?.shifts)
    return f.lap?.inBand ?? -Infinity
  }
  return [...tried].sort((a, b) => {
    const [wa, wb] = [worth(a), worth(b)]
    return wa === wb ? 0 : wb - wa
  })
}
