import type { BuildDocument } from '@bold-ballast/contract'
import { daysBetween } from '@bold-ballast/core'

/** After so many days without an entry nobody has gone on working as if nothing were. */
const SLEEPS_AFTER = 30

/**
 * The last day on which anything was noted of the work; null where nothing ever was.
 *
 * @param today what lies ahead of it isn't noted, but planned
 * @example lastNoted(document, '2026-11-29') // null
 */
export function lastNoted(
  document: Pick<BuildDocument, 'jobs' | 'waits' | 'parts' | 'outings'>,
  today: string,
): string | null {
  const days = [
    ...document.jobs.flatMap((job) => [job.doneOn, ...job.spells.map((s) => s.on)]),
    ...document.waits.flatMap((wait) => [wait.givenOn, wait.backOn]),
    ...document.parts.flatMap((part) => [part.orderedOn, part.arrivedOn]),
    ...document.outings.filter((o) => !o.planned).map((o) => o.date),
  ]
  return days.reduce<string | null>(
    (last, day) => (day && day <= today && day > (last ?? '') ? day : last),
    null,
  )
}

/**
 * The day that dates are reckoned from: today, or the last day on which anything was noted where a build has slept since.
 *
 * @example reckonedDay(document, '2026-11-29') // '2026-11-29'
 */
export function reckonedDay(
  document: Pick<BuildDocument, 'jobs' | 'waits' | 'parts' | 'outings'>,
  today: string,
): string {
  const last = lastNoted(document, today)
  return last !== null && daysBetween(last, today) > SLEEPS_AFTER ? last : today
}
