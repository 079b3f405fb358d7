import type { Course } from '@bold-ballast/contract'
import type { LapCar } from '@bold-ballast/core'
import { SENSITIVITY_DOUBT, type LapAssumes } from '../car/lapFacts'
import { lapOf } from './lapOf'

/** What each thing that is taken for granted may just as well be (common practice). */
const OTHERWISE: Readonly<Record<LapAssumes, (run: LapCar) => LapCar>> = {
  sensitivity: (run) => ({ ...run, tyreSensitivity: (run.tyreSensitivity ?? 0) + SENSITIVITY_DOUBT }),
  differential: (run) => ({ ...run, differential: { kind: 'open' } }),
  driver: (run) => ({ ...run, brakeUsed: 0.9 * run.brakeUsed }),
  springs: (run) => ({ ...run, transferShare: Math.min(1, run.transferShare + 0.06) }),
  brakes: (run) => ({ ...run, brakeFront: Math.min(0.95, run.brakeFront + 0.05) }),
}

/**
 * How much of a lap hangs on what is taken for granted, s: by how much it would be another if each were otherwise.
 *
 * @example assumedWorth(car.geared.run, course, ['driver']).get('driver') // 0.0969
 */
export function assumedWorth(
  run: LapCar,
  course: Omit<Course, 'version'>,
  assumes: readonly LapAssumes[],
): ReadonlyMap<LapAssumes, number> {
  if (assumes.length === 0) return new Map()
  const base = lapOf(run, course, true).time
  return new Map(assumes.map((one) => [one, Math.abs(lapOf(OTHERWISE[one](run), course, true).time - base)]))
}
