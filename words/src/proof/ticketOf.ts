import { METHOD, type SealedFigures, type WeighIn } from '@bold-ballast/contract'
import type { Known, Unit, WeighInReading } from '@bold-ballast/core'
import { describeBalance } from '../describeBalance'

const plain = ({ value, sigma }: Known) => ({ value, sigma })

/** The weighing that a stage stands on, as a proof sheet keeps it. */
export function ticketOf(
  weighIn: Pick<WeighIn, 'date' | 'readings'>,
  { result, balance }: WeighInReading,
  mass: Unit,
): NonNullable<SealedFigures['ticket']> {
  const { total, front, left, cross, corners } = result
  return {
    date: weighIn.date,
    method: METHOD[weighIn.readings.method],
    corners: corners && { ...corners },
    total: plain(total),
    front: plain(front),
    left: left && plain(left),
    cross: cross && plain(cross),
    books: describeBalance(balance, mass),
  }
}
