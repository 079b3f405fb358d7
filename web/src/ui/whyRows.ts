import { formatNumber, spreadFromSi, whyThis, type Known, type Unit } from '@bold-ballast/core'
import type { WhyRow } from './ShowWorking'

/** So many sources are listed; the rest stand together. */
const LISTED = 5

/**
 * Rows of what a figure's ± comes from.
 *
 * @param describe a name in words; null for what is the figure's own
 */
export function whyRows(known: Known, unit: Unit, describe: (name: string | null) => string): WhyRow[] {
  const all = whyThis(known)
  const [listed, rest] = [all.slice(0, LISTED), all.slice(LISTED)]
  const percent = (share: number) => `${formatNumber(share * 100, share < 0.095 ? 1 : 0)} %`
  // A digit more than a ± has: what two sources leave often differs by less than its last.
  const left = (sigma: number) =>
    `±${formatNumber(spread(sigma), Math.max(0, 1 - Math.floor(Math.log10(spread(known.sigma)))))} ${unit.symbol}`.trim()
  const spread = (sigma: number) => Math.abs(spreadFromSi(sigma, unit, known.value))
  const restShare = rest.reduce((sum, one) => sum + one.share, 0)
  return [
    ...listed.map(({ name, share, without }) => ({
      says: describe(name),
      share: percent(share),
      without: left(without),
    })),
    ...(rest.length > 0
      ? [
          {
            says: `${rest.length} more, each less`,
            share: percent(restShare),
            without: left(known.sigma * Math.sqrt(Math.max(0, 1 - restShare))),
          },
        ]
      : []),
  ]
}
