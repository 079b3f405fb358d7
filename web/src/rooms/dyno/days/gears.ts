import type { Drive, DynoDay } from '@bold-ballast/contract'
import type { PullGears } from '@bold-ballast/core'
import { gearName } from '@bold-ballast/words'

/** What the gears of the day's stage, and the gear it was run in, say about a pull. */
export function gearsOf(drivetrain: Drive | null, day: Pick<DynoDay, 'gear'>): PullGears {
  if (!drivetrain) return { limiter: null, overall: null, overalls: [], rollingRadius: null }
  const overalls = drivetrain.ratios.map((ratio, i) => ({
    name: gearName(i),
    ratio: ratio * drivetrain.finalDrive * drivetrain.between,
  }))
  return {
    limiter: drivetrain.limiter,
    overall: (day.gear !== null && overalls[day.gear - 1]?.ratio) || null,
    overalls,
    rollingRadius: drivetrain.rollingRadius,
  }
}
