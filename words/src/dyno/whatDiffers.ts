import { BOOST_CONTROL, type DynoDay } from '@bold-ballast/contract'
import { airDensity, type Correction } from '@bold-ballast/core'
import { gearName } from '../gearName'
import { airOf, pullOrder, type Side } from '@bold-ballast/model'

/** Air that differs by less is not worth a word. */
const AIR = 0.01
const ETHANOL = 0.03

const listed = (values: Iterable<string>) => [...new Set(values)].sort().join(' and ')
const says = (of: (day: DynoDay) => string, side: Side) => listed(side.pulls.map(({ day }) => of(day)))

/** Mean density of the air of a side's pulls; `null` when nobody read it for one of them. */
function density(side: Side): number | null {
  let sum = 0
  for (const { pull, day } of side.pulls) {
    const air = airOf(pull, day)
    if (!air) return null
    sum += airDensity(air)
  }
  return sum / side.pulls.length
}

/**
 * What else than the configuration differs between two sides, so that a gain isn't put down to the wrong thing:
 * fuel, ethanol, gear, boost control, the air where observed figures are compared, and the order of the pulls.
 *
 * @returns a sentence for each, none when like is compared with like
 */
export function whatDiffers(before: Side, after: Side, basis: Correction): string[] {
  const found: string[] = []
  const compare = (name: string, of: (day: DynoDay) => string) => {
    const [a, b] = [says(of, before), says(of, after)]
    if (a !== b) found.push(`${name}: ${a || 'not stated'} before, ${b || 'not stated'} after.`)
  }
  compare('Fuel', (d) => d.fuel)
  compare('Gear', (d) => (d.gear === null ? 'not stated' : gearName(d.gear - 1)))
  compare('Boost', (d) => BOOST_CONTROL[d.boostControl].toLowerCase())
  const ethanol = (side: Side) => {
    const shares = side.pulls.flatMap(({ day }) => day.ethanol ?? [])
    return shares.length === side.pulls.length ? shares.reduce((a, b) => a + b, 0) / shares.length : null
  }
  const [e1, e2] = [ethanol(before), ethanol(after)]
  if (e1 !== null && e2 !== null && Math.abs(e1 - e2) > ETHANOL)
    found.push(`Ethanol: ${(e1 * 100).toFixed(0)} % before, ${(e2 * 100).toFixed(0)} % after.`)
  if (basis === 'observed') {
    const [a, b] = [density(before), density(after)]
    if (a !== null && b !== null && Math.abs(b / a - 1) > AIR)
      found.push(
        `Air: ${(Math.abs(b / a - 1) * 100).toFixed(1)} % ${b > a ? 'denser' : 'thinner'} after. Without boost, compare corrected figures.`,
      )
  }
  const order = pullOrder(before, after, basis)
  if (order?.drift)
    found.push(
      `Drift: from one pull to the next they ${order.drift < 0 ? 'lose' : 'gain'} ${(100 * Math.abs(order.drift)).toFixed(1)} %, whatever was on the car.${order.isInBlocks ? ' The later configuration has that in its figures: pull both in turn.' : ''}`,
    )
  else if (order?.isInBlocks)
    found.push(
      `Order: all of ${before.configuration} and all of ${after.configuration} one after the other. An engine that warms up reads less each time: pull them in turn, one of each.`,
    )
  return found
}
