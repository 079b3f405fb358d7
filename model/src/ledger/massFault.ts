import { stageSummaries, type StageSummary } from '@bold-ballast/core'
import type { BuildDocument, Line, Stage } from '@bold-ballast/contract'
import { ledgerIndex, stageInputs } from './stageInputs'

/** A stage at which more has come off than the car weighs. */
export interface MassFault {
  readonly stageId: string
  /** Name of the stage. */
  readonly stage: string
  /** What the car would weigh by the books, kg; zero or less. */
  readonly mass: number
}

/**
 * The stage at which the car would weigh least, where that is nothing or less.
 *
 * @returns null for a car that weighs something at every stage
 * @example massFault(document)?.mass // -309
 */
export function massFault(document: BuildDocument): MassFault | null {
  const index = ledgerIndex(document)
  return faultAmong(index.stages, stageSummaries(stageInputs(document, index)))
}

/** The same of stages, in order, whose summaries are there. */
export function faultAmong(stages: readonly Stage[], summaries: readonly StageSummary[]): MassFault | null {
  const least = leastAmong(stages, summaries)
  return least && least.mass > 0 ? null : least
}

/** The stage at which a car weighs least by the books; null where there is no stage. */
export const leastAmong = (stages: readonly Stage[], summaries: readonly StageSummary[]): MassFault | null =>
  summaries.reduce<MassFault | null>((least, { planned }, at) => {
    const stage = stages[at]
    if (!stage || (least && least.mass <= planned.mass.value)) return least
    return { stageId: stage.id, stage: stage.name, mass: planned.mass.value }
  }, null)

/** What a car weighs at least, over its stages, by the books, kg; null where it has no stage. */
export function lightestMass(document: BuildDocument): number | null {
  const index = ledgerIndex(document)
  return leastAmong(index.stages, stageSummaries(stageInputs(document, index)))?.mass ?? null
}

/** A line moves what it weighs, and an allowance by as much again. */
const REACH = 2

/**
 * By how much a change of lines can make a car lighter at most, kg: of what it puts, and of what was there before.
 *
 * @example lightest - linesMove([before, after]) > 0 // no stage can weigh nothing, without folding any
 */
export const linesMove = (lines: readonly Pick<Line, 'mass' | 'quantity' | 'alsoAt'>[]): number =>
  lines.reduce((sum, { mass, quantity, alsoAt }) => sum + REACH * mass * quantity * (1 + alsoAt.length), 0)

/** What may change what a car weighs. */
const WEIGHTY: ReadonlySet<string> = new Set(['build', 'stage', 'swap', 'line'])

/** Whether edits may change what a car weighs at all. */
export const areWeighty = (edits: readonly { readonly kind: string }[]): boolean =>
  edits.some(({ kind }) => WEIGHTY.has(kind))

/**
 * What a change does to a car's mass that can't be: null for a change that leaves a car, and for one that makes a car
 * that is impossible already no lighter, so that it can be mended step by step.
 *
 * @param before asked for only where there is a fault, which is nearly never
 * @example newMassFault(() => document, applyEdits(document, edits))
 */
export function newMassFault(before: () => BuildDocument, after: BuildDocument): MassFault | null {
  const fault = massFault(after)
  if (!fault) return null
  const was = massFault(before())
  return was && was.mass <= fault.mass + LEAST ? null : fault
}

/** Rounding, kg. */
const LEAST = 1e-6
