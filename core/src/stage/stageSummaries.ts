import { repeatReadings } from '../scales/repeatWeighings'
import { defaultSigma, isMeasured, type Grade } from '../evidence/grade'
import { USUAL_OWN_ERROR } from '../evidence/instrumentError'
import { doubtName } from '../evidence/doubtNames'
import { known, named, sumKnown, type Known } from '../evidence/known'
import { aboard, aboardBetween, FUEL, type Carriers, type Condition } from '../mass/aboard'
import type { LedgerLine, Position } from '../mass/ledger'
import { lineSign, sharedMass } from '../mass/lineMass'
import { lineAfterCuts, type ShellCut } from '../mass/cutShell'
import { EMPTY_FOLD, foldMass, pointsOf, type MassFold, type MassPoint } from '../mass/massFold'
import { frontShare, stateOf, type MassState } from '../mass/massState'
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
import type { CrossSetting } from '../scales/crossDoubt'
import { CORNERS } from '../scales/fourPadWeighIn'
import { readScales, type ScaleReadings, type ScalesResult } from '../scales/readScales'
import { springsOf, type SprungCar } from '../scales/springsOf'

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
  /** Left out, or `null`, where nobody typed them. */
  readonly springs?: SprungCar['springs']
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
  /** Name of the scale; left out, or empty, where nobody noted it: then it is the one that a workshop has. */
  readonly scale?: string
  /** What its pads share, as a share of the reading; left out for what is usual. */
  readonly own?: number
  /** What was seen to before; left out, or `null`, where nobody looked. */
  readonly checklist?: CrossSetting | null
}
export interface StageInputs {
  readonly build: BuildFacts
  /** In order. */
  readonly stages: readonly StageFacts[]
  readonly linesOf: (stageId: string) => readonly LedgerLine[]
  readonly weighIns: readonly WeighInFacts[]
  readonly dynoDays: readonly DynoDayInput[]
  readonly pulls: readonly PullInput[]
  /** The build as a stage has it, where its geometry changes; left out, it is the same at all of them. */
  readonly buildOf?: (stageId: string) => BuildFacts
  /** Where a stage cut the shell; left out for none. */
  readonly cutOf?: (stageId: string) => ShellCut | null
}

export interface WeighInReading {
  readonly id: string
  readonly date: string
  readonly result: ScalesResult
  /** What the books predict for the condition of the weighing, from what was fitted on its day. */
  readonly books: MassState
  /** Names what was on the car: weighings of the same state are repeats of each other. */
  readonly state: string
  readonly booksFront: Known
  readonly balance: BooksBalance
  /** The books are measured well enough for their agreement to prove the figure. */
  readonly proves: boolean
  /** Where the difference sits, when the books are off and the method can tell. */
  readonly missing: MissingMass | null
  /** Date of the balanced weighing that the difference is taken since; `null` for since the car was bought. */
  readonly missingSince: string | null
  /** The scales' total, brought to the build's reference condition. */
  readonly atReference: Known
  /** Name of what the scale is off by itself, among its doubts. */
  readonly scale: string
}

/** What the scales' mass of a stage is made of: weighings as one, and lines that were done or undone since. */
export interface MassOnScales {
  readonly weighed: Known
  readonly added: readonly LedgerLine[]
  readonly taken: readonly LedgerLine[]
}

/** A whole-car weighing that the books agreed with, and what was fitted since. */
export interface Anchor {
  readonly date: string
  readonly fold: MassFold
}

/** A car at one moment: its mass, and the power that it has then; power to weight is that power over that mass. */
export interface CarNow {
  readonly mass: Known
  readonly massFrom: 'scales' | 'books' | 'plan'
  readonly power: Known | null
  readonly powerFrom: 'dyno' | 'plan' | null
  readonly powerToWeight: Known | null
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
  /** What its mass on the scales is made of; null where nobody weighed it. */
  readonly onScales: MassOnScales | null
  /** All of them, the oldest first; each balances or not by itself, against what was fitted on its day. */
  readonly weighIns: readonly WeighInReading[]
  /** The car as it stands: what is off and fitted so far, with the power that was pulled. */
  readonly standing: CarNow
  /** The car when the stage is finished: every line done, with the power that is planned, or was pulled. */
  readonly finished: CarNow
  /** The mass to speak of: the scales' where there are any, else the books'. */
  readonly mass: Known
  readonly massFrom: 'scales' | 'books' | 'plan'
  readonly plannedPower: Known | null
  readonly measuredPower: StageWheelPower | null
  readonly plannedPowerToWeight: Known | null
}

/** Books that are this many times less sure than the scales prove nothing by agreeing with them. */
const PROVING = 3

/**
 * A weighing, read: shares with uncertainty, and the books in the same condition beside it.
 *
 * Agreement proves a figure only where both sides are of like quality: books of measured lines, no more than three times
 * as uncertain as the scales. A guess that happens to agree with one weighing proves nothing.
 *
 * @param fitted what was on the car on that day
 * @param state names it
 * @throws {RangeError} as {@link readScales} does
 */
export function readWeighIn(
  weighIn: WeighInFacts,
  build: BuildFacts,
  fitted: MassFold,
  anchor: Anchor | null,
  state: string,
): WeighInReading {
  const booksFold = foldMass(fitted, aboard(weighIn.condition, build))
  const books = stateOf(booksFold)
  const typed = build.springs ? { ...build, springs: build.springs } : null
  const result = readScales(weighIn.readings, weighIn, {
    setting: weighIn.checklist ?? { level: null, settled: false },
    springs: typed && !books.impossible ? springsOf(typed, books.centre.x.value, books.mass.value) : null,
  })
  const balance = booksBalance(result.total, books.mass)
  const scale = doubtName.scale(weighIn.scale || (weighIn.readings.method === 'axles' ? 'weighbridge' : ''))
  return {
    id: weighIn.id,
    date: weighIn.date,
    result,
    books,
    state,
    booksFront: frontShare(books.centre.x, build.wheelbase),
    balance,
    proves:
      balance.verdict === 'balance' &&
      isMeasured(books.mass.grade) &&
      books.mass.sigma <= PROVING * result.total.sigma,
    missing:
      balance.verdict === 'off' && !books.impossible
        ? locateMissing(
            anchor ? foldMass(anchor.fold, aboard(weighIn.condition, build)) : booksFold,
            wheelFold(weighIn, build),
            build.wheelbase,
          )
        : null,
    missingSince: anchor?.date ?? null,
    atReference: atReference(weighIn, build, result.total, scale),
    scale,
  }
}

/** A weighing brought to the reference condition, with what it is off by. */
function atReference(weighIn: WeighInFacts, build: BuildFacts, total: Known, scale: string): Known {
  const between = aboardBetween(weighIn.condition, build.reference, build)
  const own = (weighIn.own ?? USUAL_OWN_ERROR.pads) * total.value
  const gauge = between.find(({ what }) => what === FUEL)?.point.mass.sigma ?? 0
  const others = between.filter(({ what }) => what !== FUEL)
  return named(
    between.reduce((sum, { point }) => sum + point.sign * point.mass.value, total.value),
    'measured',
    {
      // The gauge was read once for this weighing, as its pads were.
      [doubtName.weighing(weighIn.id)]: Math.hypot(
        Math.sqrt(Math.max(0, total.sigma ** 2 - own ** 2)),
        gauge,
      ),
      [scale]: own,
      ...Object.fromEntries(
        others.map(({ what, point }) => [doubtName.aboard(what), point.sign * point.mass.sigma]),
      ),
    },
  )
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

/** A line that is off or fitted, with the stage that it belongs to. */
interface DoneLine {
  readonly line: LedgerLine
  readonly at: number
}

/**
 * What was on the car on a day: lines that carry their day by it, whatever stage they belong to; the others of this
 * stage and all before.
 */
const doneBy = (all: readonly DoneLine[], at: number, date: string): DoneLine[] =>
  all.filter(({ line, at: own }) => (line.changedOn ? line.changedOn <= date : own <= at))

const foldOf = (fold: MassFold, lines: readonly DoneLine[], sits: (line: DoneLine) => LedgerLine): MassFold =>
  foldMass(
    fold,
    lines.flatMap((line) => pointsOf(sits(line))),
  )

/** The lines of one list that the other lacks. */
const without = (lines: readonly DoneLine[], others: readonly DoneLine[]): DoneLine[] => {
  const known = new Set(others)
  return lines.filter((line) => !known.has(line))
}

/** A mass changed by lines that came after it, or taken back by lines that came before their stage. */
const changedBy = (mass: Known, added: readonly LedgerLine[], taken: readonly LedgerLine[] = []): Known =>
  added.length + taken.length === 0
    ? mass
    : sumKnown([
        { known: mass, times: 1 },
        ...added.map((line) => ({ known: sharedMass(line), times: lineSign(line) })),
        ...taken.map((line) => ({ known: sharedMass(line), times: -lineSign(line) })),
      ])

/**
 * Folds a build into one summary for each stage: base car plus all swaps up to it, beside what was weighed
 * and pulled. Nothing here is stored; it is computed from the records each time.
 *
 * A weighing belongs to its day. It is compared with what was fitted on it, and what was fitted since is added to it.
 *
 * @param inputs the build's records
 * @returns one summary a stage, in order
 */
export function stageSummaries(inputs: StageInputs): StageSummary[] {
  let base = foldMass(EMPTY_FOLD, [basePoint(inputs.build)])
  let all = base
  let fitted = base
  let plannedPower: Known | null = null
  let openLinesSoFar = 0
  let anchor: { readonly anchor: Anchor; readonly lines: readonly DoneLine[] } | null = null
  const linesOf = inputs.stages.map((stage) => inputs.linesOf(stage.id))
  const done = linesOf.flatMap((lines, at) =>
    lines.flatMap((line): DoneLine[] => (line.fitted ? [{ line, at }] : [])),
  )
  const openSoFar: LedgerLine[] = []
  const cuts = inputs.stages.map((stage) => inputs.cutOf?.(stage.id) ?? null)

  return inputs.stages.map((stage, at) => {
    const build = inputs.buildOf?.(stage.id) ?? inputs.build
    const reference = aboard(build.reference, build)
    const lines = linesOf[at]!
    // Where a line of an earlier stage sits now: what is behind a cut has come forward since.
    const sits = ({ line, at: own }: DoneLine): LedgerLine =>
      lineAfterCuts(
        line,
        cuts.slice(own + 1, at + 1).filter((cut) => cut !== null),
      )
    const anchorNow = (upTo: readonly DoneLine[]): Anchor | null =>
      anchor && { ...anchor.anchor, fold: foldOf(anchor.anchor.fold, without(upTo, anchor.lines), sits) }
    if (cuts[at]) {
      base = foldMass(EMPTY_FOLD, [basePoint(build)])
      const before = linesOf.slice(0, at).flatMap((of, own) => of.map((line) => ({ line, at: own })))
      all = foldOf(base, before, sits)
      fitted = foldOf(
        base,
        before.filter(({ line }) => line.fitted),
        sits,
      )
      // What the scales said of the longer car says nothing of where the mass of this one sits.
      anchor = null
    }
    all = foldMass(all, lines.flatMap(pointsOf))
    fitted = foldMass(fitted, lines.filter((l) => l.fitted).flatMap(pointsOf))
    const doneSoFar = done.filter((l) => l.at <= at)
    const open = lines.filter((l) => !l.fitted)
    openLinesSoFar += open.length
    openSoFar.push(...open)
    const planned = stateOf(foldMass(all, reference))
    const asFitted = stateOf(foldMass(fitted, reference))
    const before = anchorNow(doneSoFar)

    const weighIns = inputs.weighIns
      .filter((w) => w.stageId === stage.id)
      .sort((a, b) => a.date.localeCompare(b.date))
      .map((weighIn) => {
        const onIt = doneBy(done, at, weighIn.date)
        const isAll = onIt.length === doneSoFar.length && without(onIt, doneSoFar).length === 0
        const reading = readWeighIn(
          weighIn,
          build,
          isAll ? fitted : foldOf(base, onIt, sits),
          anchorNow(onIt),
          stateName(onIt, done),
        )
        if (reading.balance.verdict === 'balance' && weighIn.readings.method !== 'axles')
          anchor = { anchor: anchorAt(weighIn, build), lines: onIt }
        return { reading, onIt }
      })
    const newest = weighIns.at(-1) ?? null
    const weighed = newest?.reading ?? null

    if (stage.plannedWheelPower !== null) {
      const { plannedWheelPower: power, plannedPowerGrade: grade } = stage
      plannedPower = named(power, grade, { [doubtName.planned(stage.id)]: defaultSigma(power, grade) })
    }
    const measuredPower = stageWheelPower(stage.id, inputs.dynoDays, inputs.pulls, build.powerBasis)
    const made: MassOnScales | null = newest && {
      weighed: onReference(
        newest.reading,
        weighIns.map((w) => w.reading),
      ),
      added: without(doneSoFar, newest.onIt).map((l) => l.line),
      taken: without(newest.onIt, doneSoFar).map((l) => l.line),
    }
    const onScales = made && changedBy(made.weighed, made.added, made.taken)
    const standingMass = onScales ?? asFitted.mass
    const finishedMass = onScales ? changedBy(onScales, openSoFar) : planned.mass
    const isDone = openLinesSoFar === 0
    const mass = onScales ?? planned.mass
    const pulled = measuredPower?.power ?? null
    const standing = carNow(standingMass, onScales ? 'scales' : 'books', pulled, 'dyno')
    const isPulledLast = pulled !== null && (isDone || stage.plannedWheelPower === null)
    const finalPower = isPulledLast ? pulled : (plannedPower ?? pulled)
    return {
      stageId: stage.id,
      planned,
      asFitted,
      fitted,
      anchor: before,
      openLines: open.length,
      openLinesSoFar,
      plannedFront: frontShare(planned.centre.x, build.wheelbase),
      weighed,
      onScales: made,
      weighIns: weighIns.map((w) => w.reading),
      standing,
      finished: carNow(
        finishedMass,
        !isDone ? 'plan' : standing.massFrom,
        finalPower,
        finalPower === pulled && pulled ? 'dyno' : 'plan',
      ),
      mass,
      massFrom: onScales ? 'scales' : isDone ? 'books' : 'plan',
      plannedPower,
      measuredPower,
      plannedPowerToWeight: carried(plannedPower, planned.mass),
    }
  })
}

/**
 * What the scales say of a state of the car: two weighings or more that agree prove it, whatever the books guess; else the
 * newest, which books of like quality prove.
 */
function onReference(newest: WeighInReading, all: readonly WeighInReading[]): Known {
  const { total } = repeatReadings(all.filter((reading) => reading.state === newest.state))
  if (total.grade === 'proven') return total
  return { ...newest.atReference, grade: newest.proves ? 'proven' : 'measured' }
}

function carNow(
  mass: Known,
  massFrom: CarNow['massFrom'],
  power: Known | null,
  powerFrom: 'dyno' | 'plan',
): CarNow {
  return { mass, massFrom, power, powerFrom: power && powerFrom, powerToWeight: carried(power, mass) }
}

/** A name for which of all done lines were on the car. */
const stateName = (lines: readonly DoneLine[], all: readonly DoneLine[]): string => {
  const on = new Set(lines)
  return all.flatMap((line, i) => (on.has(line) ? [] : [i])).join(' ')
}

/** Power to weight, where there is power and the car still weighs something. */
const carried = (power: Known | null, mass: Known): Known | null =>
  power && mass.value > 0 ? powerToWeight(power, mass) : null
