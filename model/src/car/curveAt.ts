import type { DynoDay } from '@bold-ballast/contract'
import type { PullPoint } from '@bold-ballast/core'
import type { FoldedBuild } from '../ledger/foldBuild'
import { standingCurve } from './standingCurve'

/** A curve at the wheels: torque over engine speed, observed. */
export interface CurveAt {
  readonly points: readonly PullPoint[]
  readonly day: DynoDay
  /** The stage that it was pulled at. */
  readonly stageId: string
  /** The power that it was brought to where a plan came after it, W. */
  readonly planned: number | null
}

/**
 * The curve that stands for a stage. Where a later stage plans another power than was pulled, it keeps its shape and is
 * brought to that power: a plan is read as what it would be.
 *
 * @param at the stage's place
 * @returns null while nobody has pulled a curve
 */
export function curveAt({ document, stages, summaries }: FoldedBuild, at: number): CurveAt | null {
  const standing = standingCurve(document, summaries.slice(0, at + 1))
  if (!standing) return null
  const { day, stageId } = standing
  const pulledAt = stages.findIndex((s) => s.id === stageId)
  const since = stages.slice(pulledAt + 1, at + 1)
  const plan = since.findLast((s) => s.plannedWheelPower !== null)?.plannedWheelPower ?? null
  const pulled = summaries[pulledAt]?.measuredPower?.power.value
  const times = plan !== null && pulled ? plan / pulled : 1
  return {
    points: standing.curve.map((p) => ({ ...p, torque: p.torque * times })),
    day,
    stageId,
    planned: times === 1 ? null : plan,
  }
}
