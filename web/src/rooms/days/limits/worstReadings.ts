import type { BuildDocument } from '@bold-ballast/contract'
import { runHealth, runsOf, type Health } from '@bold-ballast/model'

export interface WorstReading {
  readonly value: number
  readonly health: Health
  /** To its limit; below zero beyond it. */
  readonly room: number
  readonly where: string
}

/** Of each limit, by its name, the reading that came nearest to it or went farthest beyond. */
export function worstReadings(
  view: Pick<BuildDocument, 'outings' | 'runs' | 'limits'>,
): ReadonlyMap<string, WorstReading> {
  const found = new Map<string, WorstReading>()
  for (const day of view.outings)
    for (const run of runsOf(view, day.id))
      for (const { name, value, limit, health } of runHealth(run, view.limits).held) {
        if (!limit) continue
        const room = limit.side === 'high' ? limit.value - value : value - limit.value
        const key = name.trim().toLowerCase()
        const before = found.get(key)
        if (!before || room < before.room)
          found.set(key, { value, health, room, where: `${day.name}, ${day.date}, run ${run.order}` })
      }
  return found
}
