import type { ClaimChecked } from '@bold-ballast/contract'

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
  /** By who said it; what nobody is named for is left out. */
  readonly bySource: readonly AuditRow[]
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
 * How far off guesses and makers' claims were once the parts stood on a scale, by grade, by system and by who said it.
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
    bySource: grouped((c) => c.source).filter((row) => row.key !== ''),
    worst: [...checked].sort((a, b) => Math.abs(offBy(b)) - Math.abs(offBy(a))),
  }
}

/** Fewer than that tell of luck, not of habit. */
export const ENOUGH_CLAIMS = 5
const LEAST_DOUBT = 0.005

/**
 * What a build would reckon with by its workshop's own record: how much parts still to come grow, how doubtful a figure
 * is, and how far all of them may lean the same way: the standard error of the habit itself. Grades with too few parts behind them keep what they have.
 *
 * @param usual what holds where there is too little to go by
 * @returns shares; nothing shrinks by habit, and nothing is surer than 0.5 %
 * @source mean and sample standard deviation of relative errors; that five are enough is common practice
 * @example reckonedFrom(auditOf(checked), usual).doubts.claim // 0.01
 */
export function reckonedFrom({ byGrade }: Pick<Audit, 'byGrade'>, usual: Reckoned): Reckoned {
  const of = (grade: keyof ByGrade, take: (row: AuditRow) => number, otherwise: number) => {
    const row = byGrade.find((r) => r.key === grade)
    return row && row.count >= ENOUGH_CLAIMS ? Number(take(row).toFixed(3)) : otherwise
  }
  const grown = ({ bias }: AuditRow) => Math.max(0, bias)
  const doubted = ({ spread }: Pick<AuditRow, 'spread'>) => Math.min(1, Math.max(LEAST_DOUBT, spread))
  // How well the habit itself is known: what all that is still to come leans by together.
  const leaning = ({ spread, count }: AuditRow) => Math.min(1, doubted({ spread }) / Math.sqrt(count))
  return {
    growth: {
      guess: of('guess', grown, usual.growth.guess),
      claim: of('claim', grown, usual.growth.claim),
    },
    doubts: {
      guess: of('guess', doubted, usual.doubts.guess),
      claim: of('claim', doubted, usual.doubts.claim),
    },
    lean: {
      guess: of('guess', leaning, usual.lean.guess),
      claim: of('claim', leaning, usual.lean.claim),
    },
  }
}
/** Shares by which a build reckons with what nobody has weighed. */
export interface Reckoned {
  readonly growth: ByGrade
  readonly doubts: ByGrade
  /** How far all of a grade lean the same way. */
  readonly lean: ByGrade
}
export interface ByGrade {
  readonly guess: number
  readonly claim: number
}
