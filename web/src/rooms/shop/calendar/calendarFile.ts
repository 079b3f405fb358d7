import type { FixedDate, Hand } from '@bold-ballast/contract'
import {
  addDays,
  WEEKDAYS,
  weekdayOf,
  zonedDate,
  zonedMoment,
  zonedTime,
  type Weekday,
  type WeekHours,
} from '@bold-ballast/core'
import ICAL from 'ical.js'

/** The product as a calendar file names who wrote it. */
const WRITER = '-//Bold Ballast//Shop//EN'
const HOURS = 'HOURS'
const AWAY = 'AWAY'
const MOST_EVENTS = 2000

/** An event of a calendar file, as the clock of the place shows it. */
export interface CalendarEvent {
  readonly uid: string
  readonly name: string
  readonly note: string
  readonly date: string
  /** Null for a whole day. */
  readonly time: string | null
  /** The last day of it. */
  readonly until: string
  readonly untilTime: string | null
  /** The hours of a week that it stands for, where it comes again each week. */
  readonly week: readonly WeekHours[]
  /** What it was written as by this program; `date` for what others wrote. */
  readonly is: 'date' | 'hours' | 'away'
}

const BYDAY: Readonly<Record<Weekday, string>> = {
  mon: 'MO',
  tue: 'TU',
  wed: 'WE',
  thu: 'TH',
  fri: 'FR',
  sat: 'SA',
  sun: 'SU',
}
const DAY_NAMED = new Map(WEEKDAYS.map((day) => [BYDAY[day], day]))

/** A time without a zone: as the clock on the wall shows it, wherever that hangs. */
const floating = (date: string, time: string): ICAL.Time =>
  time === '24:00'
    ? ICAL.Time.fromDateTimeString(`${addDays(date, 1)}T00:00:00`)
    : ICAL.Time.fromDateTimeString(`${date}T${time}:00`)

function eventOf(
  uid: string,
  summary: string,
  note: string,
  stamp: Date,
  more: (event: ICAL.Component) => void,
) {
  const event = new ICAL.Component('vevent')
  event.addPropertyWithValue('uid', uid)
  event.addPropertyWithValue('dtstamp', ICAL.Time.fromJSDate(stamp, true))
  event.addPropertyWithValue('summary', summary)
  if (note !== '') event.addPropertyWithValue('description', note)
  more(event)
  return event
}

/** The first day from one on that is such a day of the week. */
const nextOn = (day: Weekday, from: string): string =>
  Array.from({ length: 7 }, (_, i) => addDays(from, i)).find((date) => weekdayOf(date) === day) ?? from

/**
 * Fixed dates, the hours of a week and the days away as an iCalendar file.
 *
 * @param from the day from which the hours of a week come again
 * @param stamp when it is written
 * @see RFC 5545
 */
export function writeCalendar(
  dates: readonly Pick<FixedDate, 'id' | 'name' | 'date' | 'time' | 'note' | 'calendarId'>[],
  hands: readonly Pick<Hand, 'id' | 'name' | 'week' | 'away'>[],
  from: string,
  stamp: Date,
): string {
  const calendar = new ICAL.Component(['vcalendar', [], []])
  calendar.addPropertyWithValue('version', '2.0')
  calendar.addPropertyWithValue('prodid', WRITER)
  for (const { id, name, date, time, note, calendarId } of dates)
    calendar.addSubcomponent(
      eventOf(calendarId || id, name, note, stamp, (event) => {
        if (time === null) event.addPropertyWithValue('dtstart', ICAL.Time.fromDateString(date))
        else {
          event.addPropertyWithValue('dtstart', floating(date, time))
          event.addPropertyWithValue('duration', ICAL.Duration.fromString('PT1H'))
        }
      }),
    )
  for (const { id, name, week, away } of hands) {
    week.forEach(({ day, from: begins, until }, i) =>
      calendar.addSubcomponent(
        eventOf(`${id}-hours-${i}`, name, '', stamp, (event) => {
          const first = nextOn(day, from)
          event.addPropertyWithValue('dtstart', floating(first, begins))
          event.addPropertyWithValue('dtend', floating(first, until))
          event.addPropertyWithValue('rrule', ICAL.Recur.fromString(`FREQ=WEEKLY;BYDAY=${BYDAY[day]}`))
          event.addPropertyWithValue('categories', HOURS)
        }),
      ),
    )
    away.forEach(({ from: first, until, why }, i) =>
      calendar.addSubcomponent(
        eventOf(`${id}-away-${i}`, name, why, stamp, (event) => {
          event.addPropertyWithValue('dtstart', ICAL.Time.fromDateString(first))
          // The end of a whole day is the day after it.
          event.addPropertyWithValue('dtend', ICAL.Time.fromDateString(addDays(until, 1)))
          event.addPropertyWithValue('categories', AWAY)
        }),
      ),
    )
  }
  return calendar.toString()
}

const two = (n: number) => String(n).padStart(2, '0')

/** A time of a file as the clock of a place shows it; one without a zone as it stands. */
function shown(time: ICAL.Time, tzid: string | undefined, zone: string): { date: string; time: string } {
  const date = `${time.year}-${two(time.month)}-${two(time.day)}`
  const clock = `${two(time.hour)}:${two(time.minute)}`
  const isFloating = time.zone?.tzid === 'floating'
  if (isFloating && tzid === undefined) return { date, time: clock }
  const moment = isFloating && tzid !== undefined ? momentIn(date, clock, tzid) : time.toUnixTime()
  return moment === null
    ? { date, time: clock }
    : { date: zonedDate(moment, zone), time: zonedTime(moment, zone) }
}

/** A moment in a zone that the file names without saying what it is; null where nobody knows it. */
function momentIn(date: string, time: string, tzid: string): number | null {
  try {
    return zonedMoment(date, time, tzid)
  } catch {
    return null
  }
}

/**
 * The events of an iCalendar file, in order, as the clock of a place shows them.
 *
 * @throws {RangeError} for what is no such file
 */
export function readCalendar(text: string, zone: string): CalendarEvent[] {
  let calendar: ICAL.Component
  try {
    calendar = new ICAL.Component(ICAL.parse(text) as unknown[])
  } catch {
    throw new RangeError('That is no calendar file: it should begin with BEGIN:VCALENDAR.')
  }
  if (calendar.name !== 'vcalendar')
    throw new RangeError('That is no calendar file: it should begin with BEGIN:VCALENDAR.')
  for (const zoned of calendar.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zoned)
  const events = calendar.getAllSubcomponents('vevent').slice(0, MOST_EVENTS)
  return events
    .flatMap((component): CalendarEvent[] => {
      const event = new ICAL.Event(component)
      const start = event.startDate as ICAL.Time | null
      if (!start) return []
      const tzid = component.getFirstProperty('dtstart')?.getFirstParameter('tzid')
      const begins = shown(start, tzid, zone)
      const last = event.endDate as ICAL.Time | null
      const ends = last ? shown(last, tzid, zone) : begins
      const categories = component.getFirstProperty('categories')?.getValues().map(String) ?? []
      const rule = component.getFirstPropertyValue('rrule')
      const isWeekly = rule instanceof ICAL.Recur && rule.freq === 'WEEKLY' && !start.isDate
      const byDay: unknown[] = isWeekly ? (rule.getComponent('BYDAY') as unknown[]) : []
      const days =
        byDay.length > 0 ? byDay.flatMap((d) => DAY_NAMED.get(String(d)) ?? []) : [weekdayOf(begins.date)]
      const until = ends.time === '00:00' && ends.date > begins.date ? '24:00' : ends.time
      return [
        {
          uid: event.uid ?? '',
          name: event.summary ?? '',
          note: event.description ?? '',
          date: begins.date,
          time: start.isDate ? null : begins.time,
          until: start.isDate && ends.date > begins.date ? addDays(ends.date, -1) : ends.date,
          untilTime: start.isDate ? null : ends.time,
          week: isWeekly ? days.map((day) => ({ day, from: begins.time, until })) : [],
          is: categories.includes(HOURS) ? 'hours' : categories.includes(AWAY) ? 'away' : 'date',
        },
      ]
    })
    .sort((a, b) => a.date.localeCompare(b.date) || (a.time ?? '').localeCompare(b.time ?? ''))
}
