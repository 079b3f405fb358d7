import { gainChanges, type GainChanges } from '@bold-ballast/contract'
import type { CourseLine, GainMeasure } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild } from '../../store/useBuild'
import { useSettledSummaries } from '../../store/useSettledSummaries'

/** What leads from one stage to a later one; null where there is nothing to split. */
export function useGainChanges(
  from: number,
  to: number,
  measure: GainMeasure,
  course: CourseLine | null,
): GainChanges | null {
  const { view, ledger } = useBuild()
  const summaries = useSettledSummaries()
  return useMemo(() => {
    const found = from >= 0 && from < to ? gainChanges(view, ledger, summaries, from, to, course) : null
    if (!found || (measure === 'lap' && found.canRun && course)) return found
    // Nothing presses a car down on a straight that would make it quicker.
    const onStraight = (c: (typeof found.changes)[number]) => c.id !== 'downforce'
    if (measure === 'quarterMile' && found.canRun)
      return { ...found, changes: found.changes.filter(onStraight) }
    // Gears and tyres don't change power or weight: every set would be tried twice for each of them.
    return { ...found, changes: found.changes.filter((c) => c.mass !== 0 || c.power !== null) }
  }, [view, ledger, summaries, from, to, measure, course])
}
