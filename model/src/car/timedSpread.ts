import type { Course, Outing } from '@bold-ballast/contract'
import { QUARTER_MILE, straightLine, type LapCar } from '@bold-ballast/core'
import { lapTimeOf } from '../course/lapOf'
import { isOn } from '../days/timedOutings'

/** No stopwatch and no driver repeat better than this, as a share. */
const LEAST = 0.01

/**
 * What timed laps and runs leave over of the worked-out ones, as a share: once a car has been timed, that is how far off
 * what is worked out next may be.
 *
 * Every day with a best lap at a course whose line is known is set against the lap that its stage's car could do there,
 * and every timed 402 m against that car's.
 *
 * @param runOf the car of a stage, by its id; null where it can't run
 * @returns root mean square of driven over worked out, less 1; `null` for a car that nobody has timed
 * @example timedSpread(document.outings, document.courses, (stageId) => carAt(document, stageId).geared?.run ?? null) // 0.0753
 */
export function timedSpread(
  outings: readonly Outing[],
  courses: readonly Course[],
  runOf: (stageId: string) => LapCar | null,
): number | null {
  const offs = outings.flatMap((outing) => {
    const { bestLap, quarterMile } = outing
    if (outing.planned || (bestLap === null && quarterMile === null)) return []
    const course = courses.find((c) => isOn(outing, c))
    const run = runOf(outing.stageId)
    if (!run) return []
    const standing =
      quarterMile !== null && straightLine(run, { speeds: [], distances: [QUARTER_MILE] }).toDistance[0]?.time
    return [
      ...(bestLap !== null && course ? [bestLap / lapTimeOf(run, course) - 1] : []),
      ...(quarterMile !== null && standing ? [quarterMile / standing - 1] : []),
    ]
  })
  if (offs.length === 0) return null
  return Math.max(LEAST, Math.sqrt(offs.reduce((sum, o) => sum + o * o, 0) / offs.length))
}
