import type { Known } from '../evidence/known'
import { classReport, type Rule, type RuleMeasure, type RuleResult } from './classReport'

/** What is thought of: how much a measure would rise, SI; below zero it falls. */
export type Change = Readonly<Partial<Record<RuleMeasure, number>>>

export interface ChangeCost {
  readonly rule: Rule
  readonly before: RuleResult
  readonly after: RuleResult
  /** What is left of the margin, below zero where it is over the line. */
  readonly margin: number
  /** What it takes from the margin, below zero what it gives. */
  readonly takes: number
}

/** Mass counts in both of its measures, and mass and power in what they make together. */
function withChange(
  values: Readonly<Partial<Record<RuleMeasure, Known>>>,
  change: Change,
): Partial<Record<RuleMeasure, Known>> {
  const mass = change.massWithDriver ?? change.massWithoutDriver ?? 0
  const by: Change = { ...change, massWithDriver: mass, massWithoutDriver: mass }
  const changed = Object.fromEntries(
    Object.entries(values).map(([measure, known]) => [
      measure,
      { ...known, value: known.value + (by[measure as RuleMeasure] ?? 0) },
    ]),
  ) as Partial<Record<RuleMeasure, Known>>
  const { powerToMass, wheelPower, massWithDriver } = changed
  if (powerToMass && wheelPower && massWithDriver && massWithDriver.value > 0)
    changed.powerToMass = { ...powerToMass, value: wheelPower.value / massWithDriver.value }
  return changed
}

/**
 * What a change would cost in compliance: every rule whose margin it moves, those that it breaks first.
 *
 * @throws {RangeError} never; a measure that nobody knows stays unknown
 * @source the class report before and after
 * @example costOfChange(rules, values, { wheelPower: 15_000 })[0].after.verdict // 'fail'
 */
export function costOfChange(
  rules: readonly Rule[],
  values: Readonly<Partial<Record<RuleMeasure, Known>>>,
  change: Change,
): ChangeCost[] {
  const [before, after] = [classReport(rules, values), classReport(rules, withChange(values, change))]
  const rank = ({ before: b, after: a }: ChangeCost) =>
    a.verdict === b.verdict ? 1 : a.verdict === 'pass' ? 2 : 0
  return before
    .flatMap((b, i): ChangeCost[] => {
      const a = after[i]!
      // What nobody knows can't be said to move.
      if (b.margin === null || a.margin === null) return []
      return [{ rule: b.rule, before: b, after: a, margin: a.margin, takes: b.margin - a.margin }]
    })
    .filter((c) => Math.abs(c.takes) > 1e-9)
    .sort((a, b) => rank(a) - rank(b))
}
