import { judge, type Judgement, type Target } from '../evidence/judge'
import { known, sumKnown, type Known } from '../evidence/known'
import type { Grade } from '../evidence/grade'

/** One thing that has to be bought for an option, or a function of it that is priced apart. */
export interface OptionItem {
  readonly name: string
  readonly price: number
  /** kg that come onto the car; below zero for what comes off. */
  readonly mass: number
  readonly massGrade: Grade
  /** What the option can't do without; the rest is priced apart and counted only where it is wanted. */
  readonly needed: boolean
  readonly wanted: boolean
}

export interface OptionInput {
  readonly id: string
  readonly name: string
  readonly items: readonly OptionItem[]
  /** Wheel power it brings, W. */
  readonly power: number
  readonly powerGrade: Grade
  /** Hands on it, s. */
  readonly workTime: number
  /** What else it forces, in words. */
  readonly forces: readonly string[]
}

export interface OptionFigures {
  readonly id: string
  readonly price: number
  /** Of what is not strictly needed but wanted. */
  readonly extras: number
  readonly mass: Known
  readonly power: Known
  /** Of the car with it, W/kg. */
  readonly powerToWeight: Known
  /** Price of each kW, and of each W/kg, gained; null where nothing is gained. */
  readonly perKilowatt: number | null
  readonly perPowerToWeight: number | null
  /** For each mark, the verdict with this option. */
  readonly marks: readonly ({ readonly id: string } & Judgement)[]
}

export interface OptionMark extends Target {
  readonly id: string
  readonly measure: 'mass' | 'wheelPower' | 'powerToWeight'
}

/**
 * Alternatives for one job, each with everything that must be bought with it, against the marks.
 *
 * @param car mass and wheel power as they stand, at the marks' condition
 * @param marks of the stage
 * @throws {RangeError} for a car without mass
 * @source sums; power to weight by {@link sumKnown} and the ratio's relative variances; {@link judge}
 * @example compareOptions(options, { mass: known(1100, 'proven', 3), power: known(200e3, 'proven', 2e3) }, marks)
 */
export function compareOptions(
  options: readonly OptionInput[],
  car: { readonly mass: Known; readonly power: Known | null },
  marks: readonly OptionMark[],
): OptionFigures[] {
  if (!(car.mass.value > 0)) throw new RangeError('a car has a mass above zero')
  const now = car.power ?? known(0, 'guess', 0)
  return options.map((option) => {
    const bought = option.items.filter((i) => i.needed || i.wanted)
    const price = bought.reduce((sum, i) => sum + i.price, 0)
    const mass = sumKnown(bought.map((i) => ({ known: known(i.mass, i.massGrade), times: 1 })))
    const power = known(option.power, option.powerGrade)
    const carMass = sumKnown([
      { known: car.mass, times: 1 },
      { known: mass, times: 1 },
    ])
    const carPower = sumKnown([
      { known: now, times: 1 },
      { known: power, times: 1 },
    ])
    const ratio = carPower.value / carMass.value
    const powerToWeight: Known = {
      value: ratio,
      sigma: Math.hypot(carPower.sigma / carMass.value, (ratio * carMass.sigma) / carMass.value),
      grade: carPower.grade,
    }
    const gain = ratio - now.value / car.mass.value
    const reached = { mass: carMass, wheelPower: carPower, powerToWeight }
    return {
      id: option.id,
      price,
      extras: bought.filter((i) => !i.needed).reduce((sum, i) => sum + i.price, 0),
      mass,
      power,
      powerToWeight,
      perKilowatt: option.power > 0 ? price / (option.power / 1000) : null,
      perPowerToWeight: gain > 0 ? price / gain : null,
      marks: marks.map((mark) => ({ id: mark.id, ...judge(reached[mark.measure], mark) })),
    }
  })
}
