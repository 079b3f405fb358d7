import { judge, type Judgement, type Target } from '../evidence/judge'
import type { Known } from '../evidence/known'
import type { StageSummary } from './stageSummaries'

/** What a summary of a stage knows by itself. */
export type HeadlineMeasure = 'mass' | 'wheelPower' | 'powerToWeight'

/**
 * Why a verdict is what it is:
 * - `shown`: the evidence decides it
 * - `tooClose`: evidence is there, but its uncertainty reaches across the mark
 * - `stillPlanned`: the figure rests on parts that are not fitted or power nobody has pulled
 * - `nothing`: there is no figure at all
 */
export type Because = 'shown' | 'tooClose' | 'stillPlanned' | 'nothing'

export interface MarkReading {
  readonly value: Known | null
  readonly planned: Known | null
  readonly verdict: Judgement['verdict']
  readonly because: Because
  readonly judgement: Judgement | null
}

/** The figure a mark is judged on, what was planned, and whether it stands on evidence. */
export interface MarkFigures {
  readonly value: Known | null
  readonly planned: Known | null
  readonly evidence: boolean
}

/** What a summary says of a measure. */
export function headlineFigures(measure: HeadlineMeasure, s: StageSummary): MarkFigures {
  switch (measure) {
    case 'mass':
      return { value: s.mass, planned: s.planned.mass, evidence: s.massFrom !== 'plan' }
    case 'wheelPower':
      return {
        value: s.measuredPower?.power ?? s.plannedPower,
        planned: s.plannedPower,
        evidence: s.measuredPower !== null,
      }
    case 'powerToWeight':
      return {
        value: s.measuredPowerToWeight ?? s.plannedPowerToWeight,
        planned: s.plannedPowerToWeight,
        evidence: s.measuredPowerToWeight !== null && s.massFrom !== 'plan',
      }
  }
}

/**
 * Judges a target on figures: met, missed, or can't tell yet, with the reason.
 *
 * A plan alone never meets or misses a mark; it can only say where it points.
 *
 * @source {@link judge}
 * @example judgeFigures({ value: known(1236, 'measured', 5), planned: null, evidence: true }, target).verdict
 */
export function judgeFigures({ value, planned, evidence }: MarkFigures, target: Target): MarkReading {
  if (!value) return { value, planned, verdict: 'cantTell', because: 'nothing', judgement: null }
  const judgement = judge(value, target)
  if (!evidence) return { value, planned, verdict: 'cantTell', because: 'stillPlanned', judgement }
  return {
    value,
    planned,
    verdict: judgement.verdict,
    because: judgement.verdict === 'cantTell' ? 'tooClose' : 'shown',
    judgement,
  }
}

/**
 * Judges a mark on mass, power or power to weight by a stage's summary alone.
 *
 * @example judgeMark('mass', { comparator: 'atMost', value: 1220, tolerance: 0 }, summary).verdict // 'missed'
 */
export const judgeMark = (measure: HeadlineMeasure, target: Target, summary: StageSummary): MarkReading =>
  judgeFigures(headlineFigures(measure, summary), target)
