import { STANDARD_GRAVITY } from '../units/constants'

/** One axle of a car that rolls. SI. */
export interface RollAxle {
  /** m */
  readonly track: number
  /** Of one wheel without its tyre, N/m. */
  readonly wheelRate: number
  /** Of one tyre, N/m. */
  readonly tyreRate: number
  /** What its anti-roll bar adds, N·m/rad; 0 for none. */
  readonly bar: number
  /** Height of its roll centre over the ground, m; below zero under it. */
  readonly rollCentre: number
  /** Of both wheels and what moves with them, kg. */
  readonly unsprung: number
  /** Height of the centre of that, m. */
  readonly unsprungHeight: number
}

/** A car that rolls. SI. */
export interface RollCar {
  /** With all that is in it, kg. */
  readonly mass: number
  /** m */
  readonly wheelbase: number
  /** Of the centre of mass behind the front axle, and over the ground, m. */
  readonly centre: { readonly x: number; readonly z: number }
  readonly front: RollAxle
  readonly rear: RollAxle
}

export interface RollBalance {
  /** Roll stiffness of each axle, springs and bar in series with the tyres, N·m/rad. */
  readonly stiffness: { readonly front: number; readonly rear: number }
  /** Roll of the body, rad. */
  readonly angle: number
  /** What goes from the inside wheel of each axle to the outside one, N. */
  readonly transfer: { readonly front: number; readonly rear: number }
  /** The front axle's share of the transfer, 0 to 1. */
  readonly frontTransferShare: number
  /** The front axle's share of the mass, 0 to 1. */
  readonly frontMassShare: number
  /** Sideways acceleration from which the inside wheel of each axle is off the ground, m/s². */
  readonly liftsAt: { readonly front: number; readonly rear: number }
}

/**
 * Roll stiffness of an axle: what its springs and its bar resist, in series with its tyres.
 *
 * @returns N·m/rad
 * @throws {RangeError} for a track or a tyre that is not above zero
 * @source Milliken & Milliken, Race Car Vehicle Dynamics, chapter on ride and roll rates (from memory)
 * @example axleRollStiffness({ track: 1.52, wheelRate: 70e3, tyreRate: 250e3, bar: 18e3 }) // 73651
 */
export function axleRollStiffness({
  track,
  wheelRate,
  tyreRate,
  bar,
}: Pick<RollAxle, 'track' | 'wheelRate' | 'tyreRate' | 'bar'>): number {
  if (!(track > 0)) throw new RangeError('a track is above zero')
  const lever = (track * track) / 2
  const held = wheelRate * lever + bar
  const tyres = tyreRate * lever
  if (!(held > 0 && tyres > 0)) throw new RangeError('a rate is above zero')
  // In series, written out: this is asked ten thousand times for one table.
  return (held * tyres) / (held + tyres)
}

/** The body without wheels and what moves with them: its mass, and where its centre is. */
export function sprungBody({ mass, centre, wheelbase, front, rear }: RollCar): {
  readonly mass: number
  readonly x: number
  readonly z: number
} {
  const sprung = mass - front.unsprung - rear.unsprung
  if (!(sprung > 0)) throw new RangeError('a body weighs more than nothing')
  return {
    mass: sprung,
    x: (mass * centre.x - rear.unsprung * wheelbase) / sprung,
    z:
      (mass * centre.z - front.unsprung * front.unsprungHeight - rear.unsprung * rear.unsprungHeight) /
      sprung,
  }
}

/** What {@link rollInto} fills in, by place. */
export const ROLL = { stiffFront: 0, stiffRear: 1, angle: 2, front: 3, rear: 4 } as const

/**
 * The same as {@link rollBalance} for each m/s², written into five numbers: it is asked ten thousand times for one table.
 *
 * @param out roll stiffnesses, roll in rad and transfers in N for each m/s², by {@link ROLL}
 * @returns false for a body that no spring holds, or that weighs nothing
 * @throws {RangeError} for a track or a tyre that is not above zero
 * @example rollInto(carS, new Float64Array(5)) // true
 */
export function rollInto(car: RollCar, out: Float64Array): boolean {
  const { front, rear, wheelbase, mass, centre } = car
  const sprung = mass - front.unsprung - rear.unsprung
  if (!(sprung > 0)) return false
  const back = (mass * centre.x - rear.unsprung * wheelbase) / (sprung * wheelbase)
  const height =
    (mass * centre.z - front.unsprung * front.unsprungHeight - rear.unsprung * rear.unsprungHeight) / sprung
  const arm = height - front.rollCentre * (1 - back) - rear.rollCentre * back
  const stiffFront = axleRollStiffness(front)
  const stiffRear = axleRollStiffness(rear)
  const held = stiffFront + stiffRear - sprung * STANDARD_GRAVITY * arm
  if (!(held > 0)) return false
  const angle = (sprung * arm) / held
  out[ROLL.stiffFront] = stiffFront
  out[ROLL.stiffRear] = stiffRear
  out[ROLL.angle] = angle
  out[ROLL.front] =
    (stiffFront * angle + (1 - back) * sprung * front.rollCentre + front.unsprung * front.unsprungHeight) /
    front.track
  out[ROLL.rear] =
    (stiffRear * angle + back * sprung * rear.rollCentre + rear.unsprung * rear.unsprungHeight) / rear.track
  return true
}

/**
 * How far a car rolls in a steady corner, and what of its load each axle moves to the outside: which axle is nearer to its
 * limit follows from that.
 *
 * The body turns about the line between the roll centres; springs are linear, and the inside wheel stays on the ground.
 *
 * @param sideways acceleration, m/s²
 * @throws {RangeError} for a body that would fall over: its centre so high over the roll axis that no spring holds it
 * @source Milliken & Milliken, Race Car Vehicle Dynamics, chapter on wheel loads (from memory)
 * @example rollBalance(carS, 1.2 * 9.80665).transfer.front // 2314
 */
export function rollBalance(car: RollCar, sideways: number): RollBalance {
  const { wheelbase, mass, centre } = car
  sprungBody(car)
  const each = new Float64Array(5)
  if (!rollInto(car, each)) throw new RangeError('no spring holds a body this high over its roll axis')
  const [stiffFront = 0, stiffRear = 0, angle = 0, front = 0, rear = 0] = each
  const frontMassShare = 1 - centre.x / wheelbase
  const onWheel = (part: number) => (mass * STANDARD_GRAVITY * part) / 2
  return {
    stiffness: { front: stiffFront, rear: stiffRear },
    angle: angle * sideways,
    transfer: { front: front * sideways, rear: rear * sideways },
    frontTransferShare: front / (front + rear),
    frontMassShare,
    liftsAt: { front: onWheel(frontMassShare) / front, rear: onWheel(1 - frontMassShare) / rear },
  }
}
