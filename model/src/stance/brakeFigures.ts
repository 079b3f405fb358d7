import type { Brakes } from '@bold-ballast/contract'
import {
  barFor,
  brakeBalance,
  brakedBy,
  dynamicPressure,
  effortFor,
  idealFrontShare,
  lapHeat,
  lockingOf,
  mean,
  normalPair,
  padFriction,
  padWindow,
  quantileOf,
  randomBits,
  STANDARD_GRAVITY,
  weightsOf,
  type BrakeSystem,
  type BrakingCar,
  type LockedAt,
  type PadWindow,
  type StopHeat,
  type AxleEnd,
} from '@bold-ballast/core'
import type { Car } from '../car/Car'
import { AXLE_ENDS } from './carStance'

type AxleBrakes = Brakes['front']

/** Heat that a kilogram of cast iron takes, J/(kg·K); carbon takes more, and is not what these cars stop on. */
export const IRON = 460

/** What a pad's friction on its sheet is off by on the car, a share (a claim's, common practice). */
const FRICTION_KNOWN = 0.07

export interface DiscFigures {
  /** Of each stop, K over the air: the first lap, and once laps are alike. */
  readonly first: readonly StopHeat[]
  readonly settled: readonly StopHeat[]
  readonly window: PadWindow
  /** How far the worst lies outside of the pad's window, K. */
  readonly off: number
  /** As stops begin and end at their worst, K. */
  readonly coldest: number
  readonly hottest: number
}

export interface BrakeFigures {
  readonly system: BrakeSystem
  readonly car: BrakingCar & { readonly mass: number }
  readonly grip: number
  /** The bar as it stands, 0 to 1: the set-up sheet's, or the brakes'. */
  readonly bar: number
  readonly locks: { readonly front: LockedAt | null; readonly rear: LockedAt | null }
  readonly first: AxleEnd | null
  /** What of the grip is used when the first axle locks, 0 to 1. */
  readonly efficiency: number
  /** The rear locks at so much more than the front, m/s²; below zero it locks first. */
  readonly margin: number
  /** Of a hundred draws of what isn't known, as a share: those in which the rear locks first. */
  readonly rearFirst: number
  /** 5 % to 95 % of the margin's draws, m/s². */
  readonly margin90: readonly [number, number]
  /** Front share of the braking as the first axle locks. */
  readonly share: number
  /** The front share at which both would lock at once, and the bar for it. */
  readonly idealShare: number
  readonly idealBar: number
  readonly reaches: boolean
  /** On the pedal for 1 g, N. */
  readonly effort: number | null
  readonly discs: Readonly<Record<AxleEnd, DiscFigures | null>>
  /** At which friction was taken, K. */
  readonly padAt: Readonly<Record<AxleEnd, number>>
}

const area = (pistons: AxleBrakes['pistons']) =>
  pistons.reduce((sum, { diameter }) => sum + (Math.PI * diameter ** 2) / 4, 0)

/** Both axles of a car, the alternative of one of them put in. */
export const withAlternative = (
  brakes: Brakes,
  { axle, brakes: other }: Pick<Brakes['alternatives'][number], 'axle' | 'brakes'>,
): Brakes => ({ ...brakes, [axle]: other })

/** What loads the wheels of a car while it brakes at a speed. */
export function brakingCar(
  { stance, aero, airDensity }: Pick<Car, 'stance' | 'aero' | 'airDensity'>,
  speed: number,
): BrakingCar & { readonly mass: number } {
  const { mass, centre, wheelbase } = stance.rollCar
  const q = dynamicPressure(airDensity, speed)
  return {
    mass,
    frontMassShare: 1 - centre.x / wheelbase,
    height: centre.z,
    wheelbase,
    downforce: {
      front: weightsOf(aero.balance.front * q, mass),
      rear: weightsOf(aero.balance.rear * q, mass),
    },
  }
}

/**
 * All that follows from the brakes of a car at a speed.
 *
 * Friction is taken at the middle of what the discs reach over the stops of a lap, or of the pad's window where nobody
 * typed stops.
 *
 * @param speed m/s; what the air presses counts
 * @returns `null` while nobody said what grip there is
 * @example brakeFigures(car, car.brakes.value, 30)?.first // 'rear'
 */
export function brakeFigures(
  car: Pick<Car, 'stance' | 'aero' | 'airDensity' | 'gears' | 'setup'>,
  brakes: Brakes,
  speed: number,
): BrakeFigures | null {
  const grip = gripOf(car, brakes)
  if (grip === null) return null
  const braking = brakingCar(car, speed)
  const bar = car.setup?.value.brakeBar ?? brakes.barShare
  // Two passes: heat goes by the share, and friction by the heat.
  let padAt: Record<AxleEnd, number> = { front: middleOf(brakes.front), rear: middleOf(brakes.rear) }
  let system = systemOf(brakes, bar, padAt)
  let discs: Record<AxleEnd, DiscFigures | null> = { front: null, rear: null }
  for (let pass = 0; pass < 2; pass += 1) {
    const share = brakedBy(system, 300).frontShare
    discs = {
      front: discsOf(brakes.front, brakes, share, braking.mass),
      rear: discsOf(brakes.rear, brakes, 1 - share, braking.mass),
    }
    padAt = {
      front: discs.front ? (discs.front.coldest + discs.front.hottest) / 2 : middleOf(brakes.front),
      rear: discs.rear ? (discs.rear.coldest + discs.rear.hottest) / 2 : middleOf(brakes.rear),
    }
    system = systemOf(brakes, bar, padAt)
  }
  const both = { front: grip, rear: grip }
  const locks = lockingOf(system, braking, both)
  const margin = marginOf(locks)
  const first = !locks.front && !locks.rear ? null : margin >= 0 ? 'front' : 'rear'
  const most =
    grip * (1 + (braking.downforce?.front ?? 0) + (braking.downforce?.rear ?? 0)) * STANDARD_GRAVITY
  const reached = Math.min(locks.front?.deceleration ?? most, locks.rear?.deceleration ?? most, most)
  const { idealShare } = brakeBalance(braking, 0.5, grip)
  const idealBar = barFor(system, Math.min(0.999, Math.max(0.001, idealShare)))
  const { rearFirst, margin90 } = marginDraws(car, system, braking, both)
  return {
    system,
    car: braking,
    grip,
    bar,
    locks,
    first,
    efficiency: reached / most,
    margin,
    rearFirst,
    margin90,
    share: locks[first ?? 'front']?.frontShare ?? brakedBy(system, 300).frontShare,
    idealShare,
    idealBar,
    reaches: idealBar >= brakes.barLeast && idealBar <= brakes.barMost,
    effort: effortFor(system, braking.mass, STANDARD_GRAVITY),
    discs,
    padAt,
  }
}

const middleOf = ({ padFrom, padTo }: AxleBrakes) => (padFrom + padTo) / 2

/** An axle that no leg locks lets the other lock first, by more than any car brakes. */
const NEVER = 100
const marginOf = (locks: BrakeFigures['locks']): number =>
  (locks.rear?.deceleration ?? NEVER) - (locks.front?.deceleration ?? NEVER)

/** Grip as the brakes, the set-up sheet or the gears say it. */
function gripOf({ gears, setup }: Pick<Car, 'gears' | 'setup'>, brakes: Brakes): number | null {
  const onSheet = [setup?.value.tyres.front.grip, setup?.value.tyres.rear.grip].filter(
    (g) => typeof g === 'number',
  )
  return brakes.grip ?? (onSheet.length === 2 ? mean(onSheet) : (gears?.value.grip ?? null))
}

export function systemOf(brakes: Brakes, bar: number, padAt: Readonly<Record<AxleEnd, number>>): BrakeSystem {
  const axle = (end: AxleEnd) => ({
    pistonArea: area(brakes[end].pistons),
    friction: padFriction(brakes[end].friction, padAt[end]),
    radius: brakes[end].radius,
  })
  return {
    box: {
      ratio: brakes.pedalRatio,
      frontShare: bar,
      frontCylinder: brakes.cylinderFront,
      rearCylinder: brakes.cylinderRear,
    },
    servo: brakes.servo,
    valve: brakes.valve,
    front: axle('front'),
    rear: axle('rear'),
    radius: brakes.wheelRadius,
  }
}

function discsOf(axle: AxleBrakes, { stops, air }: Brakes, share: number, mass: number): DiscFigures | null {
  if (stops.length === 0) return null
  const discs = { mass, share, discMass: 2 * axle.discMass, heatCapacity: IRON }
  const { first, settled } = lapHeat(discs, stops, axle.cooling)
  const begins = settled.map(({ before }) => air + before)
  const ends = settled.map(({ after }) => air + after)
  const { window, off } = padWindow({ from: axle.padFrom, to: axle.padTo }, begins, ends)
  return { first, settled, window, off, coldest: Math.min(...begins), hottest: Math.max(...ends) }
}

const DRAWS = 200

/** How sure it is which axle locks first: friction of both pads, height and place of the centre drawn. */
function marginDraws(
  { stance }: Pick<Car, 'stance'>,
  system: BrakeSystem,
  car: BrakingCar & { readonly mass: number },
  grip: { readonly front: number; readonly rear: number },
): Pick<BrakeFigures, 'rearFirst' | 'margin90'> {
  const bits = randomBits(7)
  const { centre } = stance.rollSigma
  const margins = Float64Array.from({ length: DRAWS }, () => {
    const [a, b] = normalPair(bits)
    const [c, d] = normalPair(bits)
    const rub = (axle: 'front' | 'rear', by: number) => ({
      ...system[axle],
      friction: Math.max(0.02, system[axle].friction * (1 + FRICTION_KNOWN * by)),
    })
    const locks = lockingOf(
      { ...system, front: rub('front', a), rear: rub('rear', b) },
      {
        ...car,
        height: Math.max(0.05, car.height + centre.z * c),
        frontMassShare: Math.min(0.95, Math.max(0.05, car.frontMassShare - (centre.x * d) / car.wheelbase)),
      },
      grip,
    )
    return marginOf(locks)
  }).sort()
  return {
    rearFirst: margins.filter((m) => m < 0).length / DRAWS,
    margin90: [quantileOf(margins, 0.05), quantileOf(margins, 0.95)],
  }
}

/** Front shares over deceleration: what the load asks for, and what the brakes give, in steps of 0.1 g up to the limit. */
export function shareCurve({ system, car, grip }: BrakeFigures): {
  readonly deceleration: number
  readonly ideal: number
  readonly actual: number
}[] {
  const most = grip * (1 + (car.downforce?.front ?? 0) + (car.downforce?.rear ?? 0))
  const steps = Math.max(1, Math.ceil(most / 0.1))
  return Array.from({ length: steps + 1 }, (_, i) => {
    const deceleration = ((i * most) / steps) * STANDARD_GRAVITY
    const effort = effortFor(system, car.mass, Math.max(0.05, deceleration))
    return {
      deceleration,
      ideal: idealFrontShare(car, deceleration / STANDARD_GRAVITY),
      actual: effort === null ? 1 : brakedBy(system, effort).frontShare,
    }
  })
}

/** The worse of both axles' pads: how far their discs are outside of where the pads work, K. */
export const padsOff = ({ discs }: BrakeFigures): number | null => {
  const offs = AXLE_ENDS.flatMap((end) => (discs[end] ? [discs[end].off] : []))
  return offs.length > 0 ? Math.max(...offs) : null
}
