import { chanceMet } from '../evidence/chanceMet'
import { isMeasured } from '../evidence/grade'
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
 * - `unmeasured`: what it rests on is there, and nobody has measured it: somebody's feel or a maker's figure
 * - `workedOut`: the figure is worked out, not measured: it points, and only a measurement shows
 * - `nothing`: there is no figure at all
 */
export type Because = 'shown' | 'tooClose' | 'stillPlanned' | 'unmeasured' | 'workedOut' | 'nothing'

export interface MarkReading {
  readonly value: Known | null
  readonly planned: Known | null
  readonly verdict: Judgement['verdict']
  readonly because: Because
  readonly judgement: Judgement | null
  readonly cannot?: Cannot
}

/** Why a figure can't be worked out although everything for it was typed. */
export type Cannot =
  /** The car would weigh nothing or less, kg. */
  | { readonly why: 'weighsNothing'; readonly mass: number }
  /** What was typed leads nowhere. */
  | { readonly why: 'leadsNowhere' }

/** The figure a mark is judged on, what was planned, and whether it stands on evidence. */
export interface MarkFigures {
  readonly value: Known | null
  readonly planned: Known | null
  readonly evidence: boolean
  /** It comes out of a model, not off an instrument, whatever went into it. */
  readonly workedOut?: boolean
  /** Judged whatever its grade: counted up from what was written down, such as money, or asked whether it would do. */
  readonly asItStands?: boolean
  /** Where there is no figure although what it takes is there. */
  readonly cannot?: Cannot
}

/** A mark is for the stage when it is finished: while lines are open, what stands is not what is asked about. */
const half = (s: StageSummary): boolean => s.openLinesSoFar > 0

/** What a summary says of a measure. */
export function headlineFigures(measure: HeadlineMeasure, s: StageSummary): MarkFigures {
  const { value: mass } = (half(s) ? s.finished : s).mass
  if (measure !== 'wheelPower' && mass <= 0)
    return { value: null, planned: null, evidence: false, cannot: { why: 'weighsNothing', mass } }
  switch (measure) {
    case 'mass':
      return half(s)
        ? { value: s.finished.mass, planned: s.planned.mass, evidence: false }
        : { value: s.mass, planned: s.planned.mass, evidence: s.massFrom !== 'plan' }
    case 'wheelPower':
      return {
        value: s.measuredPower?.power ?? s.plannedPower,
        planned: s.plannedPower,
        evidence: s.measuredPower !== null,
      }
    case 'powerToWeight':
      return {
        value: (half(s) ? s.finished : s.standing).powerToWeight ?? s.finished.powerToWeight,
        planned: s.plannedPowerToWeight,
        evidence: !half(s) && s.standing.powerToWeight !== null,
      }
  }
}

/**
 * Judges a target on figures: met, missed, or can't tell yet, with the reason.
 *
 * A plan alone never meets or misses a mark, nor does a figure that a model works out or that somebody guessed or
 * claims: they can only say where they point.
 *
 * @source {@link judge}
 * @example judgeFigures({ value: known(1236, 'measured', 5), planned: null, evidence: true }, target).verdict
 */
export function judgeFigures(
  { value, planned, evidence, workedOut = false, asItStands = false, cannot }: MarkFigures,
  target: Target,
): MarkReading {
  if (!value)
    return {
      value,
      planned,
      verdict: 'cantTell',
      because: 'nothing',
      judgement: null,
      ...(cannot && { cannot }),
    }
  const judgement = judge(value, target)
  if (workedOut) return { value, planned, verdict: 'cantTell', because: 'workedOut', judgement }
  if (!evidence) return { value, planned, verdict: 'cantTell', because: 'stillPlanned', judgement }
  if (!asItStands && !isMeasured(value.grade))
    return { value, planned, verdict: 'cantTell', because: 'unmeasured', judgement }
  return {
    value,
    planned,
    verdict: judgement.verdict,
    because: judgement.verdict === 'cantTell' ? 'tooClose' : 'shown',
    judgement,
  }
}

/**
 * How likely a target is met by what its own figure is known to.
 *
 * @returns null where there is no figure, or one that is counted up before all of it is there: nothing says how much is
 * missing
 * @source {@link chanceMet}
 * @example chanceOf(judgeMark('mass', target, summary), target) // 0.0009
 */
export const chanceOf = ({ value, because }: MarkReading, target: Target): number | null =>
  !value || (because === 'stillPlanned' && value.sigma === 0) ? null : chanceMet(value, target)

/**
 * Judges a mark on mass, power or power to weight by a stage's summary alone.
 *
 * @example judgeMark('mass', { comparator: 'atMost', value: 1220, tolerance: 0 }, summary).verdict // 'missed'
 */
export const judgeMark = (measure: HeadlineMeasure, target: Target, summary: StageSummary): MarkReading =>
  judgeFigures(headlineFigures(measure, summary), target)
