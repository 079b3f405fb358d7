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
 * How far off a lap may be by what its car is known to, s, as one standard uncertainty: each figure moved by its doubt,
 * one at a time.
 *
 * @param course as coarse as comparing allows
 * @param options longest piece of the course, m
 * @throws {RangeError} as `lapTime` does; a moved car that gets nowhere counts for nothing
 * @source JCGM 100:2008, 5.1.3: sensitivities by finite steps, independent inputs
 * @example lapSpread(axleCar, circle, { ...doubts, grip: 0 }) // 0.112
 */
export function lapSpread(
  car: AxleCar,
  course: LapCourse,
  doubts: LapDoubts,
  options: { readonly step?: number } = {},
): number {
  const base = lapSeconds(car, course, options)
  const { downforce, ...single } = doubts
  const keys = (Object.keys(single) as (keyof typeof single)[]).filter((key) => key !== 'grip')
  const off = (one: LapDoubts) =>
    orWhy(
      () => lapSeconds(carOffBy(car, one), course, options) - base,
      () => 0,
    )
  const moved = [
    ...keys.flatMap((key) => (doubts[key] === 0 ? [] : [{ ...SURE, [key]: doubts[key] }])),
    ...(['front', 'rear'] as const).flatMap((axle) =>
      downforce[axle] === 0 ? [] : [{ ...SURE, downforce: { ...SURE.downforce, [axle]: downforce[axle] } }],
    ),
  ]
  // Less grip costs more than as much more of it wins, and nothing else is in doubt as much: both sides are driven.
  const grips = doubts.grip === 0 ? [] : [doubts.grip, -doubts.grip].map((grip) => off({ ...SURE, grip }))
  return Math.hypot(...moved.map(off), ...grips.map((one) => one / Math.SQRT2))
}
