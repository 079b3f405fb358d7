import type { Known } from '../evidence/known'
import { QUARTER_MILE, straightLine, type StraightLineCar } from './straightLine'

const KMH = 1 / 3.6
/** 402 m, the quarter mile. */

export const WORTH_MEASURES = ['zeroToHundred', 'quarterMile', 'trapSpeed', 'hundredToTwoHundred'] as const
export type WorthMeasure = (typeof WORTH_MEASURES)[number]

/** A roll-on in one gear: the gear counted from 0, speeds in m/s. */
export interface RollOn {
  readonly gear: number
  readonly from: number
  readonly to: number
}

export interface Worth {
  /** s, or m/s for the trap speed; `null` where the car never gets there. */
  readonly figures: Readonly<Record<WorthMeasure, Known | null>>
  readonly rollOns: readonly (Known | null)[]
  /**
   * The part of each figure's uncertainty that comes from power alone, in the order of the measures and then the
   * roll-ons. Two configurations on one car share mass and grip, so this is what their difference is uncertain by.
   */
  readonly byPower: readonly number[]
  /** Share of the standing 402 m that grip limited. */
  readonly gripShare: number
  readonly shifts: number
  readonly trace: readonly { readonly time: number; readonly speed: number }[]
}

/** One standing run and one rolling one, as bare figures. */
function figuresOf(car: StraightLineCar, rollOns: readonly RollOn[]) {
  const standing = straightLine(car, { speeds: [100 * KMH], distances: [QUARTER_MILE] })
  const rolling = straightLine(car, { speeds: [200 * KMH], distances: [] }, { from: 100 * KMH })
  const quarter = standing.toDistance[0] ?? null
  return {
    standing,
    values: [
      standing.toSpeed[0] ?? null,
      quarter?.time ?? null,
      quarter?.speed ?? null,
      rolling.toSpeed[0] ?? null,
      ...rollOns.map(
        ({ gear, from, to }) =>
          straightLine(car, { speeds: [to], distances: [] }, { from, gear }).toSpeed[0] ?? null,
      ),
    ],
  }
}

/**
 * What a power curve is worth in a car: 0 to 100 km/h, 402 m with its trap speed, 100 to 200 km/h and
 * roll-ons, each with the uncertainty that power, mass and grip bring into it.
 *
 * @param car what runs
 * @param doubts standard uncertainties: power as a share, mass in kg, grip as a share
 * @param rollOns timed in one gear
 * @throws {RangeError} as {@link straightLine} does
 * @source {@link straightLine}; uncertainty by JCGM 100:2008, 5.1.3 (from memory), sensitivities by running it
 * once more with each input one standard uncertainty up
 * @example worthOfPower(car, { power: 0.015, mass: 5, grip: 0.05 }, []).figures.quarterMile
 */
export function worthOfPower(
  car: StraightLineCar,
  doubts: { readonly power: number; readonly mass: number; readonly grip: number },
  rollOns: readonly RollOn[],
): Worth {
  const { standing, values } = figuresOf(car, rollOns)
  const moved = [
    { ...car, curve: car.curve.map((p) => ({ ...p, torque: p.torque * (1 + doubts.power) })) },
    { ...car, mass: car.mass + doubts.mass },
    { ...car, grip: car.grip * (1 + doubts.grip) },
  ].map((other) => figuresOf(other, rollOns).values)
  const known = values.map((value, i): Known | null =>
    value === null
      ? null
      : // A model's figure is a guess however well its inputs are known: nobody has run it.
        { value, sigma: Math.hypot(...moved.map((m) => (m[i] ?? value) - value)), grade: 'guess' },
  )
  const byPower = values.map((value, i) => (value === null ? 0 : Math.abs((moved[0]![i] ?? value) - value)))
  const last = standing.toDistance[0]?.time ?? standing.trace.at(-1)!.time
  return {
    figures: Object.fromEntries(WORTH_MEASURES.map((m, i) => [m, known[i] ?? null])) as Worth['figures'],
    rollOns: known.slice(WORTH_MEASURES.length),
    byPower,
    gripShare: standing.gripLimited / Math.max(1e-9, last),
    shifts: standing.shifts,
    trace: standing.trace,
  }
}
