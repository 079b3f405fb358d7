import {
  totalsOfStage,
  type CarChange,
  type CourseLine,
  type GainCar,
  type LapCar,
  type StageSummary,
} from '@bold-ballast/core'
import type { BuildDocument, Stage } from '../records/kinds'
import type { LedgerIndex } from './stageInputs'
import { lapCar } from './lapCar'

/** What changed between two stages, beside the swaps, which go by their own ids. */
export const CHANGE_KEYS = ['power', 'gears', 'grip', 'drag', 'downforce', 'sits', 'scales'] as const
export type ChangeKey = (typeof CHANGE_KEYS)[number]

export interface GainChanges {
  readonly before: GainCar
  readonly changes: readonly CarChange[]
  /** A run can be compared: gears and a curve are known at both stages. */
  readonly canRun: boolean
}

const pick = <K extends keyof LapCar>(car: LapCar, keys: readonly K[]): Pick<LapCar, K> =>
  Object.fromEntries(keys.map((k) => [k, car[k]])) as Pick<LapCar, K>
const differs = (a: unknown, b: unknown) => JSON.stringify(a) !== JSON.stringify(b)
const LEAST_MASS = 0.05

/**
 * The changes that lead from one stage to a later one, each with what it weighs and what it sets anew.
 *
 * What swaps weigh together and what the masses of the two stages differ by is not the same where scales spoke: the
 * rest is a change of its own. The air is that of the later stage throughout: weather is no gain.
 *
 * @param course where a lap is to be split; left out, only power to weight and 402 m are
 * @returns `null` where the power of one of the stages isn't known
 * @example gainChanges(document, ledger, summaries, 2, 3)?.changes.map((c) => c.id)
 */
export function gainChanges(
  document: BuildDocument,
  ledger: LedgerIndex,
  summaries: readonly StageSummary[],
  from: number,
  to: number,
  course: CourseLine | null = null,
): GainChanges | null {
  const stages: readonly Stage[] = ledger.stages
  const powerOf = (s: StageSummary) => (s.measuredPower?.power ?? s.plannedPower)?.value ?? null
  const [first, last] = [summaries[from]!, summaries[to]!]
  const [powerBefore, powerAfter] = [powerOf(first), powerOf(last)]
  if (powerBefore === null || powerAfter === null) return null
  const runOf = (at: number): LapCar | null => lapCar(document, stages, summaries, at)
  const [runAfter, plainBefore] = [runOf(to), runOf(from)]
  const runBefore = plainBefore && runAfter && { ...plainBefore, airDensity: runAfter.airDensity }
  const swaps: CarChange[] = stages.slice(from + 1, to + 1).flatMap((stage) =>
    ledger.swapsOf(stage.id).flatMap((entry) => {
      const mass = totalsOfStage([entry.counted]).net.value
      return Math.abs(mass) < LEAST_MASS ? [] : [{ id: entry.swap.id, mass, power: null, run: {} }]
    }),
  )
  const found = last.mass.value - first.mass.value - swaps.reduce((sum, s) => sum + s.mass, 0)
  const groups: readonly [ChangeKey, readonly (keyof Omit<LapCar, 'mass'>)[]][] = [
    ['power', ['curve', 'engineInertia']],
    [
      'gears',
      ['ratios', 'finalDrive', 'rollingRadius', 'shiftSpeed', 'shiftTime', 'launchSpeed', 'wheelInertia'],
    ],
    ['grip', ['grip']],
    ['drag', ['dragArea', 'rollingResistance']],
    ['downforce', ['downforceFront', 'downforceRear']],
    ['sits', ['frontShare', 'massHeight']],
  ]
  const others = groups.flatMap(([id, keys]): CarChange[] => {
    const power = id === 'power' && powerAfter !== powerBefore ? powerAfter : null
    const changed = runBefore && runAfter ? keys.filter((k) => differs(runBefore[k], runAfter[k])) : []
    if (power === null && changed.length === 0) return []
    return [{ id, mass: 0, power, run: runAfter ? pick(runAfter, changed) : {} }]
  })
  const rest: CarChange[] =
    Math.abs(found) < LEAST_MASS ? [] : [{ id: 'scales', mass: found, power: null, run: {} }]
  return {
    before: { mass: first.mass.value, power: powerBefore, run: runBefore, course },
    changes: [...swaps, ...others, ...rest],
    canRun: runBefore !== null,
  }
}
