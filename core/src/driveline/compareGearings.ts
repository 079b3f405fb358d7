import type { PullPoint } from '../power/pull'
import { driftWindows, type DrivenAxle, type DriftWindow } from './driftWindow'
import { roadSpeedAt, topSpeed, type Gearing, type RoadLoad } from './gearing'
import { straightLine, type StraightLineCar } from './straightLine'

const QUARTER_MILE = 402.336
const SLIP = [1.1, 1.6] as const

/** A car that gearings are tried in. */
export interface GearingTrial {
  readonly car: StraightLineCar
  readonly load: RoadLoad
  readonly axle: DrivenAxle
  readonly curve: readonly PullPoint[]
  /** Engine speed from which it is on the boil. */
  readonly threshold: number
}

export interface GearingFigures {
  /** s; `null` where it never gets there. */
  readonly zeroToHundred: number | null
  readonly quarterMile: number | null
  readonly shifts: number
  readonly topSpeed: number | null
  /** The widest drift window of any gear. */
  readonly window: DriftWindow | null
  /** Road speed at the limiter in each gear. */
  readonly speeds: readonly number[]
}

/**
 * What a gearing gives in a car: 0 to 100 km/h, 402 m with its shifts, top speed, and the widest drift window.
 *
 * @throws {RangeError} as {@link straightLine} does
 * @source {@link straightLine}, {@link topSpeed}, {@link driftWindows}
 * @example gearingFigures(trial, { ...gearing, finalDrive: 4.44 }).quarterMile
 */
export function gearingFigures(trial: GearingTrial, gearing: Gearing): GearingFigures {
  const { car, curve, load, axle, threshold } = trial
  const run = straightLine(
    {
      ...car,
      ratios: gearing.ratios,
      finalDrive: gearing.finalDrive * gearing.between,
      rollingRadius: gearing.rollingRadius,
    },
    { speeds: [100 / 3.6], distances: [QUARTER_MILE] },
  )
  const windows = driftWindows(gearing, curve, axle, { threshold, slip: SLIP })
  return {
    zeroToHundred: run.toSpeed[0] ?? null,
    quarterMile: run.toDistance[0]?.time ?? null,
    shifts: run.shifts,
    topSpeed: topSpeed(gearing, curve, load)?.speed ?? null,
    window: windows.reduce<DriftWindow | null>((a, w) => (widthOf(w) > widthOf(a) ? w : a), null),
    speeds: gearing.ratios.map((_, gear) => roadSpeedAt(gearing, gear, gearing.limiter)),
  }
}

const widthOf = (w: DriftWindow | null): number => (w?.window ? w.window[1] - w.window[0] : 0)

/** What a final drive is looked for by. */
export type GearingGoal =
  | { readonly kind: 'topSpeed'; readonly speed: number }
  | { readonly kind: 'layout'; readonly entry: number; readonly exit: number }
  | { readonly kind: 'quarterMile' }

export interface SolvedFinalDrive {
  readonly finalDrive: number
  /** How well it does: share of the layout in one gear's window, s, or m/s at the limiter in the last gear. */
  readonly reaches: number
}

/** Final drives that are made, within reason. */
const SHORTEST = 6
const TALLEST = 2.4
const TRIED = 73

/**
 * The final drive that comes nearest to a goal: a top speed at the limiter, a drift layout in one gear's window, or
 * the quickest 402 m.
 *
 * @param onProgress called with the share that is done
 * @throws {RangeError} for a goal that no final drive can have, such as a speed of zero
 * @source closed form for the top speed; else tried from 2.4 to 6.0 in steps of 0.05
 * @example solveFinalDrive(trial, gearing, { kind: 'topSpeed', speed: 60 }).finalDrive
 */
export function solveFinalDrive(
  trial: GearingTrial,
  gearing: Gearing,
  goal: GearingGoal,
  onProgress: (share: number) => void = () => undefined,
): SolvedFinalDrive {
  if (goal.kind === 'topSpeed') {
    if (!(goal.speed > 0)) throw new RangeError('a top speed is above zero')
    const last = gearing.ratios.length - 1
    const now = roadSpeedAt(gearing, last, gearing.limiter)
    // The tyre has grown as far as that speed says, so the radius there is what counts.
    const grown =
      (1 + gearing.growth * (goal.speed / (200 / 3.6)) ** 2) / (1 + gearing.growth * (now / (200 / 3.6)) ** 2)
    return { finalDrive: (gearing.finalDrive * now * grown) / goal.speed, reaches: goal.speed }
  }
  if (goal.kind === 'layout' && !(goal.entry > goal.exit && goal.exit > 0))
    throw new RangeError('a layout is entered faster than it is left')
  let best: SolvedFinalDrive | null = null
  for (let i = 0; i < TRIED; i += 1) {
    const finalDrive = TALLEST + ((SHORTEST - TALLEST) * i) / (TRIED - 1)
    const tried = { ...gearing, finalDrive }
    const reaches =
      goal.kind === 'layout'
        ? coverOf(
            driftWindows(tried, trial.curve, trial.axle, { threshold: trial.threshold, slip: SLIP }),
            goal,
          )
        : -(gearingFigures(trial, tried).quarterMile ?? Infinity)
    if (!best || reaches > best.reaches + 1e-9) best = { finalDrive, reaches }
    onProgress((i + 1) / TRIED)
  }
  return goal.kind === 'quarterMile' ? { ...best!, reaches: -best!.reaches } : best!
}

/** The share of a layout's speeds that one gear's window covers, the best gear's. */
const coverOf = (windows: readonly DriftWindow[], { entry, exit }: { entry: number; exit: number }): number =>
  Math.max(
    0,
    ...windows.map(({ window }) =>
      window ? Math.max(0, Math.min(window[1], entry) - Math.max(window[0], exit)) / (entry - exit) : 0,
    ),
  )
