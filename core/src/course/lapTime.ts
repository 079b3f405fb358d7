import { axleGripOf } from '../driveline/axleGrip'
import { drivenAxle } from '../driveline/drivenAxle'
import { movedMass } from '../driveline/movedMass'
import type { StraightLineCar } from '../driveline/straightLine'
import { STANDARD_GRAVITY } from '../units/constants'
import { enginePull } from './enginePull'

/** A straight, or a corner of one radius, along the line that is driven. m; a radius of null is straight. */
export interface CourseSection {
  readonly length: number
  readonly radius: number | null
}
export interface CourseLine {
  readonly sections: readonly CourseSection[]
  /** It ends where it starts, and is driven flying; otherwise it is driven once, from standing. */
  readonly closed: boolean
}

/** A car as a course sees it: as a straight line does, and what the air presses on its axles with. */
export interface LapCar extends StraightLineCar {
  /** Downforce areas C_L·A on the axles, m². */
  readonly downforceFront: number
  readonly downforceRear: number
}

export interface Lap {
  readonly time: number
  /** Speed over distance, every few metres. */
  readonly trace: readonly { readonly distance: number; readonly speed: number }[]
  readonly slowest: number
  readonly fastest: number
}

const STEP = 4
/** Nothing on wheels and a course is faster, m/s. */
const FASTEST = 140
/** Least pieces of a section: a short corner still has its middle. */
const LEAST_PIECES = 4

interface Piece {
  readonly length: number
  readonly curvature: number
}

const piecesOf = ({ sections }: CourseLine, step: number): Piece[] =>
  sections.flatMap(({ length, radius }) => {
    const count = Math.max(LEAST_PIECES, Math.ceil(length / step))
    return Array.from({ length: count }, () => ({
      length: length / count,
      curvature: radius === null ? 0 : 1 / radius,
    }))
  })

/**
 * The fastest speed through a corner with all of the grip spent sideways, m/s; infinite where downforce outgrows it.
 *
 * @param downforceArea C_L·A of the whole car, m²
 * @source m·v²/R = μ(m·g + ½ρC_LA·v²), solved for v² = μmg/(m/R − ½ρC_LA·μ) (Newton)
 * @example cornerSpeed({ radius: 50, mass: 1200, grip: 1.2, downforceArea: 0, airDensity: 1.225 }) // 24.257
 */
export function cornerSpeed(of: {
  readonly radius: number
  readonly mass: number
  readonly grip: number
  readonly downforceArea: number
  readonly airDensity: number
}): number {
  const spare = of.mass / of.radius - 0.5 * of.airDensity * of.downforceArea * of.grip
  return spare <= 0 ? Infinity : Math.sqrt((of.grip * of.mass * STANDARD_GRAVITY) / spare)
}

/**
 * A lap of a course by a car that is always at the limit of its tyres, its engine or its brakes.
 *
 * Quasi-steady: corner speeds first, then forward with what engine and driven tyres have left, then backward with what
 * braking on all wheels has left. Sideways and lengthways grip share one circle, with the load that accelerating moves
 * and what the air presses on. Weight doesn't move sideways, tyres grip in proportion to their load, brakes are
 * balanced as they should be, and shifts take no time: a lap is for comparing cars, more than for forecasting one.
 *
 * @param options step: longest piece that the course is cut into, m, for laps that are only compared with each other
 * @throws {RangeError} for a course without sections, with one of no length or radius, closed without a corner, or a
 *   car as `straightLine`
 * @source quasi-steady laps: Milliken & Milliken, Race Car Vehicle Dynamics, chapter 9, “g-g” Diagram
 * @example lapTime(car, { sections: [{ length: 314.16, radius: 50 }], closed: true }).time
 */
export function lapTime(
  car: LapCar,
  course: CourseLine,
  { step = STEP }: { readonly step?: number } = {},
): Lap {
  const { mass, grip, airDensity } = car
  if (course.sections.length === 0) throw new RangeError('a course has at least one section')
  if (course.sections.some((s) => !(s.length > 0) || (s.radius !== null && !(s.radius > 0))))
    throw new RangeError('a section has a length, and a corner a radius, above zero')
  if (course.closed && course.sections.every((s) => s.radius === null))
    throw new RangeError('a course that ends where it starts has a corner')
  if (!(mass > 0) || !(grip > 0)) throw new RangeError('a lap needs mass and grip')
  const { pull, inert } = enginePull(car)
  const weight = mass * STANDARD_GRAVITY
  const dynamic = 0.5 * airDensity
  const area = car.downforceFront + car.downforceRear
  const gripAt = axleGripOf(drivenAxle(car))
  const { atGrip } = movedMass(car)
  const holding = (v: number) => dynamic * car.dragArea * v * v + car.rollingResistance * weight

  /** What of the grip is left lengthways while some of it holds the car in its corner, 0 to 1. */
  const left = (v: number, curvature: number) => {
    const used = (mass * v * v * curvature) / Math.max(1, grip * (weight + dynamic * area * v * v))
    return Math.sqrt(Math.max(0, 1 - used * used))
  }
  const forward = (v: number, curvature: number) => {
    const spare = grip * left(v, curvature)
    const resisting = holding(v)
    const byEngine = (pull(v) - resisting) / inert(v)
    const byGrip = (gripAt(v, resisting, spare) - resisting) / atGrip
    return Math.min(byEngine, byGrip)
  }
  const braking = (v: number, curvature: number) =>
    (grip * left(v, curvature) * Math.max(0, weight + dynamic * area * v * v) + holding(v)) / mass

  const pieces = piecesOf(course, step)
  // A piece would else carry the car past where its limiter holds it, by as much as the pieces happen to fall.
  const inTopGear = (car.shiftSpeed * car.rollingRadius) / (Math.min(...car.ratios) * car.finalDrive)
  const fastest = Math.min(FASTEST, inTopGear)
  const most = pieces.map(({ curvature }) =>
    curvature === 0
      ? fastest
      : Math.min(
          fastest,
          cornerSpeed({ radius: 1 / curvature, mass, grip, downforceArea: area, airDensity }),
        ),
  )
  const count = pieces.length
  // At the border of two pieces the slower of them holds.
  const limits = Array.from({ length: count + 1 }, (_, i) => {
    const before = course.closed ? most[(i - 1 + count) % count]! : (most[i - 1] ?? fastest)
    const after = course.closed ? most[i % count]! : (most[i] ?? fastest)
    return Math.min(before, after)
  })
  const speeds = [...limits]
  const rounds = course.closed ? 2 : 1
  if (!course.closed) speeds[0] = 0
  for (let round = 0; round < rounds; round += 1) {
    if (course.closed) speeds[0] = round === 0 ? limits[0]! : Math.min(limits[0]!, speeds[count]!)
    for (let i = 0; i < count; i += 1) {
      const { length, curvature } = pieces[i]!
      const v = speeds[i]!
      const next = Math.sqrt(Math.max(0, v * v + 2 * forward(v, curvature) * length))
      speeds[i + 1] = Math.min(limits[i + 1]!, next)
    }
  }
  for (let round = 0; round < rounds; round += 1) {
    if (course.closed) speeds[count] = round === 0 ? speeds[count]! : Math.min(speeds[count]!, speeds[0]!)
    for (let i = count - 1; i >= 0; i -= 1) {
      const { length, curvature } = pieces[i]!
      const v = speeds[i + 1]!
      const before = Math.sqrt(v * v + 2 * braking(v, curvature) * length)
      speeds[i] = Math.min(speeds[i]!, before)
    }
  }
  let [time, distance] = [0, 0]
  const trace = [{ distance, speed: speeds[0]! }]
  for (let i = 0; i < count; i += 1) {
    const { length } = pieces[i]!
    time += (2 * length) / Math.max(0.1, speeds[i]! + speeds[i + 1]!)
    distance += length
    trace.push({ distance, speed: speeds[i + 1]! })
  }
  return { time, trace, slowest: Math.min(...speeds.slice(1)), fastest: Math.max(...speeds) }
}
