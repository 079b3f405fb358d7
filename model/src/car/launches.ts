import {
  bestLaunch,
  doubtName,
  itemAt,
  launch,
  launchGrip,
  NO_DOUBTS,
  STANDARD_GRAVITY,
  RPM,
  type ArrivedLaunch,
  type Doubts,
  type LaunchCar,
  type LaunchRun,
  type StageSummary,
} from '@bold-ballast/core'
import type { GearedCar } from './gearedCar'
import { runDoubt, typedDoubts } from './runDoubt'

const STEP = 500 * RPM

/** A start from standing, from every engine speed that the curve has. */
export interface Launches {
  readonly starter: GearedCar['run'] & LaunchCar & { readonly clutchTorque: number | null }
  readonly tried: readonly LaunchRun[]
  readonly best: ArrivedLaunch | null
  /** What the best one is in doubt by, s, by name. */
  readonly doubts: Doubts
  /** N that the driven tyres hold off the line, and that the clutch passes in first; null where nobody typed what it holds. */
  readonly gripForce: number
  readonly clutchForce: number | null
  /** Overall ratio of first gear. */
  readonly overall: number
}

/**
 * Starts of a car from standing, which is best, and by how much that is in doubt.
 *
 * @param distance m
 * @param model share that a worked-out run is off by itself
 * @example launchesOf(geared, summary, 20, 0.02).tried.length > 3 // true
 */
export function launchesOf(car: GearedCar, summary: StageSummary, distance: number, model: number): Launches {
  const { clutchTorque, clutchMass } = car.drive
  const starter = { ...car.run, clutchTorque, clutchMass }
  const from = Math.ceil(itemAt(car.curve, 0).speed / STEP) * STEP
  const to = Math.min(starter.shiftSpeed, itemAt(car.curve, -1).speed)
  const speeds = Array.from(
    { length: Math.max(0, Math.floor((to - from) / STEP + 1e-9) + 1) },
    (_, i) => from + i * STEP,
  )
  const { tried, best } = bestLaunch(starter, speeds, distance)
  const timeOf = (other: typeof starter) => launch(other, best?.launchSpeed ?? from, distance).time
  const overall = itemAt(starter.ratios, 0) * starter.finalDrive
  return {
    starter,
    tried,
    best,
    doubts: best
      ? {
          ...runDoubt(starter, typedDoubts(car.air, summary), timeOf, best.time),
          [doubtName.model('run')]: model * best.time,
        }
      : NO_DOUBTS,
    gripForce: launchGrip(starter, starter.rollingResistance * starter.mass * STANDARD_GRAVITY),
    clutchForce: clutchTorque === null ? null : (clutchTorque * overall) / starter.rollingRadius,
    overall,
  }
}
