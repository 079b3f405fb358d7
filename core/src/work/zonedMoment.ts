const formats = new Map<string, Intl.DateTimeFormat>()

/** A place's clock, as the parts of a date; made once for each place, because making one takes long. */
function clockOf(zone: string): Intl.DateTimeFormat {
  const known = formats.get(zone)
  if (known) return known
  const made = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    hourCycle: 'h23',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    second: '2-digit',
  })
  formats.set(zone, made)
  return made
}

/** Clocks are put forward and back at full quarters of an hour, whatever the zone. */
const QUARTER = 900
const DAY = 86_400
const MOST_KEPT = 60_000
const kept = new Map<string, Map<number, number>>()

/** How far the clock of a place is ahead of Greenwich’s as a quarter of an hour begins, s; looked up once. */
function aheadOfQuarter(quarter: number, ofZone: Map<number, number>, zone: string): number {
  const known = ofZone.get(quarter)
  if (known !== undefined) return known
  if (ofZone.size >= MOST_KEPT) ofZone.clear()
  const ahead = readClock(quarter * QUARTER, zone) - quarter * QUARTER
  ofZone.set(quarter, ahead)
  return ahead
}

/** How far the clock of a place is ahead of Greenwich’s at a moment, s. */
function aheadAt(moment: number, zone: string): number {
  let ofZone = kept.get(zone)
  if (!ofZone) kept.set(zone, (ofZone = new Map()))
  // No clock is put forward and back in one day: where a day ends as it began, it was so all the time.
  const day = Math.floor(moment / DAY)
  const begins = aheadOfQuarter((day * DAY) / QUARTER, ofZone, zone)
  const ends = aheadOfQuarter(((day + 1) * DAY) / QUARTER, ofZone, zone)
  return begins === ends ? begins : aheadOfQuarter(Math.floor(moment / QUARTER), ofZone, zone)
}

/** What the clock of a place shows at a moment, as if it were Greenwich's, s. */
const shownAt = (moment: number, zone: string): number => moment + aheadAt(moment, zone)

function readClock(moment: number, zone: string): number {
  const parts = new Map(
    clockOf(zone)
      .formatToParts(moment * 1000)
      .map(({ type, value }) => [type, Number(value)]),
  )
  const of = (part: Intl.DateTimeFormatPartTypes) => parts.get(part) ?? 0
  return Date.UTC(of('year'), of('month') - 1, of('day'), of('hour'), of('minute'), of('second')) / 1000
}

/**
 * The moment at which the clock of a place shows a date and a time, s since 1970 in Greenwich. Of a time that is shown
 * twice, as summer time ends, the first; a time that is left out, as it begins, is as much later as was left out.
 *
 * @param date year-month-day
 * @param time hours:minutes, `24:00` for the end of the day
 * @param zone by its name in the time zone database, such as `Europe/Berlin`
 * @throws {RangeError} for a zone that isn't known, or what is no date or time
 * @source ECMA-402, 11 DateTimeFormat; RFC 5545, 3.3.5, for times that are shown twice or left out
 * @example zonedMoment('2026-03-29', '03:00', 'Europe/Berlin') // 1774746000
 */
export function zonedMoment(date: string, time: string, zone: string): number {
  const [year, month, day] = date.split('-').map(Number)
  const [hours, minutes = 0] = time.split(':').map(Number)
  const wanted = Date.UTC(year!, month! - 1, day, hours, minutes) / 1000
  if (!Number.isFinite(wanted)) throw new RangeError(`“${date} ${time}” is no date and time`)
  // How far the clock is ahead, half a day to either side: they differ only where it is put forward or back between them.
  const ahead = [wanted - 43_200, wanted + 43_200].map((moment) => aheadAt(moment, zone))
  const [before, after] = [wanted - ahead[0]!, wanted - ahead[1]!]
  if (shownAt(before, zone) === wanted) return before
  return shownAt(after, zone) === wanted ? after : before
}

/**
 * The date that the clock of a place shows at a moment.
 *
 * @param moment s since 1970 in Greenwich
 * @example zonedDate(1774742400, 'Europe/Berlin') // '2026-03-29'
 */
export const zonedDate = (moment: number, zone: string): string =>
  new Date(shownAt(moment, zone) * 1000).toISOString().slice(0, 10)

/**
 * The time that the clock of a place shows at a moment, to the minute.
 *
 * @param moment s since 1970 in Greenwich
 * @example zonedTime(1774746000, 'Europe/Berlin') // '03:00'
 */
export const zonedTime = (moment: number, zone: string): string =>
  new Date(shownAt(moment, zone) * 1000).toISOString().slice(11, 16)
