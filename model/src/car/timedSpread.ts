import { lapTime, QUARTER_MILE, straightLine, type StageSummary } from '@bold-ballast/core'
import type { BuildDocument, Stage } from '@bold-ballast/contract'
import { gearedCar } from './gearedCar'

/** No stopwatch and no driver repeat better than this, as a share. */
const LEAST = 0.01

const kept = new WeakMap<readonly StageSummary[], number | null>()

/**
 * What timed laps and runs leave over of the worked-out ones, as a share: once a car has been timed, that is how far off
 * what is worked out next may be.
 *
 * Every day with a best lap at a course whose line is known is set against the lap that its stage's car could do there,
 * and every timed 402 m against that car's.
 *
 * @param stages in order
 * @param summaries of all stages, in the same order; the answer is kept with them
 * @returns root mean square of driven over worked out, less 1; `null` for a car that nobody has timed
 * @example timedSpread(document, stages, summaries) // 0.021
 */
export function timedSpread(
  document: BuildDocument,
  stages: readonly Stage[],
  summaries: readonly StageSummary[],
): number | null {
  const before = kept.get(summaries)
  if (before !== undefined) return before
  const offs = document.outings.flatMap((outing) => {
    const at = stages.findIndex((s) => s.id === outing.stageId)
    if (outing.planned || at < 0 || (outing.bestLap === null && outing.quarterMile === null)) return []
    const name = outing.name.toLowerCase()
    const course = document.courses.find((c) => name.includes(c.name.toLowerCase()))
    const run = gearedCar(document, stages, summaries, at).car?.run
    if (!run) return []
    const standing =
      outing.quarterMile !== null &&
      straightLine(run, { speeds: [], distances: [QUARTER_MILE] }).toDistance[0]?.time
    return [
      ...(outing.bestLap !== null && course ? [outing.bestLap / lapTime(run, course).time - 1] : []),
      ...(standing ? [outing.quarterMile! / standing - 1] : []),
    ]
  })
  const spread =
    offs.length === 0
      ? null
      : Math.max(LEAST, Math.sqrt(offs.reduce((sum, o) => sum + o * o, 0) / offs.length))
  kept.set(summaries, spread)
  return spread
}
