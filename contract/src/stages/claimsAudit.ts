import type { ClaimChecked } from '../wire/claims'

export interface AuditRow {
  readonly key: string
  readonly count: number
  /** Mean of weighed over said, less 1: above zero it weighed more than was said. */
  readonly bias: number
  /** Standard deviation of that. */
  readonly spread: number
}
export interface Audit {
  readonly all: AuditRow
  readonly byGrade: readonly AuditRow[]
  readonly bySystem: readonly AuditRow[]
  /** Farthest off first. */
  readonly worst: readonly ClaimChecked[]
}

const offBy = ({ weighed, said }: ClaimChecked): number => weighed / said - 1

function rowOf(key: string, some: readonly ClaimChecked[]): AuditRow {
  const off = some.map(offBy)
  const bias = off.reduce((a, b) => a + b, 0) / Math.max(1, off.length)
  const variance = off.reduce((s, o) => s + (o - bias) ** 2, 0) / Math.max(1, off.length - 1)
  return { key, count: off.length, bias, spread: Math.sqrt(variance) }
}

/**
 * How far off guesses and makers' claims were once the parts stood on a scale, by grade and by system.
 *
 * @source mean and sample standard deviation of relative errors
 * @example auditOf(checked).all.bias // 0.06: they weighed 6 % more than was said
 */
export function auditOf(checked: readonly ClaimChecked[]): Audit {
  const grouped = (keyOf: (c: ClaimChecked) => string) =>
    [...new Set(checked.map(keyOf))]
      .map((key) =>
        rowOf(
          key,
          checked.filter((c) => keyOf(c) === key),
        ),
      )
      .sort((a, b) => b.count - a.count || a.key.localeCompare(b.key))
  return {
    all: rowOf('all', checked),
    byGrade: grouped((c) => c.grade),
    bySystem: grouped((c) => c.system),
    worst: [...checked].sort((a, b) => Math.abs(offBy(b)) - Math.abs(offBy(a))),
  }
}
