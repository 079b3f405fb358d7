import type { BuildDocument, Outing, Run } from '@bold-ballast/contract'
import {
  changeEffect,
  orWhy,
  plannedDoubt,
  type CountedLap,
  type LapEffects,
  type RunOffset,
} from '@bold-ballast/core'
import { countedLaps } from './countedLaps'
import { runsOf } from './runsOf'

/** The run that would tell the most: on what, and what the error of the change would come down to. */
export interface NextRun {
  readonly on: string
  readonly laps: number
  readonly change: string
  /** s a lap */
  readonly error: { readonly now: number; readonly then: number }
}

export interface Helped {
  readonly driver: string
  readonly laps: readonly CountedLap[]
  readonly effects: LapEffects
  /** The same without sessions, where a change can't be told from them: it takes for granted that sessions are alike. */
  readonly alike: LapEffects | null
  readonly next: NextRun | null
}

/** Laps of a run that would settle it. */
const MORE = 6

/**
 * Whether what was changed between runs of some days helped, driver by driver.
 *
 * @param fuelPerLap m³
 * @param others days on the same course: how far the driver's runs differ there for no reason
 * @returns drivers with at least two laps that count, whoever drove most first
 * @example didItHelp(document, document.outings, 0)[0].effects.laps // 2
 */
export function didItHelp(
  document: Pick<BuildDocument, 'runs' | 'setups'>,
  days: readonly Pick<Outing, 'id' | 'date'>[],
  fuelPerLap: number,
  others: readonly Pick<Outing, 'id' | 'date'>[] = [],
): Helped[] {
  const runs = days.flatMap((day) => runsOf(document, day.id)).filter((run) => !run.planned)
  const drivers = [...new Set(runs.map((run) => run.driver))]
  return drivers
    .flatMap((driver): Helped[] => {
      const laps = countedLaps(document, days, {
        driver,
        track: usualTrack(runs.filter((run) => run.driver === driver)),
        fuelPerLap,
      })
      if (laps.length < 2) return []
      const offset = offsetOn(document, others, driver)
      const effects = orWhy(
        () => changeEffect(laps, undefined, offset),
        () => null,
      )
      if (!effects) return []
      const isConfounded = effects.changes.some((c) => c.verdict === 'confounded' && c.with === 'session')
      const alike = isConfounded
        ? changeEffect(
            laps.map((lap) => ({ ...lap, session: '' })),
            undefined,
            offset,
          )
        : null
      return [{ driver, laps, effects, alike, next: nextRun(laps, effects) }]
    })
    .sort((a, b) => b.laps.length - a.laps.length)
}

/** The state of the track that most laps were driven on. */
function usualTrack(runs: readonly Run[]): Run['track'] {
  const count = new Map<Run['track'], number>()
  for (const { track, laps } of runs) count.set(track, (count.get(track) ?? 0) + laps.length)
  return [...count].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 'dry'
}

/** How far a driver's runs differ for no reason, where other days say so. */
function offsetOn(
  document: Pick<BuildDocument, 'runs' | 'setups'>,
  days: readonly Pick<Outing, 'id' | 'date'>[],
  driver: string,
): RunOffset | null {
  const runs = days.flatMap((day) => runsOf(document, day.id)).filter((run) => run.driver === driver)
  const laps = countedLaps(document, days, { driver, track: usualTrack(runs), fuelPerLap: 0 })
  return laps.length === 0
    ? null
    : orWhy(
        () => changeEffect(laps).offset,
        () => null,
      )
}

/** What to drive next so that the change that is known worst is known best: a run more of six laps on what was driven. */
function nextRun(laps: readonly CountedLap[], effects: LapEffects): NextRun | null {
  const { changes, base } = effects
  const open = changes.find((c) => c.verdict === 'notShown' || c.verdict === 'confounded')
  const last = laps.at(-1)
  if (!open || !last) return null
  const errorWith = (more: readonly CountedLap[]) => designError([...laps, ...more], effects, open.on)
  const now = errorWith([])
  const tries = [base, open.on].map((on) => ({
    on,
    then: errorWith(
      Array.from({ length: MORE }, (_, i) => ({ ...last, on, run: 'next', number: last.number + 1 + i })),
    ),
  }))
  const best = tries.reduce((a, b) => (b.then < a.then ? b : a))
  if (!(best.then < now)) return null
  return { on: best.on, laps: MORE, change: open.on, error: { now, then: best.then } }
}

/** The error of a change, s, by when and on what laps are driven alone. */
function designError(laps: readonly CountedLap[], effects: LapEffects, on: string): number {
  const { base, scatter } = effects
  const sessions = [...new Set(laps.map((l) => l.session))].slice(1)
  const others = [...new Set(laps.map((l) => l.on))].filter((o) => o !== base && o !== on)
  const columns = [
    laps.map(() => 1),
    laps.map((l) => l.number),
    laps.map((l) => Math.log(l.number)),
    ...sessions.map((s) => laps.map((l) => (l.session === s ? 1 : 0))),
    ...others.map((o) => laps.map((l) => (l.on === o ? 1 : 0))),
    laps.map((l) => (l.on === on ? 1 : 0)),
  ]
  const weights = columns.map((_, i) => (i === columns.length - 1 ? 1 : 0))
  if (!(scatter > 0)) return Infinity
  return plannedDoubt(columns, laps, effects, weights).error
}
