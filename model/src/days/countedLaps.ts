import type { BuildDocument, Outing, Run, Setup } from '@bold-ballast/contract'
import { airDensity, type CountedLap } from '@bold-ballast/core'
import { runsOf } from './runsOf'

const AS_IT_WAS = 'as it was'

/** What a run was driven on, in a word or two: its sheet, or what was changed where nobody wrote one. */
export function onWhat(
  { setupId, change }: Pick<Run, 'setupId' | 'change'>,
  setups: readonly Setup[],
): string {
  const sheet = setups.find((s) => s.id === setupId)
  return sheet ? `Sheet ${sheet.order}` : change || AS_IT_WAS
}

/**
 * What each run of a day was driven on. A run that checks the base again is on what the base was, whatever was noted of
 * the way back: of a change and back there is one comparison, not two.
 *
 * @param runs of one day, in order
 * @returns by the run's id
 * @example drivenOn(document.runs, document.setups).size // 1
 */
export function drivenOn(runs: readonly Run[], setups: readonly Setup[]): ReadonlyMap<string, string> {
  const on = new Map<string, string>()
  let base = AS_IT_WAS
  for (const run of runs) {
    const hasSheet = setups.some((sheet) => sheet.id === run.setupId)
    const isBack = run.purpose === 'check' && !hasSheet
    const what = isBack ? base : onWhat(run, setups)
    on.set(run.id, what)
    if (run.purpose === 'baseLine') base = what
  }
  return on
}

/**
 * Laps of some days that count, as `changeEffect` wants them: one driver's, on one state of the track. A lap's number
 * counts all laps since the driver got in that day; each session of each day is its own.
 *
 * @param fuelPerLap burnt, m³; 0 where nobody knows
 * @example countedLaps(document, document.outings, { driver: 'Ines', track: 'dry', fuelPerLap: 0 }).length // 2
 */
export function countedLaps(
  document: Pick<BuildDocument, 'runs' | 'setups'>,
  days: readonly Pick<Outing, 'id' | 'date'>[],
  {
    driver,
    track,
    fuelPerLap,
  }: { readonly driver: string; readonly track: Run['track']; readonly fuelPerLap: number },
): CountedLap[] {
  return days.flatMap((day) => {
    let number = 0
    const runs = runsOf(document, day.id).filter((run) => !run.planned)
    const on = drivenOn(runs, document.setups)
    return runs
      .filter((run) => run.driver === driver)
      .flatMap((run) =>
        run.laps.flatMap((lap, i): CountedLap[] => {
          number += 1
          if (lap.is !== 'counts' || lap.time === null || run.track !== track) return []
          return [
            {
              time: lap.time,
              on: on.get(run.id) ?? AS_IT_WAS,
              number,
              session: `${day.date} ${run.session}`,
              run: run.id,
              fuel: run.fuel === null ? null : Math.max(0, run.fuel - i * fuelPerLap),
              air: run.air ? airDensity(run.air) : null,
            },
          ]
        }),
      )
  })
}
