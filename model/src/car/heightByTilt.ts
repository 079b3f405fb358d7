import type { TiltTest } from '@bold-ballast/contract'
import { orWhy, tiltHeight } from '@bold-ballast/core'
import type { FoldedBuild } from '../ledger/foldBuild'

/** Driver, fuel and what was fitted since move a height that was measured once by no more than this, m (common practice). */
const SINCE = 0.004

/**
 * What tilting has shown the ledger's height of the centre to be off by, at a stage: of the newest test by then.
 *
 * @returns metres to add, and how well the height is known then; `null` where nobody has tilted it, or not so that it tells
 * @example heightByTilt(folded, document.tiltTests, 2)?.adds // 0.2762
 */
export function heightByTilt(
  { stages, summaries, document }: Pick<FoldedBuild, 'stages' | 'summaries' | 'document'>,
  tests: readonly TiltTest[],
  at: number,
): { readonly adds: number; readonly sigma: number } | null {
  const placeOf = (test: TiltTest) => stages.findIndex((s) => s.id === test.stageId)
  const newest = tests
    .filter((test) => placeOf(test) >= 0 && placeOf(test) <= at)
    .sort((a, b) => placeOf(b) - placeOf(a) || b.date.localeCompare(a.date))[0]
  const books = newest && summaries[placeOf(newest)]
  if (!newest || !books || books.asFitted.impossible) return null
  return orWhy(
    () => {
      const height = tiltHeight({ ...newest, wheelbase: document.build.wheelbase })
      return { adds: height.value - books.asFitted.centre.z.value, sigma: Math.hypot(height.sigma, SINCE) }
    },
    () => null,
  )
}
