import { fallingRoot } from '../numeric/fallingRoot'
import { STANDARD_GRAVITY } from '../units/constants'
import { capacityOf } from './axleCapacity'
import type { AxleCar } from './AxleCar'

/** A place of a course, as the car that is there feels it. */
export interface CoursePlace {
  /** 1/m; 0 on a straight. Left and right are alike. */
  readonly curvature: number
  /** Up is positive, rise over length. */
  readonly gradient: number
  /** Of the road towards the inside of the corner, rad. */
  readonly banking: number
  /** Times the grip that the tyres have anyway. */
  readonly grip: number
}

/** What gives up first. */
export type LapLimit = 'front' | 'rear' | 'driven' | 'engine' | 'brakes'

/** Speeds and accelerations that a car can have at a place. */
export interface WheelForces {
  /** The fastest that can be held, m/s: both axles hold, and the driven one pulls what the car resists; the first to give up. */
  readonly corner: (place: CoursePlace) => { readonly speed: number; readonly limit: 'front' | 'rear' }
  /**
   * Forward acceleration with all that engine and tyres give, m/s².
   *
   * @param pull of the engine at the tyres, N
   * @param inert what that pull has to speed up, kg
   */
  readonly forward: (speed: number, place: CoursePlace, pull: number, inert: number) => number
  /** What gave up in the last `forward`. */
  readonly limit: () => LapLimit
  /**
   * Deceleration with the brakes of this car and driver, m/s².
   *
   * @param wanted no more than that is asked; left out for all there is
   */
  readonly braking: (speed: number, place: CoursePlace, wanted?: number) => number
  /** What of the car's weight pulls it back up a slope, N. */
  readonly uphill: (place: CoursePlace) => number
  /** What holds it back without any brake: air, tyres and slope, N. */
  readonly resisting: (speed: number, place: CoursePlace) => number
}

/** Nothing on wheels and a course is faster, m/s. */
export const FASTEST_CAR = 140

/**
 * What two axles with four tyres hold: through a corner, out of it and into it.
 *
 * Each axle carries its share of the force that bends the car’s way, by where the mass is. What goes from the inside
 * wheels to the outside ones is shared by the springs and bars; accelerating and braking move load from one axle to the
 * other. Lengthways and sideways forces of an axle share one circle. The driven axle pulls; so a corner’s speed is the
 * fastest at which both axles hold and the driven one still pulls what air and tyres hold back.
 *
 * @param undriven what the wheels that aren't driven are felt as, kg
 * @throws {RangeError} for a car without mass, lengths or grip, or shares that are none
 * @source quasi-steady axle model: Milliken & Milliken, Race Car Vehicle Dynamics, chapters 5 and 18 (from memory); the circle of an
 *   axle's forces: chapter 2
 * @example wheelForces(axleCar).corner({ curvature: 1 / 30, gradient: 0, banking: 0, grip: 1 }).speed // 19.27
 */
export function wheelForces(car: AxleCar, undriven = 0): WheelForces {
  const { mass, wheelbase, centre, track, transferShare, downforce, airDensity, driven, brakes } = car
  if (!(mass > 0 && wheelbase > 0 && track.front > 0 && track.rear > 0))
    throw new RangeError('a car has mass, a wheelbase and tracks')
  if (!(centre.x > 0 && centre.x < wheelbase && centre.z >= 0))
    throw new RangeError('the centre of mass lies between the axles')
  for (const share of [transferShare, brakes.front, brakes.used])
    if (!(share >= 0 && share <= 1)) throw new RangeError('a share lies between 0 and 1')
  const [frontHolds, rearHolds] = [capacityOf(car.tyre.front), capacityOf(car.tyre.rear)]
  const rearShare = centre.x / wheelbase
  const frontShare = 1 - rearShare
  const weight = mass * STANDARD_GRAVITY
  const dynamic = 0.5 * airDensity
  const movesLength = (mass * centre.z) / wheelbase
  const movesFront = (transferShare * mass * centre.z) / track.front
  const movesRear = ((1 - transferShare) * mass * centre.z) / track.rear
  const bias = driveBias(car)
  const leastGrip = Math.min(car.tyre.front.grip, car.tyre.rear.grip)

  // Plain numbers instead of an object for each: a lap asks tens of thousands of times.
  let [needFront, needRear, holdsFront, holdsRear] = [0, 0, 0, 0]
  let [loadFront, loadRear, acrossFront, acrossRear] = [0, 0, 0, 0]
  /** Works out what the axles need sideways and hold in all. */
  const at = (v: number, place: CoursePlace, acceleration: number) => {
    const squared = v * v
    const bent = squared * place.curvature
    const cos = place.banking === 0 ? 1 : Math.cos(place.banking)
    const sin = place.banking === 0 ? 0 : Math.sin(place.banking)
    const sideways = Math.abs(bent * cos - STANDARD_GRAVITY * sin)
    const pressed = mass * (STANDARD_GRAVITY * cos + bent * sin)
    const moved = movesLength * acceleration
    const all = pressed + dynamic * squared * (downforce.front + downforce.rear)
    loadFront = Math.min(
      Math.max(0, pressed * frontShare + dynamic * squared * downforce.front - moved),
      Math.max(0, all),
    )
    loadRear = Math.max(0, all - loadFront)
    acrossFront = movesFront * sideways
    acrossRear = movesRear * sideways
    needFront = mass * sideways * frontShare
    needRear = mass * sideways * rearShare
    holdsFront = place.grip * frontHolds(loadFront, acrossFront)
    holdsRear = place.grip * rearHolds(loadRear, acrossRear)
  }
  const uphill = ({ gradient }: CoursePlace) => (gradient === 0 ? 0 : weight * Math.sin(Math.atan(gradient)))
  const resisting = (v: number, place: CoursePlace) => {
    const { banking, curvature } = place
    const pressed =
      banking === 0
        ? weight
        : mass * (STANDARD_GRAVITY * Math.cos(banking) + v * v * curvature * Math.sin(banking))
    return dynamic * car.dragArea * v * v + car.rollingResistance * pressed + uphill(place)
  }

  let limit: LapLimit = 'engine'
  /** The driven axle that gives up first. */
  let drivenFirst: 'front' | 'rear' = driven === 'front' ? 'front' : 'rear'
  /** What an axle has over what it needs sideways and lengthways, N; below zero where it doesn't hold. */
  const over = (holds: number, need: number, force: number, passes: number) => {
    const spare = holds * holds - need * need
    return (spare > 0 ? Math.sqrt(spare) * passes : holds - need) - force
  }
  /** What the axle that is nearest to its limit has left while they pull with a force, N; notes which one that is. */
  const pullingOver = (
    v: number,
    place: CoursePlace,
    acceleration: number,
    force: number,
    passes: Passes,
  ): number => {
    at(v, place, acceleration)
    // An engine that brakes is no more than what the driver asks of it.
    const pulls = Math.max(0, force)
    const front = holdsFront - needFront
    const rear = holdsRear - needRear
    let driving: number
    if (driven === 'front') driving = over(holdsFront, needFront, pulls, passes(loadFront, acrossFront))
    else if (driven === 'rear') driving = over(holdsRear, needRear, pulls, passes(loadRear, acrossRear))
    else {
      const share = bias.front ?? 0
      const inFront = over(holdsFront, needFront, share * pulls, passes(loadFront, acrossFront))
      const behind = over(
        holdsRear,
        needRear,
        bias.front === null ? 0 : (1 - share) * pulls,
        passes(loadRear, acrossRear),
      )
      drivenFirst = inFront < behind ? 'front' : 'rear'
      driving = bias.front === null ? inFront + behind - pulls : Math.min(inFront, behind)
    }
    const least = Math.min(front, rear, driving)
    limit = least === front ? 'front' : least === rear ? 'rear' : 'driven'
    return least
  }

  // What is asked about stands here, and not in a function of its own for each time: a lap asks ten thousand times.
  const rolling = mass + undriven
  let asked: CoursePlace
  let [askedSpeed, held] = [0, 0]
  const ask = (v: number, place: CoursePlace) => {
    asked = place
    askedSpeed = v
    held = resisting(v, place)
  }
  const pulled = (a: number) => pullingOver(askedSpeed, asked, a, rolling * a + held, bias.passes)
  // What it can go on at, through the differential that it has: a car that is faster for a moment loses that again.
  const atCorner = (v: number) => pullingOver(v, asked, 0, resisting(v, asked), bias.passes)
  const braked = (d: number) => {
    at(askedSpeed, asked, -d)
    const force = mass * d - held
    return Math.min(
      over(holdsFront, needFront, brakes.front * force, 1),
      over(holdsRear, needRear, (1 - brakes.front) * force, 1),
    )
  }

  return {
    corner: (place) => {
      if (place.curvature === 0) return { speed: FASTEST_CAR, limit: 'front' }
      asked = place
      // Not from standing to the fastest car: from what its tyres would do without air, upward until they don't hold.
      let low = FIRST_TRY * Math.sqrt((leastGrip * place.grip * STANDARD_GRAVITY) / place.curvature)
      if (!(low < FASTEST_CAR) || atCorner(low) < 0) low = 0
      let high = low === 0 ? FASTEST_CAR : Math.min(FASTEST_CAR, low * NEXT_TRY)
      while (high < FASTEST_CAR && atCorner(high) >= 0)
        [low, high] = [high, Math.min(FASTEST_CAR, high * NEXT_TRY)]
      const speed = fallingRoot(atCorner, low, high, SPEED_WITHIN)
      atCorner(speed + SPEED_WITHIN)
      // Where a driven axle gives up, it is that axle.
      const first = limit === 'driven' ? drivenFirst : limit
      return { speed, limit: first === 'rear' ? 'rear' : 'front' }
    },
    forward: (v, place, pull, inert) => {
      ask(v, place)
      const byEngine = (pull - held) / inert
      if (pulled(byEngine) >= 0) {
        limit = 'engine'
        return byEngine
      }
      const coasting = Math.min(-held / rolling, byEngine)
      if (pulled(coasting) >= 0) return fallingRoot(pulled, coasting, byEngine, WITHIN)
      // Coasting takes load off the rear axle: one that is at its limit holds while it is pulled, and not without.
      if (byEngine > 0 && pulled(0) >= -HOLDS) return fallingRoot(pulled, 0, byEngine, WITHIN)
      return coasting
    },
    limit: () => limit,
    braking: (v, place, wanted = MOST_BRAKING) => {
      ask(v, place)
      const coasting = held / mass
      if (wanted <= coasting) return wanted
      // A driver who uses less than all of it gets what he wants where all of it would be more.
      const used = coasting + (wanted - coasting) / Math.max(LEAST_USED, brakes.used)
      if (braked(used) >= 0) return wanted
      if (braked(coasting) < 0) return coasting
      return coasting + brakes.used * (fallingRoot(braked, coasting, used, WITHIN) - coasting)
    },
    uphill,
    resisting,
  }
}

/** More than any tyre and downforce give, m/s². */
const MOST_BRAKING = 80
/** Accelerations are found to so many m/s², and speeds to so many m/s. */
const WITHIN = 1e-4
const SPEED_WITHIN = 1e-7
/** An axle that lacks no more holds, N: it is what a speed that is found so nearly is off by. */
const HOLDS = 0.1
/** Where a corner’s speed is looked for, as shares of what it would be without air, and upward by. */
const FIRST_TRY = 0.85
const NEXT_TRY = 1.2
/** A driver who uses nothing of the brakes would want without end. */
const LEAST_USED = 1e-3

/** What of an axle’s pull its differential passes, by the axle’s load and what of it has moved to the outside, N. */
type Passes = (load: number, transfer: number) => number

const passesAll: Passes = () => 1

/** The inside wheel's share of an axle's load, 0 to 0.5. */
const insideShare = (load: number, transfer: number) =>
  load > 0 ? Math.max(0, 0.5 - Math.abs(transfer) / load) : 0.5

/** What each axle's differential passes, by the inside wheel's share of its load; and the axles' split. */
function driveBias({ differential, driveFront }: AxleCar): {
  readonly front: number | null
  readonly passes: Passes
} {
  if (driveFront !== null && !(driveFront >= 0 && driveFront <= 1))
    throw new RangeError('a share lies between 0 and 1')
  if (differential.kind === 'locked') return { front: driveFront, passes: passesAll }
  const lock = differential.kind === 'open' ? 0 : differential.lock
  if (!(lock >= 0 && lock < 1)) throw new RangeError('a differential locks between 0 and 100 %')
  const times = 1 + (1 + lock) / (1 - lock)
  return { front: driveFront, passes: (load, transfer) => Math.min(1, insideShare(load, transfer) * times) }
}
