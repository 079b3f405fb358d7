import { newJob, newPart, newWait, type BuildFile } from '@bold-ballast/contract'
import { addDays, itemWhere } from '@bold-ballast/core'
import type { JobRow, ShopData } from './ShopData'

const HOUR = 3600
const DAY = 86_400
/** As much as anybody works on one evening, s. */
const AN_EVENING = 4 * HOUR

/** The evenings up to the day that something was done on, shared among those who did it. */
function spellsOf(time: number, who: readonly string[], doneOn: string): BuildFile['jobs'][number]['spells'] {
  const count = Math.max(who.length, Math.ceil(time / AN_EVENING))
  return Array.from({ length: count }, (_, i) => ({
    who: who[i % Math.max(1, who.length)] ?? '',
    on: addDays(doneOn, -Math.floor((count - 1 - i) / Math.max(1, who.length))),
    from: null,
    time: Math.round(time / count / 60) * 60,
  }))
}

type ShopRecords = Pick<
  BuildFile,
  | 'jobs'
  | 'pictures'
  | 'waits'
  | 'parts'
  | 'budgets'
  | 'firstGuesses'
  | 'quickReleases'
  | 'hands'
  | 'fixedDates'
>

/**
 * The records of a build’s shop from its tables. Jobs, waits and parts name each other, wherever they stand.
 *
 * @param idOf makes the settled id of what is called so
 * @param outings days that a fixed date may stand for
 */
export function shopRecords(
  { hands, dates, pictures = [], quickReleases = [], stages }: ShopData,
  idOf: (what: string) => string,
  stageIdOf: (name: string) => string,
  outings: BuildFile['outings'],
): ShopRecords {
  const jobId = (name: string) => idOf(`shop job ${name}`)
  const waitId = (name: string) => idOf(`shop wait ${name}`)
  const partId = (name: string) => idOf(`shop part ${name}`)
  const records: ShopRecords = {
    jobs: [],
    pictures: pictures.map(([job, what, date]) => ({
      id: idOf(`picture ${job}`),
      jobId: jobId(job),
      what,
      date,
    })),
    waits: [],
    parts: [],
    budgets: [],
    firstGuesses: [],
    quickReleases: quickReleases.map(([operation, takes, making, note]) => ({
      id: idOf(`quick release ${operation}`),
      operation,
      takes: takes * HOUR,
      making: making * HOUR,
      note,
    })),
    hands: hands.map((hand, order) => ({
      id: idOf(`hand ${hand.name}`),
      order,
      away: [],
      note: '',
      ...hand,
    })),
    fixedDates: dates.map(({ name, date, time, kind, upTo, jobs = [], outing, note = '' }) => ({
      id: idOf(`date ${name}`),
      name,
      date,
      time: time ?? null,
      kind,
      stageId: upTo ? stageIdOf(upTo) : null,
      jobs: jobs.map(jobId),
      outingId: outing ? itemWhere(outings, (o) => o.name === outing).id : null,
      calendarId: '',
      note,
    })),
  }
  const jobOf = (
    [name, kind, by, promised, taken, doneOn, more = {}]: JobRow,
    stageId: string,
    order: number,
  ) => {
    const { after = [], waits = [], parts = [], soFar, standsFor, between, ...rest } = more
    const who = rest.who ?? (by ? [by] : [])
    const time = promised === null ? null : promised * HOUR
    const done = taken === null || doneOn === null ? null : spellsOf(taken * HOUR, who, doneOn)
    return newJob({
      id: jobId(name),
      stageId,
      name,
      order,
      kind,
      workTime: time,
      promised: time === null ? null : { time, by },
      state: done ? 'done' : 'toDo',
      doneOn,
      spells:
        done ?? (soFar ? [{ who: who[0] ?? '', on: '2026-11-21', from: null, time: soFar * HOUR }] : []),
      ...(standsFor !== undefined && { cure: standsFor * DAY }),
      ...(between && { shortTime: between[0] * HOUR, longTime: between[1] * HOUR }),
      ...rest,
      who: [...who],
      after: after.map(jobId),
      waits: waits.map(waitId),
      parts: parts.map(partId),
    })
  }
  for (const [stage, { jobs = [], waits = [], parts = [], budgets = [], guesses = [] }] of Object.entries(
    stages,
  )) {
    const stageId = stageIdOf(stage)
    jobs.forEach((row, order) => records.jobs.push(jobOf(row, stageId, order)))
    waits.forEach(([name, kind, supplier, { after = [], days, ...rest }], order) =>
      records.waits.push(
        newWait({
          id: waitId(name),
          stageId,
          name,
          kind,
          order,
          supplier,
          after: after.map(jobId),
          ...(days !== undefined && { lasts: days * DAY }),
          ...rest,
        }),
      ),
    )
    parts.forEach(([name, system, supplier, price, state, { days, ...rest } = {}], order) =>
      records.parts.push(
        newPart({
          id: partId(name),
          stageId,
          name,
          system,
          order,
          supplier,
          price,
          state,
          ...(days !== undefined && { lead: days * DAY }),
          ...rest,
        }),
      ),
    )
    budgets.forEach(([system, amount]) =>
      records.budgets.push({ id: idOf(`budget ${stage} ${system}`), stageId, system, amount, note: '' }),
    )
    guesses.forEach(([of, who, value, date]) =>
      records.firstGuesses.push({ id: idOf(`guess ${of} ${who}`), stageId, of, who, value, date, note: '' }),
    )
  }
  return records
}
