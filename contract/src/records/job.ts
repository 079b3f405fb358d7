import * as z from 'zod'
import { timeOfDay } from './airReading'
import { JOB_KIND, JOB_KINDS, JOB_PLACE, JOB_PLACES, JOB_STATE, JOB_STATES } from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

const hours = (such: string, label: string, hint?: string) =>
  field(f.workTime(such).nullable(), { label, unit: 'h', ...(hint && { hint }) })
const person = f.words('Who', 80)

/** A stretch of work on it: typed afterwards, or by the clock, which runs while it has no time yet. */
const spell = z
  .strictObject({
    who: person,
    on: f.date,
    /** When the clock was started, where it was. */
    from: field(timeOfDay, { label: 'Clock on' }),
    time: hours('2 h', 'Worked', 'Empty while the clock runs'),
  })
  .refine((s) => s.time !== null || s.from !== null, {
    path: ['time'],
    message: 'Type the time, or when the clock was started.',
  })

/** A piece of work that is to be done, or was: who does it, how long it takes, and what it waits for. */
export const job = defineKind({
  name: 'job',
  within: 'stage',
  isFrozen: false,
  isLogged: true,
  words: { one: 'job', many: 'jobs' },
  sortedBy: 'order',
  most: 2000,
  fields: {
    name: field(f.name, { label: 'What is to be done' }),
    order: f.order,
    kind: choice(JOB_KINDS, JOB_KIND, 'Kind of work', 'Choose what kind of work it is.'),
    state: choice(JOB_STATES, JOB_STATE, 'It is', 'Choose how far it has got.'),
    /** The day on which it was done; null where nobody noted it. */
    doneOn: field(f.date.nullable(), { label: 'Done on' }),
    /** Hands on it, s of each of them; null when nobody guessed. */
    workTime: hours('2 h', 'Likely takes', 'Empty while nobody guessed'),
    shortTime: hours('1 h', 'At the least', 'Empty: by the kind of work'),
    longTime: hours('5 h', 'At the most', 'Empty: by the kind of work'),
    /** What was said of it first: it is kept, and what it took is set beside it. */
    promised: field(
      z
        .strictObject({
          time: field(f.workTime('2 h'), { label: 'Promised', unit: 'h' }),
          by: field(person, { label: 'By' }),
        })
        .nullable(),
      { label: 'First promise' },
    ),
    hands: field(f.count(12, 'At most 12.', 'Type how many.'), { label: 'Hands at once' }),
    /** Who does it, by name; empty for whoever can. */
    who: field(z.array(person.min(1, 'Give a name.')).max(12, 'At most 12 people.'), {
      label: 'Who',
      hint: 'Empty: whoever can do this kind of work',
    }),
    /** What comes before it. */
    after: field(z.array(field(f.id, { label: 'Job', link: 'job' })).max(60, 'At most 60 jobs.'), {
      label: 'After',
      many: 'jobs',
    }),
    waits: field(z.array(field(f.id, { label: 'Wait', link: 'wait' })).max(30, 'At most 30.'), {
      label: 'Waits for',
      many: 'waits',
    }),
    parts: field(z.array(field(f.id, { label: 'Part', link: 'part' })).max(60, 'At most 60 parts.'), {
      label: 'Needs these parts',
      many: 'parts',
    }),
    /** By the clock, before what comes after it may begin, s: paint, resin, sealer. */
    cure: hours('24 h', 'Then it stands for', 'Paint, resin, sealer: by the clock, nights too'),
    notBefore: field(f.date.nullable(), { label: 'Not before' }),
    /** Its date is made without it, if it comes to that. */
    canWait: field(z.boolean(), { label: 'It can wait until after the date' }),
    place: choice(JOB_PLACES, JOB_PLACE, 'Where', 'Choose where it is done.'),
    tools: field(f.words('Tools worth naming', 300), { hint: 'What has to be borrowed or made first' }),
    /** Jobs that belong together, and run beside those of other groups. */
    group: field(f.words('Sub-assembly', 80), { hint: 'Such as rear axle: what is built by itself' }),
    /** What comes again under this name, each time with its hours. */
    operation: field(f.words('Comes again as', 80), { hint: 'Such as engine out: its hours are compared' }),
    swapId: f.linkTo('swap', 'For the swap'),
    markId: f.linkTo('mark', 'For the mark'),
    spells: field(z.array(spell).max(400, 'At most 400 stretches of work.'), {
      label: 'Worked',
      many: 'stretches of work',
    }),
    /** The suggestion that it came from; empty for one's own. */
    from: f.words('Suggested by', 200),
    note: f.note,
  },
  check: (record) =>
    record
      .refine((j) => j.shortTime === null || j.workTime === null || j.shortTime <= j.workTime, {
        path: ['shortTime'],
        message: 'At the least is no more than what it likely takes.',
      })
      .refine((j) => j.longTime === null || j.workTime === null || j.longTime >= j.workTime, {
        path: ['longTime'],
        message: 'At the most is no less than what it likely takes.',
      })
      .refine((j) => !j.after.includes(j.id), {
        path: ['after'],
        message: 'A job can’t come after itself.',
      }),
})
