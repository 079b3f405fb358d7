import type { LifeMeasure, Outing } from './lifeOf'

/** Something that happened to a component. */
export interface LifeEvent {
  /** Year-month-day. */
  readonly date: string
  readonly kind: 'service' | 'failure'
  /** A new one was fitted, or the old one made as new. */
  readonly renewed: boolean
}

export interface Lives {
  /** Run in the life of now: since the last renewal, or since it was fitted with what it had run before. */
  readonly used: number
  /** What had been run whenever it failed. */
  readonly failedAt: readonly number[]
  /** When the life of now began; `null` for before the first outing. */
  readonly since: string | null
}

/**
 * The lives of a component, one after the other, from what ran and what happened to it.
 *
 * A day counts for what was on the car when it began: a part renewed in the workshop runs that day, one renewed
 * because it failed runs from the next.
 *
 * @param life when it was fitted, and what it had run before
 * @source counting
 * @example livesOf({ measure: 'trackDays', usedBefore: 0, since: null }, outings, events).failedAt // [3]
 */
export function livesOf(
  life: { readonly measure: LifeMeasure; readonly usedBefore: number; readonly since: string | null },
  outings: readonly Outing[],
  events: readonly LifeEvent[],
): Lives {
  const days = [
    ...outings.map((o) => ({ date: o.date, rank: 1, outing: o, event: null })),
    ...events.map((e) => ({ date: e.date, rank: e.kind === 'failure' ? 2 : 0, outing: null, event: e })),
  ].sort((a, b) => a.date.localeCompare(b.date) || a.rank - b.rank)
  let used = life.usedBefore
  let { since } = life
  const failedAt: number[] = []
  for (const { date, outing, event } of days) {
    if (life.since !== null && date < life.since) continue
    if (outing) used += outing.amounts[life.measure]
    if (event?.kind === 'failure' && used > 0) failedAt.push(used)
    if (event?.renewed) {
      used = 0
      since = date
    }
  }
  return { used, failedAt, since }
}
