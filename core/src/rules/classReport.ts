import { judge } from '../evidence/judge'
import type { Known } from '../evidence/known'
import type { Quantity } from '../units/quantities'

/** What a class may limit, and the quantity it is in; `null` for a bare figure. */
export const RULE_MEASURES = {
  massWithDriver: 'mass',
  massWithoutDriver: 'mass',
  wheelPower: 'power',
  powerToMass: 'powerToWeight',
  wingAboveRoof: 'length',
  frontBeyondBumper: 'length',
  rearBeyondBumper: 'length',
  overallWidth: 'length',
  groundClearance: 'length',
  tyreWidth: 'length',
  cageOutside: 'length',
  cageWall: 'length',
  ethanol: 'share',
  noise: null,
} as const satisfies Record<string, Quantity | null>
export type RuleMeasure = keyof typeof RULE_MEASURES

export interface Rule {
  readonly id: string
  readonly measure: RuleMeasure
  readonly comparator: 'atMost' | 'atLeast'
  readonly limit: number
  /** As the scrutineer says it, and where it stands. */
  readonly wording: string
  readonly clause: string
}
export interface RuleResult {
  readonly rule: Rule
  readonly value: Known | null
  /** `cantTell` where it lies within its uncertainty, or nobody knows it. */
  readonly verdict: 'pass' | 'fail' | 'cantTell'
  /** What is in hand, below zero what is over; `null` where nobody knows. */
  readonly margin: number | null
}

/**
 * A car against the rules of a class: pass, fail or can't tell, with what is in hand.
 *
 * @param values what is known of the car; left out where nobody knows
 * @source verdicts as marks are judged
 * @example classReport(rules, { massWithDriver: known })[0].verdict
 */
export function classReport(
  rules: readonly Rule[],
  values: Readonly<Partial<Record<RuleMeasure, Known>>>,
): RuleResult[] {
  return rules.map((rule) => {
    const value = values[rule.measure] ?? null
    if (!value) return { rule, value: null, verdict: 'cantTell', margin: null }
    const { verdict } = judge(value, { comparator: rule.comparator, value: rule.limit, tolerance: 0 })
    return {
      rule,
      value,
      verdict: verdict === 'met' ? 'pass' : verdict === 'missed' ? 'fail' : 'cantTell',
      margin: rule.comparator === 'atMost' ? rule.limit - value.value : value.value - rule.limit,
    }
  })
}

/** The strictest of several rules on one measure; `null` where there is none. */
export function strictestLimit(
  rules: readonly Rule[],
  measure: RuleMeasure,
  comparator: Rule['comparator'],
): number | null {
  const limits = rules.filter((r) => r.measure === measure && r.comparator === comparator).map((r) => r.limit)
  return limits.length === 0 ? null : comparator === 'atMost' ? Math.min(...limits) : Math.max(...limits)
}

export interface ClassMove {
  readonly measure: RuleMeasure
  /** Limit in the class of now and in the other; `null` where a class has none. */
  readonly from: number | null
  readonly to: number | null
  /** The other class allows more, or less. */
  readonly change: 'opens' | 'closes'
}

/**
 * What opens up and what closes when a car moves to another class.
 *
 * Of several rules on one measure with one comparator the strictest counts.
 *
 * @returns measures that differ, those that close first
 * @source comparison
 * @example classMoves(club, open).filter((m) => m.change === 'closes')
 */
export function classMoves(now: readonly Rule[], other: readonly Rule[]): ClassMove[] {
  const measures = Object.keys(RULE_MEASURES) as RuleMeasure[]
  return measures
    .flatMap((measure) =>
      (['atMost', 'atLeast'] as const).flatMap((comparator): ClassMove[] => {
        const [from, to] = [
          strictestLimit(now, measure, comparator),
          strictestLimit(other, measure, comparator),
        ]
        if (from === to) return []
        const looser = to === null || (from !== null && (comparator === 'atMost' ? to > from : to < from))
        return [{ measure, from, to, change: looser ? 'opens' : 'closes' }]
      }),
    )
    .sort((a, b) => a.change.localeCompare(b.change))
}
