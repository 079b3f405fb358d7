import type { Build, DynoDay } from '@bold-ballast/contract'
import type { PullGears } from '@bold-ballast/core'
import { gearName } from '../../words/gearName'

/** What the build's drivetrain and the day's gear say about a pull. */
export function gearsOf(build: Pick<Build, 'drivetrain'>, day: Pick<DynoDay, 'gear'>): PullGears {
  const { drivetrain } = build
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
