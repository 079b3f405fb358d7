import type { Known, MarkReading, StageSummary } from '@bold-ballast/core'
import type { Mark } from '@bold-ballast/contract'

export interface Shortfall {
  /** kg to come off, and W at the wheels to be found: either would do. Zero where nothing is missing. */
  readonly kilograms: number
  readonly watts: number
}

/** Elapsed time goes with the cube root of weight over power. */
const POWER_OF_TIME = 3

/**
 * What a mark lacks in kilos or in power, by the plan as it stands; null for marks that neither helps.
 *
 * Kilos are counted on the car that the mark is about: a mass on the car in the mark's condition when the stage is
 * finished, a run on the car with its driver aboard.
 *
 * @param driver what of the driver the mass of the stage doesn't hold yet, kg
 * @source definition for mass and power; 402 m by ET ∝ (W/P)^⅓ (Hale and Huntington, as quoted by Fox, Am. J. Phys. 41
 * (1973) 311, from memory)
 * @example shortfall(mark, reading, summary, 84)?.kilograms // 12.4
 */
export function shortfall(
  mark: Pick<Mark, 'measure' | 'comparator' | 'value' | 'tolerance'>,
  reading: Pick<MarkReading, 'value'>,
  summary: Pick<StageSummary, 'finished' | 'measuredPower' | 'plannedPower'>,
  driver: number,
): Shortfall | null {
  const { measure, comparator, tolerance } = mark
  const power: Known | null = summary.measuredPower?.power ?? summary.plannedPower
  const mass = summary.finished.mass.value
  const asked = mark.value + (comparator === 'atMost' ? tolerance : -tolerance)
  const short = (kilograms: number, watts: number): Shortfall => ({
    kilograms: Math.max(0, kilograms),
    watts: Math.max(0, watts),
  })
  if (comparator === 'within' || asked <= 0) return null
  switch (measure) {
    case 'mass':
      return comparator === 'atMost' ? short((reading.value?.value ?? mass) - asked, 0) : null
    case 'wheelPower':
      return comparator === 'atLeast' && power ? short(0, asked - power.value) : null
    case 'powerToWeight':
      return comparator === 'atLeast' && power
        ? short(mass - power.value / asked, asked * mass - power.value)
        : null
    case 'quarterMile': {
      if (comparator !== 'atMost' || !power || !reading.value) return null
      const ratio = (reading.value.value / asked) ** POWER_OF_TIME
      return short((mass + driver) * (1 - 1 / ratio), power.value * (ratio - 1))
    }
    default:
      return null
  }
}
