import type { Known, Unit } from '@bold-ballast/core'
import { describeDoubt } from '@bold-ballast/words'
import type { Working } from '../ui/ShowWorking'
import { whyRows } from '../ui/whyRows'
import { useBuild } from './useBuild'

/**
 * Why figures of the open build are known to what they are, for their working.
 *
 * @returns what takes a figure, its unit, and words for what of its ± has no name
 */
export function useWhy(): (
  known: Known | (() => Known),
  unit: Unit,
  own?: string,
) => NonNullable<Working['why']> {
  const { view } = useBuild()
  return (known, unit, own = 'what has no name') =>
    () =>
      whyRows(typeof known === 'function' ? known() : known, unit, (name) =>
        name === null ? own : describeDoubt(name, view),
      )
}
