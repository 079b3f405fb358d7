import type { WeighIn } from '@bold-ballast/contract'
import { formatQuantity, type WeighInReading } from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'
import { SETUP } from '@bold-ballast/words'
import { leftOut, leftOutTogether, setUpCosts } from '@bold-ballast/model'

/** Below a tenth of a kilogram no pad shows it. */
const WORTH_SAYING = 0.1

/** What was left out of the set-up, and what that could be worth in cross weight. */
export function SetUp({ weighIn, reading }: { weighIn: WeighIn; reading: WeighInReading }) {
  const { unit, built } = useBuild()
  const { checklist } = weighIn
  // What reads no cross weight isn't told what cross weight could be worth.
  if (!checklist || !reading.result.cross) return null
  const mass = unit('mass')
  const total = reading.result.total.value
  const costs = setUpCosts(built, {
    mass: total,
    centre: { x: reading.books.centre.x.value, y: reading.books.centre.y.value },
    level: checklist.level,
  })
  const missing = leftOut(checklist, weighIn.condition).filter((check) => costs[check] >= WORTH_SAYING)
  const level = checklist.level === null ? 0 : costs.level
  const together = leftOutTogether(costs, missing, checklist.level !== null)
  return (
    <p className="mt-1 text-[13px] text-muted" data-testid="set-up">
      {missing.length === 0
        ? 'Set up with nothing left out'
        : `Left out: ${missing.map((check) => `${SETUP[check]} (up to ${formatQuantity(costs[check], mass)})`).join(', ')}`}
      {checklist.level !== null &&
        level > 0 &&
        `; pads level to ${formatQuantity(checklist.level, unit('length'))} (${formatQuantity(level, mass)})`}
      . Together worth up to {formatQuantity(together, mass)} of cross weight,{' '}
      {formatQuantity(together / total, unit('share'))}.
      {!built.springs && ' Spring rates are not typed in, so 2 Hz at each corner is assumed.'}
    </p>
  )
}
