import { torqueTable } from '../power/torqueTable'
import { STANDARD_GRAVITY } from '../units/constants'
import { axleGrip } from './axleGrip'
import { drivenAxle } from './drivenAxle'
import { movedMass } from './movedMass'
import type { StraightLineCar } from './straightLine'

/** A car that starts from standing, and the clutch that takes the heat of it. SI. */
export interface LaunchCar extends StraightLineCar {
  /** Steel of flywheel and pressure plate that takes the heat, kg. */
  readonly clutchMass: number
}

export interface LaunchRun {
  /** Engine speed that the clutch slips at, rad/s. */
  readonly launchSpeed: number
  /** s over the distance; `null` when the car doesn't move. */
  readonly time: number | null
  /** At the end of the distance, m/s. */
  readonly speed: number
  /** Heat left in the clutch, J, and how much warmer its steel gets by it, K. */
  readonly clutchEnergy: number
  readonly clutchRise: number
  /** Time until the clutch no longer slips, s. */
  readonly slipTime: number
  /** What holds the car back off the line. */
  readonly limit: 'grip' | 'engine' | 'clutch'
  /** Acceleration off the line, m/s². */
  readonly acceleration: number
  /** Work of the engine, and what became of it, J. */
  readonly energy: { readonly engine: number; readonly kinetic: number; readonly losses: number }
}

/** A start that reached the end of the distance. */
export type ArrivedLaunch = LaunchRun & { readonly time: number }
/** @example hasArrived(launch(car, 400, 20)) // true */
export const hasArrived = (run: LaunchRun): run is ArrivedLaunch => run.time !== null

const STEP = 0.001
const LONGEST = 20
/** Specific heat of steel and iron, J/(kg·K). */
const STEEL = 480

/**
 * The force that the driven tyres can put down off the line, N, with the weight that accelerating moves onto or off
 * them.
 *
 * @param resisting what holds the car back, N
 * @source {@link axleGrip}, standing still
 * @example launchGrip({ ...car, driven: 'rear' }, 0)
 */
export const launchGrip = (car: StraightLineCar, resisting: number): number =>
  axleGrip(drivenAxle(car), 0, resisting)

/**
 * A start from standing: the driver holds the engine at a speed with the clutch, as hard as the tyres take it, until
 * the car has caught up; from there on the engine pulls in its gears.
 *
 * What the clutch turns into heat is torque times slip. Nothing is taken out of the flywheel: a dumped clutch
 * may be quicker off a sticky surface, and is over the tyres' grip on any other.
 *
 * @param launchSpeed engine speed while the clutch slips, rad/s
 * @param distance m
 * @throws {RangeError} for a car without a curve, gears, mass, radius, grip or clutch steel
 * @source Newton, 1 ms steps; heat = ∫T·(ω_engine − ω_gearbox) dt; load transfer as {@link axleGrip}
 * @example launch(car, (4500 * Math.PI) / 30, 20).time
 */
export function launch(car: LaunchCar, launchSpeed: number, distance: number): LaunchRun {
  const { curve, ratios, finalDrive, rollingRadius: r, mass } = car
  const [first, last] = [curve[0], curve.at(-1)]
  if (!first || !last || !(last.speed > first.speed))
    throw new RangeError('a launch needs a curve with two or more points')
  if (ratios.length === 0 || !(finalDrive > 0)) throw new RangeError('a launch needs gears and a final drive')
  if (!(mass > 0) || !(r > 0) || !(car.grip > 0) || !(car.clutchMass > 0))
    throw new RangeError('a launch needs mass, tyre radius, grip and the steel of the clutch')
  const overalls = ratios.map((ratio) => ratio * finalDrive)
  const held = Math.min(last.speed, Math.max(first.speed, launchSpeed))
  const torque = torqueTable(curve)
  const capacity = car.clutchTorque ?? Infinity
  const drag = 0.5 * car.airDensity * car.dragArea
  const rolling = car.rollingResistance * mass * STANDARD_GRAVITY
  const { atGrip, slipping, inGear } = movedMass(car)
  const axle = drivenAxle(car)

  let [t, v, s, gear, shiftUntil] = [0, 0, 0, 0, -1]
  let [clutchEnergy, slipTime, engineWork, losses, lostInShifts] = [0, 0, 0, 0, 0]
  let isLocked = false
  let isShifting = false
  let limit: LaunchRun['limit'] = 'engine'
  let off = 0
  const storedAt = (speed: number, which: number) => 0.5 * (inGear[which]! - slipping) * speed ** 2
  let stored = 0
  while (s < distance && t < LONGEST) {
    const overall = overalls[gear]!
    const geared = (v / r) * overall
    if (isLocked && geared >= car.shiftSpeed && gear < overalls.length - 1) {
      lostInShifts += stored
      stored = 0
      isShifting = true
      gear += 1
      shiftUntil = t + car.shiftTime
      continue
    }
    const resisting = drag * v * v + rolling
    const driving = t >= shiftUntil
    if (isShifting && driving) {
      // It takes up again at the speed that the next gear turns it at.
      lostInShifts -= storedAt(v, gear)
      isShifting = false
    }
    const slips = !isLocked && geared < held
    if (!slips && !isLocked) isLocked = true
    const inert = slips || !driving ? slipping : inGear[gear]!
    const byGrip = (axleGrip(axle, v, resisting) - resisting) / atGrip
    const pulls = driving && !(isLocked && geared >= car.shiftSpeed)
    const ofEngine = (torque(Math.max(geared, slips ? held : 0)) * overall) / r
    const ofClutch = slips ? (capacity * overall) / r : Infinity
    const byEngine = ((pulls ? Math.min(ofEngine, ofClutch) : 0) - resisting) / inert
    const a = Math.min(byGrip, byEngine)
    /** At the wheels: what moves the car, and what they and the engine swallow as they are turned faster with it. */
    const force = a * inert + resisting
    if (t === 0) {
      limit = byGrip <= byEngine ? 'grip' : ofClutch < ofEngine ? 'clutch' : 'engine'
      off = Math.max(0, a)
      if (a <= 0) break
    }
    const next = Math.max(0, v + a * STEP)
    const middle = (v + next) / 2
    if (slips) {
      const throughClutch = (force * r) / overall
      clutchEnergy += throughClutch * (held - (middle / r) * overall) * STEP
      engineWork += throughClutch * held * STEP
      slipTime = t + STEP
    } else engineWork += force * middle * STEP
    losses += resisting * middle * STEP
    s += middle * STEP
    v = next
    t += STEP
    // The engine's own turning joins the car's when the clutch locks; it was spun up before the start.
    if (!slips && driving) stored = storedAt(v, gear)
  }
  const reached = s >= distance
  // To the instant of the line, not to the end of the step.
  const over = reached && v > 0 ? (s - distance) / v : 0
  const kinetic = 0.5 * slipping * v * v
  // In the gear of the start: the clutch locks before the first shift.
  const spunUp = isLocked ? storedAt((held * r) / overalls[0]!, 0) : 0
  return {
    launchSpeed: held,
    time: reached ? t - over : null,
    speed: v,
    clutchEnergy,
    clutchRise: clutchEnergy / (car.clutchMass * STEEL),
    slipTime,
    limit,
    acceleration: off,
    energy: {
      engine: engineWork,
      kinetic: kinetic + (isLocked ? stored + lostInShifts - spunUp : 0),
      losses: losses + clutchEnergy,
    },
  }
}

/** Differences in time below this nobody feels, s. */
const SAME = 0.005

/**
 * The best engine speed to launch at: the quickest, and among those that are as quick, the one that heats the clutch
 * least.
 *
 * @param speeds engine speeds to try, rad/s
 * @returns all that were tried, in the order given, and the best; `null` when none moves the car
 * @source {@link launch}; 5 ms count as the same (common practice)
 * @example bestLaunch(car, speeds, 20).best!.launchSpeed
 */
export function bestLaunch(
  car: LaunchCar,
  speeds: readonly number[],
  distance: number,
): { readonly tried: readonly LaunchRun[]; readonly best: ArrivedLaunch | null } {
  const tried = speeds.map((speed) => launch(car, speed, distance))
  const quickest = Math.min(...tried.map((l) => l.time ?? Infinity))
  const best = tried
    .filter(hasArrived)
    .filter((l) => l.time <= quickest + SAME)
    .reduce<ArrivedLaunch | null>((a, l) => (!a || l.clutchEnergy < a.clutchEnergy ? l : a), null)
  return { tried, best }
}
