import type { BuildDocument, Outing, Run, Setup } from '@bold-ballast/contract'
import { airDensity, type CountedLap } from '@bold-ballast/core'
import { runsOf } from './runsOf'

/** What a run was driven on, in a word or two: its sheet, or what was changed where nobody wrote one. */
export function onWhat(
  { setupId, change }: Pick<Run, 'setupId' | 'change'>,
  setups: readonly Setup[],
): string {
  const sheet = setups.find((s) => s.id === setupId)
  return sheet ? `Sheet ${sheet.order}` : change || 'as it was'
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
    return runsOf(document, day.id)
      .filter((run) => !run.planned && run.driver === driver)
      .flatMap((run) =>
        run.laps.flatMap((lap, i): CountedLap[] => {
          number += 1
          if (lap.is !== 'counts' || lap.time === null || run.track !== track) return []
          return [
            {
              time: lap.time,
              on: onWhat(run, document.setups),
              number,
              session: `${day.date} ${run.session}`,
              fuel: run.fuel === null ? null : Math.max(0, run.fuel - i * fuelPerLap),
              air: run.air ? airDensity(run.air) : null,
            },
          ]
        }),
      )
  })
}
