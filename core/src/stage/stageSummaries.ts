import { known, type Known } from '../evidence/known'
import type { Grade } from '../evidence/grade'
import { aboard, type Carriers, type Condition } from '../mass/aboard'
import type { LedgerLine, Position } from '../mass/ledger'
import { EMPTY_FOLD, foldMass, pointOf, type MassFold, type MassPoint } from '../mass/massFold'
import { frontShare, massState, stateOf, type MassState } from '../mass/massState'
import { powerToWeight } from '../power/powerToWeight'
import type { Correction } from '../power/correctionFactor'
import {
  stageWheelPower,
  type DynoDayInput,
  type PullInput,
  type StageWheelPower,
} from '../power/stageWheelPower'
import { booksBalance, type BooksBalance } from '../scales/booksBalance'
import { fourPadWeighIn, type CornerWeights, type FourPadResult } from '../scales/fourPadWeighIn'

/** What the fold over a build's stages needs to know. SI units. */
export interface BuildFacts extends Carriers {
  readonly wheelbase: number
  readonly baseMass: number
  readonly baseGrade: Grade
  readonly baseSigma: number | null
  readonly baseCentre: Position
  readonly reference: Condition
  readonly powerBasis: Correction
}
export interface StageFacts {
  readonly id: string
  readonly plannedWheelPower: number | null
  readonly plannedPowerGrade: Grade
}
export interface WeighInFacts {
  readonly id: string
  readonly stageId: string
  readonly date: string
  readonly corners: CornerWeights
  readonly resolution: number
  readonly accuracy: number
  readonly condition: Condition
}
export interface StageInputs {
  readonly build: BuildFacts
  /** In order. */
  readonly stages: readonly StageFacts[]
  readonly linesOf: (stageId: string) => readonly LedgerLine[]
  readonly weighIns: readonly WeighInFacts[]
  readonly dynoDays: readonly DynoDayInput[]
  readonly pulls: readonly PullInput[]
}

export interface WeighInReading {
  readonly id: string
  readonly result: FourPadResult
  /** What the books predict for the condition of the weighing, from what was fitted. */
  readonly books: MassState
  readonly booksFront: Known
  readonly balance: BooksBalance
  /** The scales' total, brought to the build's reference condition. */
  readonly atReference: Known
}

export interface StageSummary {
  readonly stageId: string
  /** Every line up to this stage done, in the reference condition. */
  readonly planned: MassState
  /** Only what is off or fitted so far, in the reference condition. */
  readonly asFitted: MassState
  /** Lines of this stage that are not off or fitted yet. */
  readonly openLines: number
  /** Lines of this stage and all before it that are still open. */
  readonly openLinesSoFar: number
  readonly plannedFront: Known
  /** The newest weighing of the stage. */
  readonly weighed: WeighInReading | null
  /** The mass to speak of: the scales' where there are any, else the books'. */
  readonly mass: Known
  readonly massFrom: 'scales' | 'books' | 'plan'
  readonly plannedPower: Known | null
  readonly measuredPower: StageWheelPower | null
  readonly plannedPowerToWeight: Known | null
  readonly measuredPowerToWeight: Known | null
}

/**
 * A weighing, read: shares with uncertainty, and the books in the same condition beside it.
 *
 * @throws {RangeError} as {@link fourPadWeighIn} does
 */
export function readWeighIn(weighIn: WeighInFacts, build: BuildFacts, fitted: MassFold): WeighInReading {
  const result = fourPadWeighIn(weighIn.corners, weighIn)
  const books = stateOf(foldMass(fitted, aboard(weighIn.condition, build)))
  const load = [...aboard(build.reference, build)]
  const unload = aboard(weighIn.condition, build).map((p) => ({ ...p, sign: -p.sign as -1 | 0 | 1 }))
  const whole: MassPoint = { mass: result.total, sign: 1, position: build.baseCentre, whole: true }
  return {
    id: weighIn.id,
    result,
    books,
    booksFront: frontShare(books.centre.x, build.wheelbase),
    balance: booksBalance(result.total, books.mass),
    atReference: massState([whole, ...unload, ...load]).mass,
  }
}

/** The car as bought, as the first contribution of the ledger. */
export const basePoint = (build: BuildFacts): MassPoint => ({
  mass: known(build.baseMass, build.baseGrade, build.baseSigma),
  sign: 1,
  position: build.baseCentre,
  whole: true,
})

/**
 * Folds a build into one summary for each stage: base car plus all swaps up to it, beside what was weighed
 * and pulled. Nothing here is stored; it is computed from the records each time.
 *
 * @param inputs the build's records
 * @returns one summary a stage, in order
 */
export function stageSummaries(inputs: StageInputs): StageSummary[] {
  const { build } = inputs
  let all = foldMass(EMPTY_FOLD, [basePoint(build)])
  let fitted = all
  const reference = aboard(build.reference, build)
  let plannedPower: Known | null = null
  let openLinesSoFar = 0
  return inputs.stages.map((stage) => {
    const lines = inputs.linesOf(stage.id)
    all = foldMass(all, lines.map(pointOf))
    fitted = foldMass(fitted, lines.filter((l) => l.fitted).map(pointOf))
    const openLines = lines.filter((l) => !l.fitted).length
    openLinesSoFar += openLines
    const planned = stateOf(foldMass(all, reference))
    const asFitted = stateOf(foldMass(fitted, reference))
    const newest = inputs.weighIns
      .filter((w) => w.stageId === stage.id)
      .reduce<WeighInFacts | null>((best, w) => (!best || w.date >= best.date ? w : best), null)
    const weighed = newest && readWeighIn(newest, build, fitted)
    if (stage.plannedWheelPower !== null)
      plannedPower = known(stage.plannedWheelPower, stage.plannedPowerGrade)
    const measuredPower = stageWheelPower(stage.id, inputs.dynoDays, inputs.pulls, build.powerBasis)
    const mass: Known = weighed
      ? {
          ...weighed.atReference,
          grade: weighed.balance.verdict === 'balance' ? 'proven' : weighed.atReference.grade,
        }
      : planned.mass
    return {
      stageId: stage.id,
      planned,
      asFitted,
      openLines,
      openLinesSoFar,
      plannedFront: frontShare(planned.centre.x, build.wheelbase),
      weighed,
      mass,
      massFrom: weighed ? 'scales' : openLinesSoFar === 0 ? 'books' : 'plan',
      plannedPower,
      measuredPower,
      plannedPowerToWeight: carried(plannedPower, planned.mass),
      measuredPowerToWeight: carried(
        measuredPower?.power ?? null,
        weighed || openLinesSoFar === 0 ? mass : asFitted.mass,
      ),
    }
  })
}

/** Power to weight, where there is power and the car still weighs something. */
const carried = (power: Known | null, mass: Known): Known | null =>
  power && mass.value > 0 ? powerToWeight(power, mass) : null
