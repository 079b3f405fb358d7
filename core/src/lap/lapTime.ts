import { perCorner } from '../scales/cornerSprings'
import { CORNERS, type Corner } from '../scales/fourPadWeighIn'
import { STANDARD_GRAVITY } from '../units/constants'
import type { AxleCar } from './AxleCar'
import { gearPulls } from './gearPulls'
import { FASTEST_CAR, wheelForces, type LapLimit, type CoursePlace } from './wheelForces'

/** A stretch of a course along the line that is driven. */
export interface LapSection {
  /** m */
  readonly length: number
  /** m; to the left above zero, to the right below, `null` on a straight */
  readonly radius: number | null
  /** Rise over length, up positive; left out for level. */
  readonly gradient?: number
  /** Towards the inside of the corner, rad; left out for none. */
  readonly banking?: number
  /** Times the tyres’ grip; left out for 1. */
  readonly grip?: number
}
export interface LapCourse {
  readonly sections: readonly LapSection[]
  /** It ends where it starts, and is driven flying; otherwise it is driven once. */
  readonly closed: boolean
  /** Where it isn't closed: speed at the start, m/s; 0, which it is when left out, for standing. */
  readonly from?: number
}

/** The car at one place of its lap. */
export interface LapPoint {
  /** m */
  readonly distance: number
  /** s */
  readonly time: number
  /** m/s */
  readonly speed: number
  /** Forward, and sideways to the left, m/s². */
  readonly forward: number
  readonly sideways: number
  /** Counted from 0. */
  readonly gear: number
  /** rad/s; `null` without an engine */
  readonly engineSpeed: number | null
  /** What keeps it from being faster there: an axle in a corner, the driven tyres, the engine, the brakes. */
  readonly limit: LapLimit
}

export interface Lap {
  /** s */
  readonly time: number
  readonly points: readonly LapPoint[]
  readonly slowest: number
  readonly fastest: number
  readonly shifts: number
  /** Time with all that the engine gives, s. */
  readonly fullThrottle: number
  /** Where the work went, J. */
  readonly energy: {
    /** Of engine and driven tyres. */
    readonly driven: number
    readonly drag: number
    readonly rolling: number
    /** Into the brakes of each axle. */
    readonly brakesFront: number
    readonly brakesRear: number
    /** Force times distance through each tyre: it compares, what of it is heat depends on slip. */
    readonly tyres: Readonly<Record<Corner, number>>
    /** From start to end of what is counted. */
    readonly kinetic: number
    readonly climbed: number
  }
}

/** Pieces of a course are no longer, m. */
const STEP = 2
/** Least pieces of a section that is longer than one: a corner has its middle. */
const LEAST_PIECES = 2
/** Up to so many steps a section is one: lines that are given every so many metres are not cut again. */
const ONE_PIECE = 1.05
/** The speed at the start of a flying lap is that at its end: after so many rounds it is. */
const ROUNDS = 4
/** From so much of a corner’s speed on it is the corner that holds the car. */
const AT_LIMIT = 0.995
/** What slows down by more than that of its resistance, beyond it, is braked. */
const SLOWS_BY = 0.05
/** Speeds that differ by less are one, m/s. */
const SAME = 1e-9
/** Below so much of the speed at which it was shifted up, a lower gear is taken again. */
const SHIFTS_BACK = 0.95
/** As slow a car is said to still move, m/s. */
const CREEPING = 0.1

interface Piece extends CoursePlace {
  readonly length: number
  /** To the left above zero: what `curvature` says without a side. */
  readonly bend: number
}

const cut = new WeakMap<LapCourse, { readonly step: number; readonly pieces: readonly Piece[] }>()

/** The pieces of a course: it is cut once for all cars that are compared on it. */
function piecesOf(course: LapCourse, step: number): readonly Piece[] {
  const before = cut.get(course)
  if (before?.step === step) return before.pieces
  const pieces = cutInto(course, step)
  cut.set(course, { step, pieces })
  return pieces
}

function cutInto({ sections, closed }: LapCourse, step: number): readonly Piece[] {
  if (sections.length === 0) throw new RangeError('a course has at least one section')
  if (closed && sections.every((s) => s.radius === null))
    throw new RangeError('a course that ends where it starts has a corner')
  return sections.flatMap(({ length, radius, gradient = 0, banking = 0, grip = 1 }) => {
    if (!(length > 0) || radius === 0 || Number.isNaN(radius) || !(grip > 0))
      throw new RangeError('a section has a length, a corner a radius, and a road grip, above zero')
    if (!(Math.abs(gradient) < 1) || !(Math.abs(banking) < 1))
      throw new RangeError('a road rises by less than 45°, and is banked by less than 57°')
    const count = length < ONE_PIECE * step ? 1 : Math.max(LEAST_PIECES, Math.ceil(length / step))
    const bend = radius === null ? 0 : 1 / radius
    const piece = {
      length: length / count,
      bend,
      curvature: Math.abs(bend),
      gradient,
      banking,
      grip,
    }
    return Array.from({ length: count }, () => piece)
  })
}

/**
 * A lap of a course by a car with two axles and four tyres that is always at the limit of one of them, of its engine
 * or of its brakes.
 *
 * Corner speeds first: the fastest at which both axles hold. Then forward with the engine, gear by gear, with shifts that
 * take their time, as far as driven tyres and the other axle let it. Then backward with the brakes as they are shared.
 * The slower of both is driven. A lap compares cars; how near it is to a driven one is for timing to say.
 *
 * @param car plain figures in SI: masses, lengths and areas, its tyres, and an engine with gears or a constant power
 * @param course sections along the line that is driven, flying where it comes round
 * @param options step: longest piece that the course is cut into, m
 * @throws {RangeError} for a course without sections, with one of no length or radius, closed without a corner, or a
 *   car as `wheelForces` and `gearPulls`
 * @source quasi-steady laps: Milliken & Milliken, Race Car Vehicle Dynamics, chapter 9 (from memory); forward and backward passes:
 *   common practice
 * @example lapTime(axleCar, { sections: [{ length: 188.5, radius: 30 }], closed: true }).time // 9.78
 */
export function lapTime(
  car: AxleCar,
  course: LapCourse,
  { step = STEP }: { readonly step?: number } = {},
): Lap {
  return lapAlong(car, driven(car, course, step))
}

/**
 * The time alone of {@link lapTime}, s: for whoever compares dozens of cars, at two thirds of the work.
 *
 * @throws {RangeError} as `lapTime`
 * @source definition
 * @example lapSeconds(axleCar, { sections: [{ length: 188.5, radius: 30 }], closed: true }) // 9.78
 */
export function lapSeconds(
  car: AxleCar,
  course: LapCourse,
  { step = STEP }: { readonly step?: number } = {},
): number {
  const { pieces, speeds } = driven(car, course, step)
  let time = 0
  for (let i = 0; i < pieces.length; i += 1) time += pieces[i]!.length / meanSpeed(speeds[i]!, speeds[i + 1]!)
  return time
}

const meanSpeed = (from: number, to: number) => Math.max(CREEPING / 2, (from + to) / 2)

/** The speeds of a lap at the borders of its pieces, and how they came about. */
function driven(car: AxleCar, course: LapCourse, step: number) {
  const pieces = piecesOf(course, step)
  const engine = gearPulls(car)
  const forces = wheelForces(car, engine.undriven)
  const fastest = Math.min(FASTEST_CAR, engine.fastest)
  const { closed } = course
  const count = pieces.length

  // Pieces of one section are one object: a corner is asked once.
  const corners = new Map<Piece, ReturnType<typeof forces.corner>>()
  const cornerOf = (piece: Piece) => {
    const known = corners.get(piece)
    if (known) return known
    const found = forces.corner(piece)
    corners.set(piece, found)
    return found
  }
  const most = pieces.map((piece) => Math.min(fastest, cornerOf(piece).speed))
  // At the border of two pieces the slower of them holds.
  const limits = new Float64Array(count + 1)
  for (let i = 0; i <= count; i += 1) {
    const before = closed ? most[(i - 1 + count) % count]! : (most[i - 1] ?? fastest)
    const after = closed ? most[i % count]! : (most[i] ?? fastest)
    limits[i] = Math.min(before, after)
  }
  const speeds = Float64Array.from(limits)
  const gears = new Int8Array(count + 1)
  const pulling: LapLimit[] = new Array<LapLimit>(count).fill('engine')
  const isShifting = new Uint8Array(count)
  if (!closed) speeds[0] = Math.min(limits[0]!, course.from ?? 0)

  // What a lap ends with is what it begins with: it is driven again until it is, as far as anything changes.
  const rounds = closed ? ROUNDS : 1
  let gear = engine.best(speeds[0]!)
  let [waits, shiftedAt] = [0, Infinity]
  // What is asked about stands here, and not in functions of its own for each piece.
  let piece = pieces[0]!
  let part = 0
  const net = (at: number) => {
    // Where a gear ends within a piece the next one is asked at its end: none is a wall.
    const inGear = engine.pull(at, gear) > 0 ? gear : engine.best(at)
    const pulled = part < 1 ? forces.forward(at, piece, engine.pull(at, inGear), engine.inert(at, inGear)) : 0
    return part > 0 ? pulled * (1 - part) - (part * forces.resisting(at, piece)) / car.mass : pulled
  }
  for (let round = 0; round < rounds; round += 1) {
    if (closed) speeds[0] = Math.min(limits[0]!, speeds[count]!)
    for (let i = 0; i < count; i += 1) {
      piece = pieces[i]!
      const v = speeds[i]!
      const wanted = engine.best(v)
      if (wanted > gear) {
        waits = engine.shiftTime
        shiftedAt = v
        gear = wanted
      } else if (wanted < gear && (engine.shiftTime === 0 || (waits <= 0 && v < SHIFTS_BACK * shiftedAt))) {
        // Downshifts are done while it brakes. What a shift costs in speed is no reason for one.
        gear = wanted
        shiftedAt = Infinity
      }
      const isAsBefore = round > 0 && gears[i] === gear && isShifting[i] === 0 && waits <= 0
      gears[i] = gear
      const before = speeds[i + 1]!
      const held = limits[i + 1]!
      // A corner is held at its speed, unless the engine can't: both axles do, or it would not be its speed.
      if (v >= held && engine.pull(v, gear) >= forces.resisting(v, piece)) {
        pulling[i] = 'engine'
        isShifting[i] = 0
        waits = 0
        shiftedAt = Infinity
        speeds[i + 1] = held
      } else {
        part = waits > 0 ? Math.min(1, (waits * Math.max(CREEPING, v)) / piece.length) : 0
        isShifting[i] = part > 0 ? 1 : 0
        waits -= piece.length / Math.max(CREEPING, v)
        const first = net(v)
        pulling[i] = part < 1 ? forces.limit() : 'engine'
        // The mean of what it does at both ends: a long piece then comes to what short ones do.
        const next = reached(v, (first + net(reached(v, first, piece.length))) / 2, piece.length)
        speeds[i + 1] = Math.min(held, next)
        // Before a corner it brakes: any gear can be taken then.
        if (held < next) shiftedAt = Infinity
      }
      if (isAsBefore && Math.abs(speeds[i + 1]! - before) < SAME) break
    }
  }
  gears[count] = closed ? gears[0]! : engine.best(speeds[count]!)
  let shifts = 0
  for (let i = 1; i <= count; i += 1) if (gears[i]! > gears[i - 1]!) shifts += 1
  const pulledTo = Float64Array.from(speeds)
  for (let round = 0; round < rounds; round += 1) {
    if (closed && round > 0 && speeds[count]! <= speeds[0]!) break
    if (closed) speeds[count] = Math.min(speeds[count]!, speeds[0]!)
    for (let i = count - 1; i >= 0; i -= 1) {
      const piece = pieces[i]!
      const v = speeds[i + 1]!
      const wanted = (speeds[i]! ** 2 - v * v) / (2 * piece.length)
      const last = wanted > 0 ? forces.braking(v, piece, wanted) : 0
      const before = Math.sqrt(v * v + 2 * last * piece.length)
      const d = wanted > 0 ? (last + forces.braking(before, piece, wanted)) / 2 : 0
      if (d < wanted) speeds[i] = Math.sqrt(v * v + 2 * d * piece.length)
      else if (round > 0) break
    }
  }
  return { pieces, speeds, pulledTo, limits, gears, pulling, isShifting, shifts, forces, engine, cornerOf }
}

/** The speed after a piece with one acceleration. */
const reached = (v: number, acceleration: number, length: number) =>
  Math.sqrt(Math.max(0, v * v + 2 * acceleration * length))

/** The outer tyre's share of what an axle carries, 0.5 to 1. */
function outerShares(car: AxleCar, v: number, forward: number, sideways: number) {
  const { mass, wheelbase, centre, track, downforce, airDensity, transferShare } = car
  const dynamic = 0.5 * airDensity * v * v
  const moved = (mass * forward * centre.z) / wheelbase
  const rearShare = centre.x / wheelbase
  const weight = mass * STANDARD_GRAVITY
  const over = (load: number, part: number, across: number) =>
    load > 0 ? Math.min(1, 0.5 + (part * mass * sideways * centre.z) / (across * load)) : 0.5
  return {
    front: over(weight * (1 - rearShare) + dynamic * downforce.front - moved, transferShare, track.front),
    rear: over(weight * rearShare + dynamic * downforce.rear + moved, 1 - transferShare, track.rear),
  }
}

function lapAlong(car: AxleCar, lap: ReturnType<typeof driven>): Lap {
  const { pieces, speeds, limits, pulling, forces, engine, cornerOf } = lap
  const points: LapPoint[] = []
  let [time, distance, fullThrottle, work, drag, rolling, climbed] = [0, 0, 0, 0, 0, 0, 0]
  let braked = 0
  const tyres = perCorner(() => 0)
  const frontShare = 1 - car.centre.x / car.wheelbase
  const dynamic = 0.5 * car.airDensity * car.dragArea
  const moved = car.mass + engine.undriven
  pieces.forEach((piece, i) => {
    const [v, next] = [speeds[i]!, speeds[i + 1]!]
    const mean = meanSpeed(v, next)
    const forward = (next * next - v * v) / (2 * piece.length)
    const took = piece.length / mean
    const isAtLimit = v >= limits[i]! * AT_LIMIT && piece.curvature > 0
    const held = forces.resisting(mean, piece)
    // What speeds it up, holds it or brakes it, over the piece: the mean of v² is that of both ends.
    const squared = (v * v + next * next) / 2
    const againstAir = dynamic * squared * piece.length
    const againstSlope = forces.uphill(piece) * piece.length
    const againstTyres = (held - dynamic * mean * mean) * piece.length - againstSlope
    const atWheels = moved * forward * piece.length + againstAir + againstTyres + againstSlope
    // Into a corner it brakes down to the very speed that the corner is held at: what it slows down by says so.
    const isBraking =
      next < v && (next < lap.pulledTo[i + 1]! - 1e-9 || atWheels < -SLOWS_BY * held * piece.length)
    const gear = isBraking ? Math.min(lap.gears[i]!, engine.best(v)) : lap.gears[i]!
    const limit: LapLimit = isBraking ? 'brakes' : isAtLimit ? cornerOf(piece).limit : pulling[i]!
    points.push({
      distance,
      time,
      speed: v,
      forward,
      sideways: v * v * piece.bend,
      gear,
      engineSpeed: engine.engineSpeed(v, gear),
      limit,
    })
    if (limit === 'engine' && !lap.isShifting[i]) fullThrottle += took
    if (atWheels >= 0) work += atWheels
    else braked -= atWheels
    const lengthways = Math.abs(atWheels)
    const sideways = moved * v * v * piece.curvature * piece.length
    const inFront =
      atWheels < 0 ? car.brakes.front : { front: 1, rear: 0, all: car.driveFront ?? frontShare }[car.driven]
    const through = {
      front: Math.hypot(lengthways * inFront, sideways * frontShare),
      rear: Math.hypot(lengthways * (1 - inFront), sideways * (1 - frontShare)),
    }
    const outer = outerShares(car, mean, forward, v * v * piece.curvature)
    for (const corner of CORNERS) {
      const end = corner.startsWith('front') ? 'front' : 'rear'
      // In a bend to the left the right tyres are the outer ones.
      const isOuter = corner.endsWith('Right') === piece.bend > 0
      tyres[corner] += through[end] * (isOuter ? outer[end] : 1 - outer[end])
    }
    drag += againstAir
    rolling += againstTyres
    climbed += againstSlope
    time += took
    distance += piece.length
  })
  const last = speeds[pieces.length]!
  points.push({
    distance,
    time,
    speed: last,
    forward: 0,
    sideways: last * last * (pieces.at(-1)?.bend ?? 0),
    gear: lap.gears[pieces.length]!,
    engineSpeed: engine.engineSpeed(last, lap.gears[pieces.length]!),
    limit: points.at(-1)?.limit ?? 'engine',
  })
  return {
    time,
    points,
    slowest: Math.min(...speeds.subarray(1)),
    fastest: Math.max(...speeds),
    shifts: lap.shifts,
    fullThrottle,
    energy: {
      driven: work,
      drag,
      rolling,
      brakesFront: braked * car.brakes.front,
      brakesRear: braked * (1 - car.brakes.front),
      tyres,
      kinetic: 0.5 * moved * (last * last - speeds[0]! * speeds[0]!),
      climbed,
    },
  }
}
