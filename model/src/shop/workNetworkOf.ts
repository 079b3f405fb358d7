import {
  isOpenJob,
  type BuildDocument,
  type FixedDate,
  type Hand,
  type Job,
  type JobKind,
  type PartToCome,
  type Wait,
  type WorkOfBuild,
} from '@bold-ballast/contract'
import {
  addDays,
  inCommon,
  itemAt,
  linkToCut,
  ringOf,
  weekStretches,
  workingTime,
  zonedDate,
  zonedMoment,
  type Lasts,
  type PromiseRatio,
  type WeekHours,
  type WorkItem,
  type WorkNetwork,
} from '@bold-ballast/core'
import { isToCome } from './isThere'
import {
  deliveryRatio,
  keptDeliveries,
  keptPromises,
  ratioFor,
  type KeptDelivery,
  type KeptPromise,
} from './promises'
import { workedOn } from './workedOn'

const HOUR = 3600
const DAY = 86_400
/** How far ahead is looked; what isn't done by then isn't done. */
export const HORIZON_DAYS = 730
/** Evenings and Saturdays of one pair of hands, while nobody has said when they work. */
export const USUAL_WEEK: readonly WeekHours[] = [
  ...(['mon', 'tue', 'wed', 'thu', 'fri'] as const).map((day) => ({ day, from: '18:00', until: '21:00' })),
  { day: 'sat', from: '09:00', until: '17:00' },
]
/** What a job takes that nobody has guessed, and how far off one guess is (common practice). */
const UNGUESSED = { short: 0.5 * HOUR, likely: 2 * HOUR, long: 8 * HOUR }
const SHORTER = 0.7
const LONGER: Readonly<Record<'stripping' | 'other', number>> = { stripping: 5, other: 2.5 }
/** From an order until it is there, where nothing is promised (common practice). */
export const USUAL_LEAD = 14 * DAY
/** Log-deviation by which a build slips as a whole, and hours that aren't on the list yet (common practice). */
export const USUAL_SLIP = 0.2
export const USUAL_FORGOTTEN = 0.1
/** A date that is past by so many days is no longer asked about. */
const FORGOTTEN_AFTER = 30

/** What an item of the network stands for. */
export type ItemSource =
  | { readonly kind: 'job'; readonly job: Job }
  | { readonly kind: 'wait'; readonly wait: Wait }
  | { readonly kind: 'part'; readonly part: PartToCome }

/** What stands in the way of a date being reckoned as it was written down. */
export type WorkProblem =
  | {
      readonly kind: 'ring'
      readonly ring: readonly string[]
      readonly cut: { readonly job: string; readonly before: string }
    }
  | { readonly kind: 'dropped'; readonly job: Job; readonly before: Job }
  | { readonly kind: 'nobody'; readonly job: Job; readonly names: readonly string[] }
  | { readonly kind: 'hands'; readonly job: Job; readonly there: number }
  | { readonly kind: 'apart'; readonly job: Job }
  | { readonly kind: 'past'; readonly date: FixedDate }
  | { readonly kind: 'overdue'; readonly source: ItemSource; readonly days: number }
  | { readonly kind: 'unguessed'; readonly count: number }
  | { readonly kind: 'noHours' }

export interface WorkTarget {
  /** Null for all that is open. */
  readonly date: FixedDate | null
  /** The moment by which it has to be done; null for none. */
  readonly by: number | null
}

export interface WorkReckoned {
  readonly network: WorkNetwork
  readonly sources: readonly ItemSource[]
  /** As the network's targets; the first is all that is open. */
  readonly targets: readonly WorkTarget[]
  readonly hands: readonly Pick<Hand, 'name' | 'week' | 'away' | 'can'>[]
  readonly problems: readonly WorkProblem[]
}

export interface ReckonedFrom {
  /** The moment it is reckoned from, s since 1970 in Greenwich. */
  readonly from: number
  /** Where the clock on the wall hangs, by its name in the time zone database. */
  readonly zone: string
  /** What promises came to; null where guesses are taken as they were said. */
  readonly library: readonly WorkOfBuild[] | null
}

type Documents = Pick<BuildDocument, 'jobs' | 'waits' | 'parts' | 'hands' | 'fixedDates' | 'stages'>

/**
 * How long the whole of a job takes by what was guessed of it, and what was worked on it already.
 *
 * @example guessedTime({ kind: 'work', workTime: 7200, shortTime: null, longTime: null, spells: [], hands: 1 }).likely // 7200
 */
export function guessedTime(
  job: Pick<Job, 'kind' | 'workTime' | 'shortTime' | 'longTime' | 'spells' | 'hands'>,
): Extract<Lasts, { readonly by: 'guesses' }> {
  const { workTime: likely } = job
  const longer = job.kind === 'stripping' ? LONGER.stripping : LONGER.other
  const whole =
    likely === null
      ? UNGUESSED
      : { short: job.shortTime ?? likely * SHORTER, likely, long: job.longTime ?? likely * longer }
  return { by: 'guesses', ...whole, gone: workedByEach(job) }
}

const workedByEach = (job: Pick<Job, 'spells' | 'hands'>) => workedOn(job) / Math.max(1, job.hands)

/**
 * A build's open jobs as a network that can be drawn: what comes after what, what is waited for, who can do it and when, and
 * what each fixed date needs. What can't be reckoned as it was written down is reckoned as well as it can be, and said.
 *
 * @example workNetworkOf(document, { from: 0, zone: 'UTC', library: null }).targets.length // 1
 */
export function workNetworkOf(document: Documents, { from, zone, library }: ReckonedFrom): WorkReckoned {
  const problems: WorkProblem[] = []
  const today = zonedDate(from, zone)
  const momentOf = (date: string, time = '00:00') => zonedMoment(date, time, zone)

  const hands =
    document.hands.length > 0
      ? [...document.hands].sort((a, b) => a.order - b.order)
      : [{ name: '', week: [...USUAL_WEEK], away: [], can: [] as JobKind[] }]
  if (document.hands.length === 0) problems.push({ kind: 'noHours' })
  const times = hands.map(({ week, away }) =>
    workingTime(weekStretches(week, away, today, HORIZON_DAYS, zone)),
  )

  const jobs = document.jobs.filter(isOpenJob).sort((a, b) => a.order - b.order)
  const waits = document.waits.filter((w) => w.backOn === null)
  const parts = document.parts.filter(isToCome)
  const sources: ItemSource[] = [
    ...jobs.map((job) => ({ kind: 'job' as const, job })),
    ...waits.map((wait) => ({ kind: 'wait' as const, wait })),
    ...parts.map((part) => ({ kind: 'part' as const, part })),
  ]
  const idOf = (source: ItemSource) =>
    source.kind === 'job' ? source.job.id : source.kind === 'wait' ? source.wait.id : source.part.id
  const placeOf = new Map(sources.map((source, at) => [idOf(source), at]))
  const dropped = new Map(document.jobs.filter((j) => j.state === 'dropped').map((j) => [j.id, j]))
  const places = (ids: readonly string[]) => ids.flatMap((id) => placeOf.get(id) ?? [])

  const records: PromiseRatio[] = []
  const recordPlaces = new Map<string, number>()
  const recordOf = (key: string, made: () => PromiseRatio): number => {
    const known = recordPlaces.get(key)
    if (known !== undefined) return known
    recordPlaces.set(key, records.push(made()) - 1)
    return records.length - 1
  }
  const promises = library && keptPromises(library)
  const deliveries = library && keptDeliveries(library)

  const jobRecord = (kept: readonly KeptPromise[], job: Job): number => {
    const by = job.promised?.by || job.who[0] || ''
    return recordOf(`job ${by} ${job.kind}`, () => ratioFor(kept, by, job.kind))
  }
  const lastingOf = (job: Job): Lasts => {
    if (!promises) return guessedTime(job)
    return {
      by: 'promise',
      promised: job.workTime ?? UNGUESSED.likely,
      record: jobRecord(promises, job),
      gone: workedByEach(job),
    }
  }
  /** How long something takes that is promised for a day, from when it was ordered. */
  const until = (source: ItemSource, promisedFor: string, since: string | null, supplier: string): Lasts => {
    // What comes on a day is there in the evening.
    const due = momentOf(promisedFor, '18:00')
    if (due <= from) problems.push({ kind: 'overdue', source, days: Math.round((from - due) / DAY) })
    // Where nobody noted when, it was ordered a usual lead before, or just now.
    const ordered = since === null ? Math.min(from, due - USUAL_LEAD) : Math.min(from, momentOf(since))
    const whole = Math.max(DAY, due - ordered)
    const gone = from - ordered
    if (!deliveries) return { by: 'guesses', short: whole * 0.9, likely: whole, long: whole * 2, gone }
    return { by: 'promise', promised: whole, record: supplierRecord(deliveries, supplier), gone }
  }
  const supplierRecord = (kept: readonly KeptDelivery[], supplier: string) =>
    recordOf(`supplier ${supplier}`, () => deliveryRatio(kept, supplier))
  const spread = (likely: number, short: number | null, long: number | null) => ({
    by: 'guesses' as const,
    short: short ?? likely * SHORTER,
    likely,
    long: long ?? likely * 2,
  })
  const passing = (lasts: Lasts, after: readonly number[]): WorkItem => ({
    lasts,
    hands: 0,
    named: [],
    able: [],
    after,
    cure: 0,
    notBefore: -Infinity,
  })

  const jobItem = (job: Job): WorkItem => {
    for (const id of job.after) {
      const before = dropped.get(id)
      if (before) problems.push({ kind: 'dropped', job, before })
    }
    const named = job.who.flatMap((name) => {
      const at = hands.findIndex((hand) => hand.name === name)
      return at < 0 ? [] : [at]
    })
    const strangers =
      document.hands.length > 0 ? job.who.filter((name) => !hands.some((h) => h.name === name)) : []
    if (strangers.length > 0) problems.push({ kind: 'nobody', job, names: strangers })
    const able = hands.flatMap(({ can }, at) => (can.length === 0 || can.includes(job.kind) ? [at] : []))
    const there = new Set([...named, ...able]).size
    if (job.hands > there) problems.push({ kind: 'hands', job, there })
    if (named.length > 1 && inCommon(named.map((at) => itemAt(times, at))).ends.length === 0)
      problems.push({ kind: 'apart', job })
    return {
      lasts: lastingOf(job),
      hands: Math.max(1, Math.min(job.hands, there)),
      named,
      able: there > 0 ? able : hands.map((_, at) => at),
      after: [...new Set(places([...job.after, ...job.waits, ...job.parts]))],
      cure: job.cure ?? 0,
      notBefore: job.notBefore === null ? -Infinity : momentOf(job.notBefore),
    }
  }
  const waitItem = (source: ItemSource & { kind: 'wait' }): WorkItem => {
    const { wait } = source
    const after = places(wait.after)
    if (wait.promisedFor !== null && after.length === 0)
      return passing(until(source, wait.promisedFor, wait.givenOn, wait.supplier), [])
    const lasts = wait.lasts ?? USUAL_LEAD
    const gone = wait.givenOn === null ? 0 : Math.max(0, from - momentOf(wait.givenOn))
    return passing({ ...spread(lasts, wait.short, wait.long), gone }, after)
  }
  const partItem = (source: ItemSource & { kind: 'part' }): WorkItem => {
    const { part } = source
    if (part.state === 'ordered' && part.promisedFor !== null)
      return passing(until(source, part.promisedFor, part.orderedOn, part.supplier), [])
    const lead = part.lead ?? USUAL_LEAD
    const gone =
      part.state === 'ordered' && part.orderedOn !== null ? Math.max(0, from - momentOf(part.orderedOn)) : 0
    return passing({ ...spread(lead, null, null), gone }, [])
  }
  const items = sources.map((source) =>
    source.kind === 'job'
      ? jobItem(source.job)
      : source.kind === 'wait'
        ? waitItem(source)
        : partItem(source),
  )
  const unguessed = jobs.filter((job) => job.workTime === null).length
  if (unguessed > 0) problems.push({ kind: 'unguessed', count: unguessed })

  // A ring is cut where the list goes back, so that the rest can be reckoned; which link that was is said.
  const order = sources.map((source, at) => (source.kind === 'job' ? source.job.order : -sources.length + at))
  for (let ring = ringOf(items.map((i) => i.after)); ring; ring = ringOf(items.map((i) => i.after))) {
    const cut = linkToCut(ring, order)
    const item = itemAt(items, cut.job)
    items[cut.job] = { ...item, after: item.after.filter((one) => one !== cut.before) }
    const id = (at: number) => idOf(itemAt(sources, at))
    problems.push({ kind: 'ring', ring: ring.map(id), cut: { job: id(cut.job), before: id(cut.before) } })
  }

  const stageOrder = new Map(document.stages.map((stage) => [stage.id, stage.order]))
  const needed = (date: FixedDate): number[] => {
    const upTo = date.stageId === null ? null : (stageOrder.get(date.stageId) ?? null)
    const byStage =
      upTo === null
        ? []
        : jobs
            .filter((job) => !job.canWait && (stageOrder.get(job.stageId) ?? 0) <= upTo)
            .map((job) => job.id)
    return [...new Set(places([...byStage, ...date.jobs]))]
  }
  const dates = [...document.fixedDates].sort(
    (a, b) => a.date.localeCompare(b.date) || (a.time ?? '').localeCompare(b.time ?? ''),
  )
  const forgotten = addDays(today, -FORGOTTEN_AFTER)
  for (const date of dates)
    if (date.date < today && date.date >= forgotten && needed(date).length > 0)
      problems.push({ kind: 'past', date })
  /** What this build's own jobs and orders took so far: as much evidence of how it slips as what is late. */
  const doneSoFar = (): NonNullable<WorkNetwork['done']> => {
    if (!promises || !deliveries) return []
    const done = document.jobs.flatMap((job) => {
      const took = workedByEach(job)
      if (job.state !== 'done' || !job.promised || job.promised.time <= 0 || took <= 0) return []
      const record = jobRecord(promises, job)
      return [{ lasts: { by: 'promise' as const, promised: job.promised.time, record }, took }]
    })
    const came = keptDeliveries([{ build: '', parts: document.parts, waits: document.waits }])
    return [
      ...done,
      ...came.map(({ supplier, promised, taken }) => ({
        lasts: {
          by: 'promise' as const,
          promised: promised * DAY,
          record: supplierRecord(deliveries, supplier),
        },
        took: taken * DAY,
      })),
    ]
  }
  const dueOf = (date: FixedDate) => momentOf(date.date, date.time ?? '00:00')
  const ahead = dates.filter((date) => date.date >= today)
  return {
    network: {
      items,
      hands: times,
      records,
      ...(library && { slip: USUAL_SLIP, forgotten: USUAL_FORGOTTEN, done: doneSoFar() }),
      from,
      targets: [sources.flatMap((s, at) => (s.kind === 'job' ? [at] : [])), ...ahead.map(needed)],
      dues: [Infinity, ...ahead.map(dueOf)],
    },
    sources,
    targets: [{ date: null, by: null }, ...ahead.map((date) => ({ date, by: dueOf(date) }))],
    hands,
    problems,
  }
}
