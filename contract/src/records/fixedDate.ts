import * as z from 'zod'
import { timeOfDay } from './airReading'
import { DATE_KIND, DATE_KINDS } from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

/** A date that stands fast: a round, a dyno that is booked, paint, transport. */
export const fixedDate = defineKind({
  name: 'fixedDate',
  within: 'build',
  isLogged: true,
  words: { one: 'fixed date', many: 'fixed dates' },
  sortedBy: 'date',
  most: 500,
  fields: {
    name: field(f.name, { label: 'What it is' }),
    date: f.date,
    /** Until when that day all has to be done. */
    time: field(timeOfDay, { label: 'At', hint: 'Empty: at the beginning of the day' }),
    kind: choice(DATE_KINDS, DATE_KIND, 'Kind', 'Choose what it is.'),
    /** All jobs up to that stage have to be done; null for none but those named. */
    stageId: f.linkTo('stage', 'Needs the jobs up to'),
    /** These as well. */
    jobs: field(z.array(field(f.id, { label: 'Job', link: 'job' })).max(200, 'At most 200 jobs.'), {
      label: 'Needs these jobs',
      many: 'jobs',
    }),
    outingId: f.linkTo('outing', 'The day in Days'),
    /** What the calendar that it came from calls it; empty for one’s own. */
    calendarId: field(z.string().max(255, 'Keep it under 255 characters.'), { isHidden: true }),
    note: f.note,
  },
})
