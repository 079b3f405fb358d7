import type { BuildDocument, Outing } from '@bold-ballast/contract'
import { lapEvidence, type LapEvidence } from './lapEvidence'
import { runsOf } from './runsOf'
import { lapsThatCount } from './timedOutings'

/** What a day cost: entry and the like, fuel, tyres, and parts that were replaced on it. */
export interface DaySpent {
  readonly entry: number
  readonly fuel: number
  readonly tyres: number
  readonly parts: number
}

/** A day of the season: how quick, how it ended, what it cost. */
export interface SeasonDay {
  readonly day: Outing
  readonly laps: number
  /** Of laps that count, of all drivers, on a dry track where there was one; null where nobody timed any. */
  readonly evidence: LapEvidence | null
  readonly best: number | null
  /** All of it; null where nobody noted any. */
  readonly cost: number | null
  /** Of that, what for. */
  readonly spent: DaySpent
  readonly points: number | null
}

/**
 * The days that were driven, the oldest first.
 *
 * @example seasonDays(document).length // 1
 */
export function seasonDays(document: Pick<BuildDocument, 'outings' | 'runs' | 'services'>): SeasonDay[] {
  return document.outings
    .filter((day) => !day.planned)
    .sort((a, b) => a.date.localeCompare(b.date))
    .map((day) => {
      const runs = runsOf(document, day.id).filter((run) => !run.planned)
      const dry = runs.filter((run) => run.track === 'dry')
      const counted = (dry.length > 0 ? dry : runs).flatMap(lapsThatCount)
      const evidence = lapEvidence(counted)
      const parts = document.services
        .filter((service) => service.date === day.date)
        .flatMap((service) => service.parts)
        .reduce((sum, part) => sum + part.quantity * part.price, 0)
      const bests = [evidence?.best, day.bestLap].filter((t): t is number => typeof t === 'number')
      const isNoted = [day.cost, day.fuelCost, day.tyreCost].some((c) => c !== null) || parts > 0
      const spent = {
        entry: day.cost ?? 0,
        fuel: day.fuelCost ?? 0,
        tyres: day.tyreCost ?? 0,
        parts,
      }
      return {
        day,
        laps: runs.length > 0 ? runs.reduce((sum, run) => sum + run.laps.length, 0) : day.amounts.laps,
        evidence,
        best: bests.length > 0 ? Math.min(...bests) : null,
        cost: isNoted ? spent.entry + spent.fuel + spent.tyres + spent.parts : null,
        spent,
        points: day.result?.points ?? null,
      }
    })
}
