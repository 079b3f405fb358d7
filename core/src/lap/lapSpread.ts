import type { Doubts } from '../evidence/doubts'
import { doubtName, type CarFigure } from '../evidence/doubtNames'
import { orWhy } from '../numeric/orWhy'
import type { AxleCar } from './AxleCar'
import { carOffBy, type LapDoubts } from './carOffBy'
import { lapSeconds, type LapCourse } from './lapTime'

const SURE: LapDoubts = {
  mass: 0,
  height: 0,
  power: 0,
  grip: 0,
  radius: 0,
  drag: 0,
  downforce: { front: 0, rear: 0 },
  transferShare: 0,
  brakeFront: 0,
  sensitivity: 0,
}

/**
 * How far off a lap may be by what its car is known to, s, by name: each figure moved by its doubt, one at a time.
 *
 * @param course as coarse as comparing allows
 * @param options longest piece of the course, m
 * @throws {RangeError} as `lapTime` does; a moved car that gets nowhere counts for nothing
 * @source JCGM 100:2008, 5.1.3: sensitivities by finite steps, independent inputs
 * @example sigmaOf(lapSpread(axleCar, circle, { ...doubts, grip: 0 })) // 0.112
 */
export function lapSpread(
  car: AxleCar,
  course: LapCourse,
  doubts: LapDoubts,
  options: { readonly step?: number } = {},
): Doubts {
  const base = lapSeconds(car, course, options)
  const off = (one: Partial<LapDoubts>) =>
    orWhy(
      () => lapSeconds(carOffBy(car, { ...SURE, ...one }), course, options) - base,
      () => 0,
    )
  const { downforce, grip, ...single } = doubts
  const keys = Object.keys(single) as (keyof typeof single)[]
  // Less grip costs more than as much more of it wins, and nothing else is in doubt as much: both sides are driven.
  const [more, less] = grip === 0 ? [0, 0] : [off({ grip }), off({ grip: -grip })]
  const effects: readonly (readonly [CarFigure, number])[] = [
    ['grip', (Math.sign(more) || 1) * (Math.hypot(more, less) / Math.SQRT2)],
    ...keys.map((key) => [key, doubts[key] === 0 ? 0 : off({ [key]: doubts[key] })] as const),
    ['downforceFront', downforce.front === 0 ? 0 : off({ downforce: { front: downforce.front, rear: 0 } })],
    ['downforceRear', downforce.rear === 0 ? 0 : off({ downforce: { front: 0, rear: downforce.rear } })],
  ]
  return Object.fromEntries(
    effects.flatMap(([figure, effect]) => (effect === 0 ? [] : [[doubtName.figure(figure), effect]])),
  )
}
