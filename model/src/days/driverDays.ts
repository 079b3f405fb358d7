import type { BuildDocument } from '@bold-ballast/contract'
import { changeEffect } from '@bold-ballast/core'
import { countedLaps } from './countedLaps'
import { lapEvidence } from './lapEvidence'

/** A day of a driver's: the pace, and how alike the laps were. */
export interface DriverDay {
  readonly driver: string
  readonly outingId: string
  readonly date: string
  readonly courseId: string | null
  readonly stageId: string
  readonly laps: number
  /** s */
  readonly best: number
  readonly median: number
  /** From lap to lap, once what was changed and the day's trend are taken off, as a share of the median. */
  readonly scatter: number
}

/** Fewer laps say nothing of how alike they are. */
const LEAST = 5

/**
 * A driver's season, day by day: where laps get quicker, and more alike. Laps that count, on a dry track.
 *
 * @example driverDays(document).length // 0
 */
export function driverDays(document: Pick<BuildDocument, 'outings' | 'runs' | 'setups'>): DriverDay[] {
  const drivers = [...new Set(document.runs.filter((run) => !run.planned).map((run) => run.driver))]
  return [...document.outings]
    .filter((day) => !day.planned)
    .sort((a, b) => a.date.localeCompare(b.date))
    .flatMap((day) =>
      drivers.flatMap((driver): DriverDay[] => {
        const laps = countedLaps(document, [day], { driver, track: 'dry', fuelPerLap: 0 })
        const evidence = lapEvidence(laps.map(({ time }) => ({ time, sectors: [] })))
        if (!evidence || laps.length < LEAST) return []
        const { freedom, scatter } = changeEffect(laps)
        const own = freedom >= 3 ? scatter : (evidence.scatter ?? 0)
        return [
          {
            driver,
            outingId: day.id,
            date: day.date,
            courseId: day.courseId,
            stageId: day.stageId,
            laps: laps.length,
            best: evidence.best,
            median: evidence.median,
            scatter: own / evidence.median,
          },
        ]
      }),
    )
}
