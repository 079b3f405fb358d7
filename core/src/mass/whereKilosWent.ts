import { sumKnown, type Known } from '../evidence/known'
import type { LedgerLine } from './ledger'
import { lineMass, lineSign } from './lineMass'
import { pointsOf } from './massFold'

/** What a group of lines did to the car. */
export interface KilosOf {
  /** What came off, kg, as a positive figure. */
  readonly off: Known
  /** What went on or was carried over, kg. */
  readonly on: Known
  /** on − off */
  readonly net: Known
  /**
   * Change of the mass moment about a height, kg·m: negative takes mass from above it or puts mass below it.
   * Lines without a place are left out.
   */
  readonly moment: number
}

/**
 * What some lines did: off, on, net, and how they moved mass up or down. A kilogram saved on the roof is worth
 * more than one saved on the floor, and a part moved down is worth something without saving any.
 *
 * @param lines of one system, one swap or one stage
 * @param height the height to count from, m: usually the centre of mass
 * @source statics; counting by height is common practice
 * @example kilosOf([{ ...line, kind: 'off', mass: 12, position: { x: 1, y: 0, z: 1.2 } }], 0.5).moment // −8.4
 */
export function kilosOf(lines: readonly LedgerLine[], height: number): KilosOf {
  const of = (sign: -1 | 1) =>
    sumKnown(lines.filter((l) => lineSign(l) === sign).map((l) => ({ known: lineMass(l), times: 1 })))
  const moment = lines.flatMap(pointsOf).reduce((sum, { mass, sign, position, movedTo }) => {
    if (!position) return sum
    const lift = sign === 0 ? (movedTo ?? position).z - position.z : sign * (position.z - height)
    return sum + mass.value * lift
  }, 0)
  return {
    off: of(-1),
    on: of(1),
    net: sumKnown(lines.map((l) => ({ known: lineMass(l), times: lineSign(l) }))),
    moment,
  }
}

export interface SwapWorth {
  /** Kilograms found for each hour of work; `null` where no hours are known or nothing was found. */
  readonly perHour: number | null
  /** Kilograms found for each hundred of money spent; `null` where none is known, or it paid for itself. */
  readonly perHundred: number | null
}

/**
 * What a swap's kilograms cost.
 *
 * @param saved kg, positive for a saving
 * @param workTime s
 * @param cost in the build's currency; below zero when selling paid more
 * @example swapWorth(20, 7200, 500) // { perHour: 10, perHundred: 4 }
 */
export function swapWorth(saved: number, workTime: number | null, cost: number | null): SwapWorth {
  return {
    perHour: saved > 0 && workTime ? saved / (workTime / 3600) : null,
    perHundred: saved > 0 && cost !== null && cost > 0 ? (100 * saved) / cost : null,
  }
}
