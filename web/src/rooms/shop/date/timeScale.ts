import { daysBetween, zonedMoment } from '@bold-ballast/core'
import { ZONE } from '../../../store/useReckonedFrom'

const DAY = 86_400
const MOST_DAYS = 240
const LEAST_DAYS = 10

/** Days as shares of the width of a timeline, for styles. */
export interface TimeScale {
  readonly day: string
  readonly days: number
  readonly origin: number
  readonly ends: number
  readonly at: (moment: number) => string
  readonly width: (from: number, until: number) => string
  readonly ofDay: (day: string) => string
}

/**
 * From a day on, until the last of some moments that isn't too far ahead.
 *
 * @param ends moments by which something has ended; infinite for never
 * @param dates moments of fixed dates, which are only shown where they aren't too far ahead
 */
export function timeScale(day: string, ends: readonly number[], dates: readonly number[]): TimeScale {
  const origin = zonedMoment(day, '00:00', ZONE)
  const furthest = Math.max(
    ...ends.filter((end) => end < Infinity),
    ...dates.filter((by) => by < origin + MOST_DAYS * DAY),
    origin + LEAST_DAYS * DAY,
  )
  const days = Math.min(MOST_DAYS, Math.ceil((furthest - origin) / DAY) + 1)
  const last = origin + days * DAY
  return {
    day,
    days,
    origin,
    ends: last,
    at: (moment) => `${Math.min(100, Math.max(0, ((moment - origin) / (days * DAY)) * 100))}%`,
    width: (from, until) =>
      `${Math.max(0.4, ((Math.min(until, last) - Math.max(origin, from)) / (days * DAY)) * 100)}%`,
    ofDay: (other) => `${(daysBetween(day, other) / days) * 100}%`,
  }
}
