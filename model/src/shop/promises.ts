import type { JobKind, WorkOfBuild } from '@bold-ballast/contract'
import {
  asPrior,
  COMMON_RATIO,
  commonRatio,
  daysBetween,
  promiseRatio,
  type PromiseRatio,
} from '@bold-ballast/core'
import { workedOn } from './workedOn'

/** A job that is done, what was said of it first, and what it took: s of each hand. */
export interface KeptPromise {
  readonly build: string
  readonly name: string
  readonly by: string
  readonly kind: JobKind
  readonly doneOn: string | null
  readonly promised: number
  readonly taken: number
}
/** What was promised for a day, and when it came; in days from when it was ordered or given. */
export interface KeptDelivery {
  readonly build: string
  readonly name: string
  readonly supplier: string
  readonly promised: number
  readonly taken: number
}

/**
 * Jobs of a workshop that were promised and are done, the newest last.
 *
 * @example keptPromises([]).length // 0
 */
export const keptPromises = (library: readonly WorkOfBuild[]): KeptPromise[] =>
  library
    .flatMap(({ build, jobs }) =>
      jobs.flatMap((job): KeptPromise[] => {
        const taken = workedOn(job) / Math.max(1, job.hands)
        if (job.state !== 'done' || !job.promised || job.promised.time <= 0 || taken <= 0) return []
        const { kind, name, doneOn } = job
        const by = job.promised.by || job.who[0] || ''
        return [{ build, name, by, kind, doneOn, promised: job.promised.time, taken }]
      }),
    )
    .sort((a, b) => (a.doneOn ?? '').localeCompare(b.doneOn ?? ''))

/**
 * What suppliers and outside shops promised, and when it came.
 *
 * @example keptDeliveries([]).length // 0
 */
export const keptDeliveries = (
  library: readonly Pick<WorkOfBuild, 'build' | 'parts' | 'waits'>[],
): KeptDelivery[] =>
  library.flatMap(({ build, parts, waits }) =>
    [
      ...parts.map((p) => ({
        name: p.name,
        supplier: p.supplier,
        from: p.orderedOn,
        first: p.promisedFirst ?? p.promisedFor,
        there: p.arrivedOn,
      })),
      ...waits.map((w) => ({
        name: w.name,
        supplier: w.supplier,
        from: w.givenOn,
        first: w.promisedFirst ?? w.promisedFor,
        there: w.backOn,
      })),
    ].flatMap(({ name, supplier, from, first, there }): KeptDelivery[] => {
      if (!supplier || !from || !first || !there) return []
      return [
        {
          build,
          name,
          supplier,
          promised: Math.max(1, daysBetween(from, first)),
          taken: Math.max(1, daysBetween(from, there)),
        },
      ]
    }),
  )

const usualOf = (kind: JobKind) =>
  commonRatio(kind === 'stripping' ? COMMON_RATIO.stripping : COMMON_RATIO.other)
/** How many jobs what others of the workshop needed counts for, before somebody's own record. */
const OTHERS_COUNT = 3

/**
 * What a promise of somebody comes to, of one kind of work: from their own record, before which stands the workshop's of that
 * kind, and before that common practice.
 *
 * @param by who promised; empty for anybody
 * @example Math.exp(ratioFor([], '', 'stripping').mean) // 5
 */
export function ratioFor(kept: readonly KeptPromise[], by: string, kind: JobKind): PromiseRatio {
  const ofKind = kept.filter((k) => k.kind === kind)
  const ratios = (list: readonly KeptPromise[]) => list.map((k) => k.taken / k.promised)
  const own = ofKind.filter((k) => k.by === by)
  if (own.length === 0) return promiseRatio(ratios(ofKind), usualOf(kind))
  const others = promiseRatio(ratios(ofKind.filter((k) => k.by !== by)), usualOf(kind))
  return promiseRatio(ratios(own), asPrior(others, OTHERS_COUNT))
}

/** What comes when it comes, before there is a record: a fifth later than promised (common practice). */
const USUAL_DELIVERY = 1.2

/**
 * What a day that somebody promised comes to.
 *
 * @example Math.exp(deliveryRatio([], 'anybody').mean) // 1.2
 */
export function deliveryRatio(kept: readonly KeptDelivery[], supplier: string): PromiseRatio {
  const ratios = (list: readonly KeptDelivery[]) => list.map((k) => k.taken / k.promised)
  const others = promiseRatio(
    ratios(kept.filter((k) => k.supplier !== supplier)),
    commonRatio(USUAL_DELIVERY),
  )
  return promiseRatio(ratios(kept.filter((k) => k.supplier === supplier)), asPrior(others, OTHERS_COUNT))
}
