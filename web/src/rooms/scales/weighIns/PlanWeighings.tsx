import { scaleToTest } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { PlanRepeats } from '../../../ui/PlanRepeats'

/** Weighings that would show what was taken off, before anybody rolls the car onto the pads. */
export function PlanWeighings() {
  const { view, unit } = useBuild()
  const { summary } = useLiveBuild()
  const instrument = useMemo(() => scaleToTest(view), [view])
  const about = summary.mass.value
  if (about <= 0) return null
  return (
    <PlanRepeats
      instrument={instrument}
      about={about}
      made={null}
      quantity="mass"
      unit={unit('mass')}
      start={5}
    >
      Roll off and settle between them; the same scales, tank and tyres before and after. A part that comes
      off whole is known better on a bench scale.
    </PlanRepeats>
  )
}
