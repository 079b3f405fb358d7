import { newJob, RECORDS, type Job, type RecordOf } from '@bold-ballast/contract'
import { METRIC } from '@bold-ballast/core'
import { workedOn } from '@bold-ballast/model'
import { csvList, type CsvRead } from '@bold-ballast/words'

type JobRecord = RecordOf<'job'>

/** @param finds a job that others come after, by its name */
const listOf = (finds?: (name: string) => string | undefined) =>
  csvList<JobRecord>(RECORDS.job, {
    name: { title: 'job', reads: /^job|^name|^what/i, isWanted: true },
    kind: { title: 'kind', reads: /^kind/i },
    state: { title: 'it is', reads: /^it is|^state/i },
    who: { title: 'who', reads: /^who|^hands on/i },
    workTime: { title: 'likely (h)', reads: /^likely|^hours|^time/i, unit: 'h' },
    shortTime: { title: 'at the least (h)', reads: /least|short/i, unit: 'h' },
    longTime: { title: 'at the most (h)', reads: /most|long/i, unit: 'h' },
    hands: { title: 'hands', reads: /^hands$/i },
    after: { title: 'after', reads: /^after/i, ...(finds && { finds }) },
    cure: { title: 'then stands (h)', reads: /stands|cure/i, unit: 'h' },
    notBefore: { title: 'not before', reads: /not before/i },
    canWait: { title: 'can wait', reads: /can wait/i },
    place: { title: 'where', reads: /^where|^place/i },
    tools: { title: 'tools', reads: /^tools/i },
    group: { title: 'sub-assembly', reads: /sub-assembly|^group/i },
    operation: { title: 'comes again as', reads: /again/i },
    doneOn: { title: 'done on', reads: /^done/i },
    'promised.time': { title: 'promised (h)', reads: /^promised \(h\)|^promised$/i, unit: 'h' },
    'promised.by': { title: 'promised by', reads: /promised by/i },
    from: { title: 'suggested by', reads: /suggested/i },
    note: { title: 'note', reads: /note/i },
  })

const key = (name: string) => name.trim().toLowerCase()

/**
 * Reads jobs from a CSV: the room's own, or one with a job on each row. What they come after is found by its name, in the
 * list itself or among those that are here.
 *
 * @param place the stage they are for, and the order that the first of them gets
 */
export function jobRows(
  text: string,
  place: { readonly stageId: string; readonly order: number },
  here: readonly Pick<Job, 'id' | 'name'>[],
  newId: () => string,
): CsvRead<JobRecord> {
  const ids = new Map(here.map((job) => [key(job.name), job.id]))
  const inList = new Set<string>()
  const rowOf = (get: <V>(path: string) => V | undefined, order: number) => {
    const name = get<string>('name') ?? ''
    return { name, id: newId(), stageId: place.stageId, order: place.order + order }
  }
  // Once for the names, since a job may come after one that stands below it.
  listOf(() => undefined).read(text, { units: METRIC }, ({ get }, count) => {
    const row = rowOf(get, count)
    if (!inList.has(key(row.name))) ids.set(key(row.name), row.id)
    inList.add(key(row.name))
    return newJob(row)
  })
  const given = new Set<string>()
  const { records, bad } = listOf((name) => ids.get(key(name))).read(
    text,
    { units: METRIC },
    ({ get, fields }, count) => {
      const row = rowOf(get, count)
      const promised = get<number>('promised.time')
      return newJob({
        ...row,
        ...fields,
        promised: promised === undefined ? null : { time: promised, by: get('promised.by') ?? '' },
      })
    },
  )
  const named = records.map((job) => {
    const id = ids.get(key(job.name))
    if (id === undefined || !inList.has(key(job.name)) || given.has(id)) return job
    given.add(id)
    return { ...job, id }
  })
  return { records: named.map((job) => ({ ...job, after: job.after.filter((id) => id !== job.id) })), bad }
}

/** The same columns, written, with the hours that were worked. */
export function jobCsv(jobs: readonly Job[], all: readonly Pick<Job, 'id' | 'name'>[]): string {
  const names = new Map(all.map((job) => [job.id, job.name]))
  return listOf().write(
    jobs.map((job) => ({ ...job, after: job.after.flatMap((id) => names.get(id) ?? []) })),
    { units: METRIC },
    { titles: ['worked (h)'], cells: (job) => [Math.round(workedOn(job) / 36) / 100] },
  )
}
