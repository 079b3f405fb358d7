import { known, type Known } from '../evidence/known'
import type { Grade } from '../evidence/grade'
import { aboard, type Carriers, type Condition } from '../mass/aboard'
import type { LedgerLine, Position } from '../mass/ledger'
import { EMPTY_FOLD, foldMass, pointsOf, type MassFold, type MassPoint } from '../mass/massFold'
import { frontShare, massState, stateOf, type MassState } from '../mass/massState'
import { powerToWeight } from '../power/powerToWeight'
import type { Correction } from '../power/correctionFactor'
import {
  stageWheelPower,
  type DynoDayInput,
  type PullInput,
  type StageWheelPower,
} from '../power/stageWheelPower'
import { atWheels, locateMissing, type MissingMass } from '../scales/locateMissing'
import { booksBalance, type BooksBalance } from '../scales/booksBalance'
import { CORNERS } from '../scales/fourPadWeighIn'
import { readScales, type ScaleReadings, type ScalesResult } from '../scales/readScales'

/** What the fold over a build's stages needs to know. SI units. */
export interface BuildFacts extends Carriers {
  readonly wheelbase: number
  readonly trackFront: number
  readonly trackRear: number
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
  readonly readings: ScaleReadings
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
  readonly result: ScalesResult
  /** What the books predict for the condition of the weighing, from what was fitted. */
  readonly books: MassState
  readonly booksFront: Known
  readonly balance: BooksBalance
  /** Where the difference sits, when the books are off and the method can tell. */
  readonly missing: MissingMass | null
  /** Date of the balanced weighing that the difference is taken since; `null` for since the car was bought. */
  readonly missingSince: string | null
  /** The scales' total, brought to the build's reference condition. */
  readonly atReference: Known
}

/** A whole-car weighing that the books agreed with, and what was fitted since. */
export interface Anchor {
  readonly date: string
  readonly fold: MassFold
}

export interface StageSummary {
  readonly stageId: string
  /** Every line up to this stage done, in the reference condition. */
  readonly planned: MassState
  /** Only what is off or fitted so far, in the reference condition. */
  readonly asFitted: MassState
  /** What is off or fitted so far, as contributions, with the car as bought; nobody aboard. */
  readonly fitted: MassFold
  /** The last stage's weighing that balanced, with what came since: sharper than the whole ledger. */
  readonly anchor: Anchor | null
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
 * @throws {RangeError} as {@link readScales} does
 */
export function readWeighIn(
  weighIn: WeighInFacts,
  build: BuildFacts,
  fitted: MassFold,
  anchor: Anchor | null,
): WeighInReading {
  const result = readScales(weighIn.readings, weighIn)
  const booksFold = foldMass(fitted, aboard(weighIn.condition, build))
  const books = stateOf(booksFold)
  const balance = booksBalance(result.total, books.mass)
  const load = [...aboard(build.reference, build)]
  const unload = aboard(weighIn.condition, build).map((p) => ({ ...p, sign: -p.sign as -1 | 0 | 1 }))
  const whole: MassPoint = { mass: result.total, sign: 1, position: build.baseCentre, whole: true }
  return {
    id: weighIn.id,
    result,
    books,
    booksFront: frontShare(books.centre.x, build.wheelbase),
    balance,
    missing:
      balance.verdict === 'off' && !books.impossible
        ? locateMissing(
            anchor ? foldMass(anchor.fold, aboard(weighIn.condition, build)) : booksFold,
            wheelFold(weighIn, build),
            build.wheelbase,
          )
        : null,
    missingSince: anchor?.date ?? null,
    atReference: massState([whole, ...unload, ...load]).mass,
  }
}

/** What was read, as contributions at the wheels; a weighbridge's axles at their middles. */
function wheelFold(weighIn: WeighInFacts, build: BuildFacts): MassFold {
  const { readings, resolution, accuracy } = weighIn
  const read = (value: number) => ({
    value,
    sigma: Math.max(resolution / Math.sqrt(12), accuracy * value),
    grade: 'measured' as const,
  })
  if (readings.method === 'axles') {
    const axles = [
      { mass: read(readings.front), at: { x: 0, y: 0 } },
      { mass: read(readings.rear), at: { x: build.wheelbase, y: 0 } },
    ]
    return foldMass(EMPTY_FOLD, atWheels(axles))
  }
  const corners = readScales(readings, weighIn).corners!
  const wheels = CORNERS.map((corner) => {
    const isFront = corner.startsWith('front')
    const half = (isFront ? build.trackFront : build.trackRear) / 2
    const y = corner.endsWith('Left') ? half : -half
    return { mass: read(corners[corner]), at: { x: isFront ? 0 : build.wheelbase, y } }
  })
  return foldMass(EMPTY_FOLD, atWheels(wheels))
}

/** A weighing with whoever was aboard taken off again, for the ledger to go on from. */
function anchorAt(weighIn: WeighInFacts, build: BuildFacts): Anchor {
  const unload = aboard(weighIn.condition, build).map((p) => ({ ...p, sign: -p.sign as -1 | 0 | 1 }))
  return { date: weighIn.date, fold: foldMass(wheelFold(weighIn, build), unload) }
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
  let anchor: Anchor | null = null
  return inputs.stages.map((stage) => {
    const lines = inputs.linesOf(stage.id)
    all = foldMass(all, lines.flatMap(pointsOf))
    const done = lines.filter((l) => l.fitted).flatMap(pointsOf)
    fitted = foldMass(fitted, done)
    if (anchor) anchor = { ...anchor, fold: foldMass(anchor.fold, done) }
    const before = anchor
    const openLines = lines.filter((l) => !l.fitted).length
    openLinesSoFar += openLines
    const planned = stateOf(foldMass(all, reference))
    const asFitted = stateOf(foldMass(fitted, reference))
    const newest = inputs.weighIns
      .filter((w) => w.stageId === stage.id)
      .reduce<WeighInFacts | null>((best, w) => (!best || w.date >= best.date ? w : best), null)
    const weighed = newest && readWeighIn(newest, build, fitted, before)
    if (newest && weighed?.balance.verdict === 'balance' && newest.readings.method !== 'axles')
      anchor = anchorAt(newest, build)
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
      fitted,
      anchor: before,
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
