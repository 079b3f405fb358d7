import { itemAt } from '@bold-ballast/core'
import type { Lap, LapLimit } from '@bold-ballast/core'
import type { MapLook, MapStretch } from '../../../ui/CourseMap'

export const COLOURINGS = ['limit', 'speed', 'gear'] as const
export type Colouring = (typeof COLOURINGS)[number]

/** What holds the car at a place, as a builder would say it. */
export const LIMIT_WORDS: Readonly<Record<LapLimit, string>> = {
  front: 'front axle at its limit',
  rear: 'rear axle at its limit',
  driven: 'driven tyres at their limit',
  engine: 'all that the engine gives',
  brakes: 'braking',
}
const LIMITS: Readonly<Record<LapLimit, MapLook>> = {
  front: { says: LIMIT_WORDS.front, colour: '--oxide', width: 7 },
  rear: { says: LIMIT_WORDS.rear, colour: '--ochre', width: 7, dash: '7 2' },
  driven: { says: LIMIT_WORDS.driven, colour: '--zinc', width: 5, dash: '2 2' },
  engine: { says: LIMIT_WORDS.engine, colour: '--blued', width: 3 },
  brakes: { says: LIMIT_WORDS.brakes, colour: '--ink', width: 4, dash: '1 2' },
}
/** From slow to fast: thick and warm to thin and cold. */
const BANDS = [
  { colour: '--oxide', width: 8 },
  { colour: '--ochre', width: 6.5, dash: '9 1.5' },
  { colour: '--zinc', width: 5 },
  { colour: '--blued', width: 3.5 },
] as const
const GEARS = [
  { colour: '--oxide', width: 7 },
  { colour: '--ochre', width: 6, dash: '7 2' },
  { colour: '--zinc', width: 5 },
  { colour: '--blued', width: 4, dash: '9 2' },
  { colour: '--ink', width: 3 },
  { colour: '--muted', width: 3, dash: '2 2' },
] as const

/**
 * How each point of a lap is drawn, and what the looks mean.
 *
 * @param sayBand words for a band of speeds, m/s
 */
function looksOf(
  { points, slowest, fastest }: Lap,
  by: Colouring,
  sayBand: (from: number, to: number) => string,
): { readonly key: readonly MapLook[]; readonly of: (i: number) => MapLook } {
  if (by === 'limit') {
    const used = new Set(points.map((p) => p.limit))
    return {
      key: Object.entries(LIMITS).flatMap(([limit, look]) => (used.has(limit as LapLimit) ? [look] : [])),
      of: (i) => LIMITS[itemAt(points, i).limit],
    }
  }
  if (by === 'gear') {
    const key = GEARS.map((look, i): MapLook => ({
      ...look,
      says: i + 1 === GEARS.length ? `gear ${i + 1} and up` : `gear ${i + 1}`,
    }))
    const used = new Set(points.map((p) => Math.min(GEARS.length - 1, p.gear)))
    return {
      key: key.filter((_, i) => used.has(i)),
      of: (i) => itemAt(key, Math.min(GEARS.length - 1, itemAt(points, i).gear)),
    }
  }
  const width = Math.max(1e-6, (fastest - slowest) / BANDS.length)
  const key = BANDS.map((look, i): MapLook => ({
    ...look,
    says: sayBand(slowest + i * width, slowest + (i + 1) * width),
  }))
  return {
    key,
    of: (i) =>
      itemAt(
        key,
        Math.min(BANDS.length - 1, Math.max(0, Math.floor((itemAt(points, i).speed - slowest) / width))),
      ),
  }
}

/** A lap as stretches of one look each, with the key of the looks. */
export function lapStretches(
  lap: Lap,
  by: Colouring,
  sayBand: (from: number, to: number) => string,
): { readonly stretches: readonly MapStretch[]; readonly key: readonly MapLook[] } {
  const { key, of } = looksOf(lap, by, sayBand)
  const { points } = lap
  const stretches: { from: number; to: number; look: MapLook }[] = []
  for (let i = 0; i + 1 < points.length; i += 1) {
    const look = of(i)
    const last = stretches.at(-1)
    if (last?.look === look) last.to = itemAt(points, i + 1).distance
    else stretches.push({ from: itemAt(points, i).distance, to: itemAt(points, i + 1).distance, look })
  }
  return { stretches, key }
}
