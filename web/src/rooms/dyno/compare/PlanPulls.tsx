import { fromSi } from '@bold-ballast/core'
import { dynoToTest, figuresUnder, powerOf, type Side } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { PlanRepeats } from '../../../ui/PlanRepeats'

/** Of a power, a difference that is often asked about. */
const ASKED = 0.02

/** Pulls that would show a wanted gain on the car as it is, or as one configuration was pulled. */
export function PlanPulls({ before }: { before: Side | undefined }) {
  const { view, unit } = useBuild()
  const { summary } = useLiveBuild()
  const power = unit('power')
  const instrument = useMemo(() => {
    const days = new Set(before?.pulls.map(({ day }) => day.id))
    return dynoToTest(before ? { ...view, dynoDays: view.dynoDays.filter(({ id }) => days.has(id)) } : view)
  }, [view, before])
  const pulled = before?.pulls.flatMap(({ pull, day }) => {
    const found = figuresUnder(pull, day, 'observed')?.power
    return found ? [{ power: found, day: day.id }] : []
  })
  const about = pulled?.[0]?.power ?? powerOf(summary)?.value
  if (!about) return null
  const made = pulled?.length
    ? { readings: pulled.length, days: new Set(pulled.map(({ day }) => day)).size }
    : null
  return (
    <PlanRepeats
      key={before?.key ?? 'none'}
      instrument={instrument}
      about={about}
      made={made}
      quantity="power"
      unit={power}
      start={Math.max(1, Math.round(fromSi(about * ASKED, power)))}
    >
      Where changing takes long: half of A, all of B, the other half of A.
    </PlanRepeats>
  )
}
