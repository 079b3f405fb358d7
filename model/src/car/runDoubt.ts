import {
  doubtName,
  toldApart,
  type CarFigure,
  type Doubts,
  type Known,
  type LapCar,
  type StageSummary,
} from '@bold-ballast/core'
import type { CarAir } from './carAir'
import { powerOf } from './powerOf'

/** How far off what was typed for a run may be, as one standard uncertainty. */
export interface TypedDoubts {
  /** Shares of power, grip and rolling radius. */
  readonly power: number
  readonly grip: number
  readonly radius: number
  /** kg */
  readonly mass: number
  /** m² */
  readonly drag: number
  readonly downforce: number
  /** What these figures are themselves in doubt by; left out for no names of theirs. */
  readonly by?: KnownFigures
}

/** A typed grip is somebody's word (a claim's 7 %). */
export const GRIP_DOUBT = 0.07
/** A tyre's radius is off by a hundredth (common practice). */
const RADIUS = 0.01
/** Power that nobody pulled or graded. */
const UNKNOWN_POWER = 0.1

/** What a stage's runs, laps and slides are off by in what goes into them. */
export function typedDoubts(air: CarAir, summary: StageSummary): TypedDoubts {
  const power = powerOf(summary)
  return {
    power: power ? power.sigma / power.value : UNKNOWN_POWER,
    grip: GRIP_DOUBT,
    radius: RADIUS,
    mass: summary.mass.sigma,
    drag: air.dragSigma,
    downforce: air.downforceSigma,
    by: knownFigures(air, summary),
  }
}

/**
 * How far a worked-out figure of a run may be off by what was typed, by name: each input moved by its doubt, one at a time.
 *
 * @param figure of a car; `null` where it doesn't get there
 * @param value of the car as it is, by the same function
 * @source JCGM 100:2008, 5.1.3: sensitivities by finite steps, independent inputs
 * @example sigmaOf(runDoubt(car.run, typedDoubts(car.air, summary), (run) => lapOf(run, course).time, 82.1))
 */
export function runDoubt<T extends LapCar>(
  run: T,
  doubts: TypedDoubts,
  figure: (run: T) => number | null,
  value: number,
): Doubts {
  const { power, grip, radius, mass, drag, downforce, by = {} } = doubts
  const total = run.downforceFront + run.downforceRear
  const pressed = total === 0 ? 0 : downforce / Math.abs(total)
  // What is moved down says what it would do upwards.
  const moved: readonly (readonly [CarFigure, false | Partial<LapCar>, 1 | -1])[] = [
    ['power', power > 0 && { curve: run.curve.map((p) => ({ ...p, torque: p.torque * (1 - power) })) }, -1],
    ['grip', grip > 0 && { grip: run.grip * (1 - grip) }, -1],
    ['radius', radius > 0 && { rollingRadius: run.rollingRadius * (1 + radius) }, 1],
    ['mass', mass > 0 && { mass: run.mass + mass }, 1],
    ['drag', drag > 0 && { dragArea: run.dragArea + drag }, 1],
    [
      'downforce',
      pressed > 0 && {
        downforceFront: run.downforceFront * (1 - pressed),
        downforceRear: run.downforceRear * (1 - pressed),
      },
      -1,
    ],
  ]
  const byFigure = moved.flatMap(([name, change, sign]) => {
    const there = change && figure({ ...run, ...change })
    return there === false || there === null
      ? []
      : [[doubtName.figure(name), sign * (there - value)] as const]
  })
  return byWhatIsKnown(Object.fromEntries(byFigure), by)
}

/** Figures of a car, with what each is itself in doubt by. */
export type KnownFigures = Partial<Record<CarFigure, Pick<Known, 'sigma' | 'doubts'>>>

/** What power, mass and air of a car are in doubt by. */
export function knownFigures(
  air: CarAir,
  summary: StageSummary,
): KnownFigures & Required<Pick<KnownFigures, 'mass' | 'drag'>> {
  const power = powerOf(summary)
  return {
    ...(power && { power }),
    mass: summary.mass,
    drag: { sigma: air.dragSigma, doubts: air.dragDoubts },
    downforce: { sigma: air.downforceSigma, doubts: air.downforceDoubts },
  }
}

/** Doubts by figures of a car, each told apart into what the figure is itself in doubt by. */
export const byWhatIsKnown = (doubts: Doubts, known: KnownFigures): Doubts =>
  Object.entries(known).reduce(
    (all, [figure, by]) => toldApart(all, doubtName.figure(figure as CarFigure), by),
    doubts,
  )
