import { DISCIPLINE, LAYOUT, type BuildSummary } from '@bold-ballast/contract'

export const ORDERS = ['newest', 'name', 'lightest', 'strongest'] as const
/** How the Garage stands: the last added first, by name, or by what they weigh or have to each kilogram. */
export type BuildOrder = (typeof ORDERS)[number]

/** Small letters without marks, so that "Kobolt" finds "Köbolt". */
const plain = (text: string) => text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase()

/** The stage that a card shows: the last that is more than planned. */
export const reachedStage = (build: BuildSummary) =>
  build.stages.findLast((s) => s.massFrom !== 'plan') ?? build.stages.at(0) ?? null

const wordsOf = (build: BuildSummary) =>
  plain(
    [
      build.name,
      build.car,
      DISCIPLINE[build.discipline],
      LAYOUT[build.layout],
      ...build.stages.map((s) => s.name),
    ].join(' '),
  )

/** What can't be worked out stands at the end. */
const sortedBy = (builds: readonly BuildSummary[], figure: (build: BuildSummary) => number | undefined) =>
  [...builds].sort((a, b) => (figure(a) ?? Infinity) - (figure(b) ?? Infinity))

/**
 * The builds, given as they were added, in which all words that were typed stand, anywhere in name, car, discipline or stages, in an order.
 *
 * @example chooseBuilds(builds, 'drift big wing', 'lightest')
 */
export function chooseBuilds(
  builds: readonly BuildSummary[],
  typed: string,
  order: BuildOrder,
): readonly BuildSummary[] {
  const words = plain(typed).split(/\s+/).filter(Boolean)
  const found = builds.filter((build) => {
    const all = wordsOf(build)
    return words.every((word) => all.includes(word))
  })
  switch (order) {
    case 'newest':
      return [...found].reverse()
    case 'name':
      return [...found].sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }))
    case 'lightest':
      return sortedBy(found, (b) => (b.fault ? undefined : reachedStage(b)?.standing.mass.value))
    case 'strongest':
      return sortedBy(found, (b) => {
        const ratio = b.fault ? undefined : reachedStage(b)?.standing.powerToWeight?.value
        return ratio === undefined ? undefined : -ratio
      })
  }
}
