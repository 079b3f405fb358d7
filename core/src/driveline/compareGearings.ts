import type { PullPoint } from '../power/pull'
import type { DrivenAxle } from './axleGrip'
import { driftWindows, USUAL_SLIP, type DriftWindow } from './driftWindow'
import { lapInGears, type LapInGears, type SpeedAt } from './lapInGears'
import { radiusAt, roadSpeedAt, topSpeed, type Gearing, type RoadLoad } from './gearing'
import { QUARTER_MILE, straightLine, type StraightLineCar } from './straightLine'

/** A car that gearings are tried in. */
export interface GearingTrial {
  readonly car: StraightLineCar
  readonly load: RoadLoad
  readonly axle: DrivenAxle
  readonly curve: readonly PullPoint[]
  /** Engine speed from which it is on the boil. */
  readonly threshold: number
  /** Of the rear axle in a slide, rad, and wheel speed over road speed; left out for what is usual. */
  readonly slipAngle?: number
  readonly slip?: readonly [number, number]
  /** Speeds over one lap of a course, where somebody has them. */
  readonly lap: readonly SpeedAt[] | null
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
  /** Shifts and time on the boil on the course; `null` without its speeds. */
  readonly lap: LapInGears | null
}

/**
 * What a gearing gives in a car: 0 to 100 km/h, 402 m with its shifts, top speed, the widest drift window, and a lap.
 *
 * @throws {RangeError} as {@link straightLine} does
 * @source {@link straightLine}, {@link topSpeed}, {@link driftWindows}
 * @example gearingFigures(trial, { ...gearing, finalDrive: 4.44 }).quarterMile
 */
export function gearingFigures(trial: GearingTrial, gearing: Gearing): GearingFigures {
  const { car, curve, load, threshold } = trial
  const run = standingRun(trial, gearing)
  const windows = windowsOf(trial, gearing)
  return {
    zeroToHundred: run.toSpeed[0] ?? null,
    quarterMile: run.toDistance[0]?.time ?? null,
    shifts: run.shifts,
    topSpeed: topSpeed(gearing, curve, load)?.speed ?? null,
    window: windows.reduce<DriftWindow | null>((a, w) => (widthOf(w) > widthOf(a) ? w : a), null),
    speeds: gearing.ratios.map((_, gear) => roadSpeedAt(gearing, gear, gearing.limiter)),
    lap: trial.lap && lapInGears(gearing, { threshold, shiftSpeed: car.shiftSpeed }, trial.lap),
  }
}

const windowsOf = ({ curve, axle, threshold, slipAngle, slip }: GearingTrial, gearing: Gearing) =>
  driftWindows(gearing, curve, axle, { threshold, slip: slip ?? USUAL_SLIP, slipAngle })

/** From standing through 100 km/h and 402 m. */
const standingRun = ({ car }: GearingTrial, { ratios, finalDrive, between, rollingRadius }: Gearing) =>
  straightLine(
    { ...car, ratios, finalDrive: finalDrive * between, rollingRadius },
    { speeds: [100 / 3.6], distances: [QUARTER_MILE] },
  )

const widthOf = (w: DriftWindow | null): number => (w?.window ? w.window[1] - w.window[0] : 0)

/** What a gearing is looked for by. */
export type GearingGoal =
  | { readonly kind: 'topSpeed'; readonly speed: number }
  /** Road speeds that one gear's window should cover: a layout's, or a wanted window. */
  | { readonly kind: 'layout'; readonly entry: number; readonly exit: number }
  | { readonly kind: 'quarterMile' }
  | { readonly kind: 'fewestShifts' }

/** What may be changed to reach it, and within which bounds it is tried. */
export const VARIED = ['finalDrive', 'tyre'] as const
export type Varied = (typeof VARIED)[number]
const BOUNDS = {
  finalDrive: { from: 2.4, to: 6, tried: 73 },
  tyre: { from: 0.24, to: 0.36, tried: 61 },
} as const satisfies Record<Varied, object>

export interface SolvedGearing {
  readonly vary: Varied
  /** Ratio, or rolling radius in m. */
  readonly value: number
  /** How well it does: share of the speeds in one gear's window, s, shifts a lap, or m/s at the limiter in top. */
  readonly reaches: number
}

const withVaried = (gearing: Gearing, vary: Varied, value: number): Gearing =>
  vary === 'finalDrive' ? { ...gearing, finalDrive: value } : { ...gearing, rollingRadius: value }

/**
 * The final drive or the tyre that comes nearest to a goal: a top speed at the limiter, road speeds in one gear's drift
 * window, the quickest 402 m, or the fewest shifts a lap.
 *
 * @param onProgress called with the share that is done
 * @throws {RangeError} for a goal that nothing can have, such as a speed of zero, or shifts without a course
 * @source closed form for the top speed; else tried: final drives 2.40 to 6.00 by 0.05, radii 240 to 360 mm by 2
 * @example solveGearing(trial, gearing, { kind: 'topSpeed', speed: 60 }, 'finalDrive').value
 */
export function solveGearing(
  trial: GearingTrial,
  gearing: Gearing,
  goal: GearingGoal,
  vary: Varied,
  onProgress: (share: number) => void = () => undefined,
): SolvedGearing {
  if (goal.kind === 'topSpeed') {
    if (!(goal.speed > 0)) throw new RangeError('a top speed is above zero')
    const now = roadSpeedAt(gearing, gearing.ratios.length - 1, gearing.limiter)
    // The tyre has grown as far as that speed says, so the radius there is what counts.
    const grown = radiusAt(gearing, goal.speed) / radiusAt(gearing, now)
    const value =
      vary === 'finalDrive'
        ? (gearing.finalDrive * now * grown) / goal.speed
        : (gearing.rollingRadius * goal.speed) / (now * grown)
    return { vary, value, reaches: goal.speed }
  }
  if (goal.kind === 'layout' && !(goal.entry > goal.exit && goal.exit > 0))
    throw new RangeError('a layout is entered faster than it is left')
  if (goal.kind === 'fewestShifts' && !trial.lap)
    throw new RangeError('shifts are counted on a course: its speeds are needed')
  const { from, to, tried } = BOUNDS[vary]
  let best: { value: number; score: number; reaches: number } | null = null
  for (let i = 0; i < tried; i += 1) {
    const value = from + ((to - from) * i) / (tried - 1)
    const candidate = withVaried(gearing, vary, value)
    const { score, reaches } = scoreOf(trial, candidate, goal)
    if (!best || score > best.score + 1e-9) best = { value, score, reaches }
    onProgress((i + 1) / tried)
  }
  return { vary, value: best!.value, reaches: best!.reaches }
}

/** How well a gearing does by a goal, more being better, and the figure that says so. */
function scoreOf(
  trial: GearingTrial,
  gearing: Gearing,
  goal: Exclude<GearingGoal, { kind: 'topSpeed' }>,
): { score: number; reaches: number } {
  if (goal.kind === 'layout') {
    const reaches = coverOf(windowsOf(trial, gearing), goal)
    return { score: reaches, reaches }
  }
  if (goal.kind === 'fewestShifts') {
    const lap = lapInGears(gearing, { ...trial, shiftSpeed: trial.car.shiftSpeed }, trial.lap!)
    // A gear that is never left has no shifts and no use: being off the boil, or at the limiter, all lap costs more.
    return { score: -lap.shifts - 100 * (1 - lap.inBand), reaches: lap.shifts }
  }
  const time = standingRun(trial, gearing).toDistance[0]?.time ?? Infinity
  return { score: -time, reaches: time }
}

/** The share of some road speeds that one gear's window covers, the best gear's. */
const coverOf = (windows: readonly DriftWindow[], { entry, exit }: { entry: number; exit: number }): number =>
  Math.max(
    0,
    ...windows.map(({ window }) =>
      window ? Math.max(0, Math.min(window[1], entry) - Math.max(window[0], exit)) / (entry - exit) : 0,
    ),
  )
