import type { AxleCar } from '@bold-ballast/core'
import { finalDriveLine, wingLines, withWing, type Car } from '@bold-ballast/model'

/** Angles of the wing by final drives. */
export interface Both {
  readonly wing: string
  readonly combinations: readonly { readonly angle: number; readonly final: number }[]
  readonly cars: readonly AxleCar[]
}

/** Final drives that each angle is tried with. */
const TRIED_FINALS = 13

/** The first wing's angles with each final drive: what one alone would want, the other may change. */
export function bestOfBoth(car: Car, axles: AxleCar): Both | null {
  if (axles.drive.kind === 'power') return null
  const { drive } = axles
  const [wing] = wingLines(car, axles)
  const final = finalDriveLine(axles, TRIED_FINALS)
  if (!wing || !final) return null
  const combinations = wing.values.flatMap((angle) => final.values.map((ratio) => ({ angle, final: ratio })))
  return {
    wing: wing.element.name,
    combinations,
    cars: combinations.map(({ angle, final: finalDrive }) => ({
      ...withWing(car, axles, wing.element, angle),
      drive: { ...drive, finalDrive },
    })),
  }
}
