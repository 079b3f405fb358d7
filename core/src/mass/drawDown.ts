import type { LedgerLine } from './ledger'
import { lineMass } from './lineMass'

/**
 * Lines of a swap with its allowances drawn down: "bits and bobs" stand for what nobody weighed, and every line
 * that is added to the swap comes out of them, until nothing is left.
 *
 * @param lines the lines of one swap
 * @returns the same lines in the same order; an allowance carries what is left of it
 * @source mass-properties control keeps such a reserve: ANSI/AIAA S-120A, mass growth allowance and depletion
 * @example drawDown([allowance(6), on(1.5)])[0].mass // 4.5
 */
export function drawDown<T extends LedgerLine>(lines: readonly T[]): readonly T[] {
  if (!lines.some((line) => line.role === 'allowance')) return lines
  let booked = lines
    .filter((line) => line.role !== 'allowance' && line.kind === 'on')
    .reduce((sum, line) => sum + lineMass(line).value, 0)
  return lines.map((line) => {
    if (line.role !== 'allowance') return line
    const whole = lineMass(line).value
    const drawn = Math.min(whole, booked)
    booked -= drawn
    const left = whole > 0 ? (whole - drawn) / whole : 0
    return { ...line, mass: line.mass * left, sigma: line.sigma === null ? null : line.sigma * left }
  })
}
