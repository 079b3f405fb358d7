import type { WorkOfBuild } from '@bold-ballast/contract'
import { mean, sampleVariance } from '@bold-ballast/core'
import { workedOn } from './workedOn'

/** Something that is done again and again, and what it took each time: s of all hands together. */
export interface Operation {
  readonly name: string
  readonly times: readonly {
    readonly build: string
    readonly name: string
    readonly doneOn: string | null
    readonly taken: number
  }[]
  readonly mean: number
  /** Null while it was done only once. */
  readonly spread: number | null
}

/**
 * What comes again in the workshop, the most often first.
 *
 * @example operationsOf([]).length // 0
 */
export function operationsOf(library: readonly WorkOfBuild[]): Operation[] {
  const byName = new Map<string, Operation['times'][number][]>()
  for (const { build, jobs } of library)
    for (const job of jobs) {
      const taken = workedOn(job)
      if (!job.operation || job.state !== 'done' || taken <= 0) continue
      const key = job.operation.trim().toLowerCase()
      byName.set(key, [...(byName.get(key) ?? []), { build, name: job.operation, doneOn: job.doneOn, taken }])
    }
  return [...byName.values()]
    .map((times) => {
      const sorted = times.sort((a, b) => (a.doneOn ?? '').localeCompare(b.doneOn ?? ''))
      const all = sorted.map((t) => t.taken)
      return {
        name: sorted[0]?.name ?? '',
        times: sorted,
        mean: mean(all),
        spread: all.length > 1 ? Math.sqrt(sampleVariance(all)) : null,
      }
    })
    .sort((a, b) => b.times.length - a.times.length || a.name.localeCompare(b.name))
}

/**
 * After how many times a quick release has paid back the hours that it takes to make; null where it saves nothing.
 *
 * @param usual what it takes without, s
 * @param quick what it would take with it, s
 * @param making what it takes to make, s
 * @example timesToPayBack(14_400, 7_200, 28_800) // 4
 */
export const timesToPayBack = (usual: number, quick: number, making: number): number | null =>
  usual > quick ? Math.ceil(making / (usual - quick)) : null
