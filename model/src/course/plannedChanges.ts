import type { OptionSet } from '@bold-ballast/contract'
import { lineMass, lineSign, withMassAt, withPower, type AxleCar } from '@bold-ballast/core'
import type { Car } from '../car/Car'

/** Something that is planned and not on the car yet, or that could be: what it does to the car, and what it takes. */
export interface PlannedChange {
  readonly id: string
  readonly name: string
  readonly kind: 'swap' | 'option'
  /** kg, below zero for what makes the car lighter. */
  readonly mass: number
  /** W at the wheels. */
  readonly power: number
  /** In the build’s currency, and s of work; null where nobody said. */
  readonly cost: number | null
  readonly workTime: number | null
  /** The car with it, from the car without. */
  readonly made: (car: AxleCar) => AxleCar
}

/** A swap that moves less is no change of a lap, kg. */
const LEAST = 0.2

/**
 * What is planned at a stage and could be driven: its swaps that are not wholly fitted, each kilo where it sits, and the
 * alternatives that somebody compares.
 *
 * @example plannedChanges(car, document.optionSets)
 */
export function plannedChanges(car: Car, optionSets: readonly OptionSet[]): PlannedChange[] {
  const swaps = car.swaps.flatMap(({ swap, counted }): PlannedChange[] => {
    if (swap.stageId !== car.stage.id) return []
    const open = counted.filter((line) => !line.fitted)
    const parts = open.map((line) => ({ mass: lineSign(line) * lineMass(line).value, at: line.position }))
    const mass = parts.reduce((sum, p) => sum + p.mass, 0)
    if (parts.every((p) => Math.abs(p.mass) < LEAST)) return []
    const made = (axles: AxleCar) =>
      parts.reduce(
        (one, part) =>
          withMassAt(
            one,
            part.mass,
            part.at ? { x: part.at.x, z: part.at.z } : { x: axles.centre.x, z: axles.centre.z },
          ),
        axles,
      )
    return [
      {
        id: swap.id,
        name: swap.name,
        kind: 'swap',
        mass,
        power: 0,
        cost: swap.cost,
        workTime: swap.workTime,
        made,
      },
    ]
  })
  const options = optionSets
    .filter((set) => set.stageId === car.stage.id)
    .flatMap((set) =>
      set.options.map((option): PlannedChange => {
        const items = option.items.filter((item) => item.needed || item.wanted)
        const mass = items.reduce((sum, item) => sum + item.mass, 0)
        return {
          id: option.id,
          name: `${set.name}: ${option.name}`,
          kind: 'option',
          mass,
          power: option.power,
          cost: items.reduce((sum, item) => sum + item.price, 0),
          workTime: option.workTime,
          made: (axles) => withPower(withMassAt(axles, mass, axles.centre), option.power, 'peak'),
        }
      }),
    )
  return [...swaps, ...options]
}
