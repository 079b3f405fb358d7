import { zonedMoment } from './zonedMoment'

/** Days of the week, Monday first. */
export const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const
export type Weekday = (typeof WEEKDAYS)[number]

/** Hours that come again each week. */
export interface WeekHours {
  readonly day: Weekday
  /** hours:minutes */
  readonly from: string
  readonly until: string
}
/** Days that somebody isn't there, the last one included. */
export interface DaysAway {
  readonly from: string
  readonly until: string
}

const DAY = 86_400_000
/**
 * A date so many days later.
 *
 * @example addDays('2026-02-27', 2) // '2026-03-01'
 */
export const addDays = (date: string, days: number) =>
  new Date(Date.parse(`${date}T00:00:00Z`) + days * DAY).toISOString().slice(0, 10)

/**
 * How many days lie between two dates; below zero where the second is earlier.
 *
 * @example daysBetween('2026-02-27', '2026-03-01') // 2
 */
export const daysBetween = (from: string, until: string): number =>
  Math.round((Date.parse(`${until}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / DAY)

/**
 * The day of the week of a date.
 *
 * @example weekdayOf('2026-11-29') // 'sun'
 */
export const weekdayOf = (date: string): Weekday =>
  WEEKDAYS[(new Date(`${date}T00:00:00Z`).getUTCDay() + 6) % 7]!

/**
 * When somebody is at work, from a day on: hours of the week as the clock of the place shows them, without the days away.
 * Hours are as long as they are, so that a night in which the clock is put forward has one less.
 *
 * @param week hours of each day; several on one day as well
 * @param from the first day, year-month-day
 * @param days how many
 * @param zone by its name in the time zone database
 * @returns stretches from and until, s since 1970 in Greenwich
 * @throws {RangeError} for hours that end before they begin
 * @example weekStretches([{ day: 'sun', from: '00:00', until: '06:00' }], [], '2026-03-29', 1, 'Europe/Berlin') // [[1774738800, 1774756800]]
 */
export function weekStretches(
  week: readonly WeekHours[],
  away: readonly DaysAway[],
  from: string,
  days: number,
  zone: string,
): [number, number][] {
  for (const { day, from: begin, until } of week)
    if (!(until > begin))
      throw new RangeError(`on ${day} work ends at ${until}, before it begins at ${begin}`)
  const byDay = new Map(WEEKDAYS.map((day) => [day, week.filter((hours) => hours.day === day)]))
  const found: [number, number][] = []
  for (let i = 0; i < days; i += 1) {
    const date = addDays(from, i)
    const hours = byDay.get(weekdayOf(date)) ?? []
    if (hours.length === 0 || away.some((a) => a.from <= date && date <= a.until)) continue
    for (const { from: begin, until } of hours)
      found.push([zonedMoment(date, begin, zone), zonedMoment(date, until, zone)])
  }
  return found
}
