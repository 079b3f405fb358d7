import type { AxleCar } from './AxleCar'
import { lapSeconds, type LapCourse } from './lapTime'

/** What a change of a car can be worth seconds for. */
export const RATE_KEYS = [
  'mass',
  'massHigh',
  'massBack',
  'power',
  'meanPower',
  'grip',
  'downforceFront',
  'downforceRear',
  'drag',
  'height',
  'brakeBalance',
  'shiftTime',
  'finalDrive',
] as const
export type RateKey = (typeof RATE_KEYS)[number]

/** A change of a car that can be made by more or less of it. SI. */
export interface RateStep {
  /** What a rate is quoted for: 1 kg, 1 kW, 1 % of grip, 0.1 m², −10 mm, 1 % of balance, 0.05 s, 5 % of final drive. */
  readonly per: number
  /** How far the car is changed up and down to find it: more than a shift more or less makes. */
  readonly by: number
  /** The car with so much of it. */
  readonly changed: (car: AxleCar, by: number) => AxleCar
}

/** Where a kilo sits high: at a roof, m; and far back: so far behind the rear axle. */
const ROOF = 1.3
const BEHIND = 0.5
/** Of the shift speed: below it no gear of a lap is used, as a share. */
const BAND = 0.7

/** A car with a mass more at a place. */
export function withMassAt(
  car: AxleCar,
  mass: number,
  at: { readonly x: number; readonly z: number },
): AxleCar {
  const all = car.mass + mass
  const mean = (own: number, other: number) => (own * car.mass + other * mass) / all
  return { ...car, mass: all, centre: { x: mean(car.centre.x, at.x), z: mean(car.centre.z, at.z) } }
}

/** A car with so many watts more, as much more at every engine speed. */
export function withPower(car: AxleCar, watts: number, meanOf: 'peak' | 'band'): AxleCar {
  const { drive } = car
  if (drive.kind === 'power') return { ...car, drive: { ...drive, power: drive.power + watts } }
  const powers = drive.curve.map((p) => ({ speed: p.speed, power: p.torque * p.speed }))
  const within = powers.filter((p) => p.speed >= BAND * drive.shiftSpeed && p.speed <= drive.shiftSpeed)
  const band = within.length > 0 ? within : powers
  const whole =
    meanOf === 'peak'
      ? Math.max(...powers.map((p) => p.power))
      : band.reduce((sum, p) => sum + p.power, 0) / band.length
  const times = 1 + watts / whole
  return { ...car, drive: { ...drive, curve: drive.curve.map((p) => ({ ...p, torque: p.torque * times })) } }
}

const withGrip = (car: AxleCar, share: number): AxleCar => {
  const { front, rear } = car.tyre
  return {
    ...car,
    tyre: {
      front: { ...front, grip: front.grip * (1 + share) },
      rear: { ...rear, grip: rear.grip * (1 + share) },
    },
  }
}
const withDownforce =
  (end: 'front' | 'rear') =>
  (car: AxleCar, area: number): AxleCar => ({
    ...car,
    downforce: { ...car.downforce, [end]: car.downforce[end] + area },
  })

const STEPS: Readonly<Record<RateKey, RateStep>> = {
  mass: { per: 1, by: 10, changed: (car, by) => withMassAt(car, by, car.centre) },
  massHigh: { per: 1, by: 10, changed: (car, by) => withMassAt(car, by, { x: car.centre.x, z: ROOF }) },
  massBack: {
    per: 1,
    by: 10,
    changed: (car, by) => withMassAt(car, by, { x: car.wheelbase + BEHIND, z: car.centre.z }),
  },
  power: { per: 1000, by: 5000, changed: (car, by) => withPower(car, by, 'peak') },
  meanPower: { per: 1000, by: 5000, changed: (car, by) => withPower(car, by, 'band') },
  grip: { per: 0.01, by: 0.01, changed: withGrip },
  downforceFront: { per: 0.1, by: 0.1, changed: withDownforce('front') },
  downforceRear: { per: 0.1, by: 0.1, changed: withDownforce('rear') },
  drag: { per: 0.1, by: 0.05, changed: (car, by) => ({ ...car, dragArea: car.dragArea + by }) },
  height: {
    per: -0.01,
    by: 0.01,
    changed: (car, by) => ({ ...car, centre: { ...car.centre, z: car.centre.z + by } }),
  },
  brakeBalance: {
    per: 0.01,
    by: 0.02,
    changed: (car, by) => ({ ...car, brakes: { ...car.brakes, front: car.brakes.front + by } }),
  },
  shiftTime: {
    per: -0.05,
    by: 0.05,
    changed: (car, by) =>
      car.drive.kind === 'power'
        ? car
        : { ...car, drive: { ...car.drive, shiftTime: car.drive.shiftTime + by } },
  },
  finalDrive: {
    per: 0.05,
    by: 0.025,
    changed: (car, by) =>
      car.drive.kind === 'power'
        ? car
        : { ...car, drive: { ...car.drive, finalDrive: car.drive.finalDrive * (1 + by) } },
  },
}

/** The rates that mean something for a car: one without gears has no shifts. */
export const ratesOf = (car: AxleCar): RateKey[] =>
  RATE_KEYS.filter((key) => car.drive.kind === 'gears' || !NEEDS_GEARS.has(key))
const NEEDS_GEARS = new Set<RateKey>(['meanPower', 'shiftTime', 'finalDrive'])

/** What each rate is quoted for. */
export const ratePer = (key: RateKey): number => STEPS[key].per

/** A car that is no car after a step down, such as one without shift time, is stepped up only. */
const goes = (key: RateKey, car: AxleCar, by: number): boolean => {
  const { changed } = STEPS[key]
  const there = changed(car, by)
  return (
    there.dragArea >= 0 &&
    there.brakes.front >= 0 &&
    there.brakes.front <= 1 &&
    there.centre.z >= 0 &&
    (there.drive.kind === 'power' || there.drive.shiftTime >= 0)
  )
}

/**
 * What a change of a car is worth on a course: seconds a lap for 1 kg, 1 kW, 1 % of grip and the like; below zero where
 * it makes the lap quicker.
 *
 * By central differences over a step that is larger than what one shift more or less makes; to one side only where the
 * other makes no car.
 *
 * @throws {RangeError} as `lapTime`
 * @source finite differences; exchange rates are common practice
 * @example exchangeRate(axleCar, { sections: [{ length: 188.5, radius: 30 }], closed: true }, 'grip') // -0.0428
 */
export function exchangeRate(
  car: AxleCar,
  course: LapCourse,
  key: RateKey,
  { step }: { readonly step?: number } = {},
): number {
  const { per, by, changed } = STEPS[key]
  const options = step === undefined ? {} : { step }
  const time = (one: AxleCar) => lapSeconds(one, course, options)
  const [up, down] = [goes(key, car, by), goes(key, car, -by)]
  if (!up || !down) {
    const still = time(car)
    const side = up ? by : -by
    return ((time(changed(car, side)) - still) / side) * per
  }
  return ((time(changed(car, by)) - time(changed(car, -by))) / (2 * by)) * per
}
