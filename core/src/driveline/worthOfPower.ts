import { sigmaOf, timesDoubts, type Doubts } from '../evidence/doubts'
import { doubtName } from '../evidence/doubtNames'
import { named, type Known } from '../evidence/known'
import { itemAt } from '../lists/itemAt'
import { QUARTER_MILE, straightLine, type StraightLineCar } from './straightLine'

const KMH = 1 / 3.6

export const WORTH_MEASURES = ['zeroToHundred', 'quarterMile', 'trapSpeed', 'hundredToTwoHundred'] as const
export type WorthMeasure = (typeof WORTH_MEASURES)[number]

/** A roll-on in one gear: the gear counted from 0, speeds in m/s. */
export interface RollOn {
  readonly gear: number
  readonly from: number
  readonly to: number
}

/** How far off what goes into it may be, one standard uncertainty. */
export interface WorthDoubts {
  /** Shares of the power, by name: pulls, their days, the dyno. */
  readonly power: Doubts
  /** kg */
  readonly mass: number
  /** Share of the grip. */
  readonly grip: number
  /** Drag area, m². */
  readonly drag: number
  /** Share that the model is off by even where all that goes into it is known. */
  readonly model: number
}

export interface Worth {
  /** s, or m/s for the trap speed; `null` where the car never gets there. */
  readonly figures: Readonly<Record<WorthMeasure, Known | null>>
  readonly rollOns: readonly (Known | null)[]
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
 * What a power curve is worth in a car: 0 to 100 km/h, 402 m with its trap speed, 100 to 200 km/h and roll-ons, each with
 * the uncertainty that its inputs and the model itself bring into it, by name: what two of them differ by is their difference
 * as known values, where mass, grip, drag, the model and a dyno that both share are in doubt only by what they move them apart.
 *
 * @param car what runs
 * @param doubts standard uncertainties
 * @param rollOns timed in one gear
 * @throws {RangeError} as {@link straightLine} does
 * @source {@link straightLine}; uncertainty by JCGM 100:2008, 5.1.3, sensitivities by running it once more
 * with each input one standard uncertainty up; the model's share holds for times and speeds alike, as t·v of a run on
 * constant power is 3/2 of its way whatever the power
 * @example worthOfPower(car, { power: { pulls: 0.015, dyno: 0.03 }, mass: 5, grip: 0.07, drag: 0.04, model: 0.06 }, [])
 */
export function worthOfPower(car: StraightLineCar, doubts: WorthDoubts, rollOns: readonly RollOn[]): Worth {
  const { standing, values } = figuresOf(car, rollOns)
  // Pulls and dyno move the same thing: one run says what it does, each has its share of it.
  const power = sigmaOf(doubts.power)
  const shiftsBy = (change: Partial<StraightLineCar>) => {
    const moved = figuresOf({ ...car, ...change }, rollOns).values
    return values.map((value, i) => (value === null ? 0 : (moved[i] ?? value) - value))
  }
  const by = {
    power: shiftsBy({ curve: car.curve.map((p) => ({ ...p, torque: p.torque * (1 + power) })) }),
    mass: shiftsBy({ mass: car.mass + doubts.mass }),
    grip: shiftsBy({ grip: car.grip * (1 + doubts.grip) }),
    drag: shiftsBy({ dragArea: car.dragArea + doubts.drag }),
  }
  const known = values.map((value, i): Known | null =>
    value === null
      ? null
      : // A model's figure is a guess however well its inputs are known: nobody has run it.
        named(value, 'guess', {
          ...(power > 0 && timesDoubts(doubts.power, itemAt(by.power, i) / power)),
          [doubtName.figure('mass')]: itemAt(by.mass, i),
          [doubtName.figure('grip')]: itemAt(by.grip, i),
          [doubtName.figure('drag')]: itemAt(by.drag, i),
          [doubtName.model('run')]: doubts.model * value,
        }),
  )
  const last = standing.toDistance[0]?.time ?? standing.trace.at(-1)!.time
  return {
    figures: Object.fromEntries(WORTH_MEASURES.map((m, i) => [m, known[i] ?? null])) as Worth['figures'],
    rollOns: known.slice(WORTH_MEASURES.length),
    gripShare: standing.gripLimited / Math.max(1e-9, last),
    shifts: standing.shifts,
    trace: standing.trace,
  }
}
