import type { BuildDocument, Mark } from '@bold-ballast/contract'
import { doubtSource, isMeasured, totalsOfStage, type MarkReading } from '@bold-ballast/core'
import { carAt } from '../car/carAt'
import { ladderOf } from '../car/ladderOf'
import { powerOf } from '../car/powerOf'
import { foldBuild } from '../ledger/foldBuild'
import type { SwapWithLines } from '../ledger/stageInputs'
import { readMark } from '../marks/markFigures'
import { shortfall } from '../marks/shortfall'
import { MEASURES_OF_CAR } from '../measures/measuresOfCar'
import type { Step, StepKind } from './step'
import { whatSettles } from './whatSettles'

const HOUR = 3600
/** How long a step usually takes, s (common practice). */
const TAKES: Record<StepKind, number> = {
  weighCar: HOUR,
  weighCorners: 1.5 * HOUR,
  weighPart: 0.1 * HOUR,
  pull: 4 * HOUR,
  checkInstrument: HOUR,
  logDownforce: 2 * HOUR,
  sayPitch: 0.2 * HOUR,
  measureForClass: 0.4 * HOUR,
  drive: 8 * HOUR,
  typeIn: 0.3 * HOUR,
  finishSwap: 3 * HOUR,
  bringForward: 3 * HOUR,
  findPower: 16 * HOUR,
  findKilos: HOUR,
  strengthen: 6 * HOUR,
  trim: 0.3 * HOUR,
  support: HOUR,
  turnBar: 0.2 * HOUR,
  turnBrakeBar: 0.2 * HOUR,
  mendRules: 2 * HOUR,
}
/** Hands on a car for each kilo that nobody has found yet, s (common practice). */
const TIME_A_KILO = 0.8 * HOUR
/** An unsettled verdict is worth so much, a missed one more. */
const SETTLING = 1
const MENDING = 1.5
/** What leaves a mark open is worth that little, for what it tells all the same. */
const LEAST_GAIN = 0.05
/** Kilos and watts below that aren't worth a plan. */
const LEAST_KILOS = 0.5
const LEAST_WATTS = 500
/** Nobody finds more than that of a car in one go. */
const MOST_SHARE = 0.3

/** What a swap still takes off or puts on. */
const netOf = ({ counted }: SwapWithLines): number => totalsOfStage([counted]).pending.value
const isOpen = ({ lines }: SwapWithLines): boolean => lines.some((l) => !l.fitted)

type About = Partial<
  Pick<
    Step,
    'lineId' | 'swapId' | 'componentId' | 'source' | 'certainty' | 'workTime' | 'cost' | 'kilograms' | 'watts'
  >
>

/**
 * What to do next at a stage: what settles a verdict, what brings a mark nearer, and which link stops what is planned.
 * In no order; see `rankSteps`.
 *
 * @example rankSteps(nextSteps(document, stageId), 'hour')[0]?.kind // 'weighCar'
 */
export function nextSteps(document: BuildDocument, stageId: string): Step[] {
  const car = carAt(document, stageId)
  const { summary, swaps } = car
  const found = new Map<string, Step>()
  const offer = (kind: StepKind, mark: Mark, worth: number, about: About = {}) => {
    const subject =
      about.lineId ??
      about.swapId ??
      about.componentId ??
      (kind === 'checkInstrument' ? about.source : null) ??
      ''
    // What is to be typed in belongs to its own mark.
    const key = [kind, subject, kind === 'typeIn' ? mark.measure : ''].join(' ').trim()
    const before = found.get(key)
    const none = { lineId: null, swapId: null, componentId: null, source: null, certainty: null, cost: null, kilograms: null, watts: null } // prettier-ignore
    // Of two marks that lack kilos the one that lacks more says how many.
    const own = { ...none, workTime: TAKES[kind], ...about }
    const said = before && before.workTime > own.workTime ? before : own
    // What it does for the mark that it does most for.
    const surest = [before?.certainty, own.certainty]
      .flatMap((c) => c ?? [])
      .sort((a, b) => b.chance - a.chance)[0]
    found.set(key, {
      ...said,
      certainty: surest ?? null,
      key,
      kind,
      marks: [...(before?.marks ?? []).filter((m) => m.id !== mark.id), mark],
      worth: (before?.worth ?? 0) + worth * mark.weight,
    })
  }
  const { ledger, stages } = foldBuild(document)
  const open = swaps.filter(isOpen)
  const later = stages
    .slice(stages.indexOf(car.stage) + 1)
    .flatMap((s) => ledger.swapsOf(s.id).filter(isOpen))
  const ofSwap = (entry: SwapWithLines, kind: StepKind): About => ({
    swapId: entry.swap.id,
    workTime: entry.swap.workTime ?? TAKES[kind],
    cost: entry.swap.cost,
    kilograms: netOf(entry),
  })

  const settle = (mark: Mark, { because, value }: MarkReading) => {
    const { measure } = mark
    const { hangsOnMass, isDriven, settledBy, canSettle } = MEASURES_OF_CAR[measure]
    if (because === 'stillPlanned' && hangsOnMass && open.length > 0) {
      for (const entry of open) offer('finishSwap', mark, SETTLING / open.length, ofSwap(entry, 'finishSwap'))
      if (measure === 'powerToWeight' && !summary.measuredPower) offer('pull', mark, SETTLING)
      return
    }
    // What its ± is made of says what to measure, and how likely that settles it.
    const settling =
      value && (because === 'tooClose' || because === 'unmeasured') ? whatSettles(car, mark, value) : []
    for (const { kind, lineId, source, now, then, chance } of settling)
      offer(
        kind,
        mark,
        SETTLING * Math.max(LEAST_GAIN, because === 'tooClose' ? chance : 1 - (then / now) ** 2),
        {
          lineId,
          source,
          workTime: source !== null && doubtSource(source).of === 'dyno' ? TAKES.pull : TAKES[kind],
          certainty: { mark, now, then, chance },
        },
      )
    // A claimed power is pulled, however well the mass beside it is known.
    const isClaimed =
      because === 'unmeasured' &&
      measure === 'powerToWeight' &&
      !isMeasured(powerOf(summary)?.grade ?? 'guess')
    if (settling.length > 0 && !isClaimed) return
    // A plan without power or gears behind it is pulled before it is driven.
    if (because === 'workedOut' && isDriven && !summary.measuredPower) offer('pull', mark, SETTLING / 2)
    if (because === 'workedOut' && canSettle && !canSettle(car)) return
    offer(settledBy, mark, SETTLING)
  }
  const strengthen = (mark: Mark) => {
    const replaced = new Set(document.components.map((c) => c.replaces))
    const weak = ladderOf(car).filter((r) => r.margin < mark.value && !replaced.has(r.part.id))
    for (const { part } of weak) {
      const by = part.replacement
      offer('strengthen', mark, MENDING / weak.length, {
        componentId: part.id,
        workTime: by?.workTime ?? TAKES.strengthen,
        cost: by?.price ?? null,
        kilograms: by && part.mass !== null ? by.mass - part.mass : null,
      })
    }
  }
  const findMore = (mark: Mark, reading: MarkReading) => {
    const short = shortfall(mark, reading, car)
    if (!short) return
    const { kilograms, watts } = short
    const closing = (kg: number) => MENDING * Math.min(1, kg / Math.max(LEAST_KILOS, kilograms))
    // What is open already counts in what is short; finishing it brings the rest into sight.
    for (const entry of open)
      if (netOf(entry) < 0)
        offer('finishSwap', mark, MENDING * Math.min(1, -netOf(entry) / 10), ofSwap(entry, 'finishSwap'))
    for (const entry of later)
      if (netOf(entry) < 0 && kilograms > LEAST_KILOS)
        offer('bringForward', mark, closing(-netOf(entry)), ofSwap(entry, 'bringForward'))
    if (kilograms > LEAST_KILOS && kilograms < MOST_SHARE * summary.mass.value)
      offer('findKilos', mark, MENDING, {
        kilograms: -kilograms,
        workTime: Math.max(TAKES.findKilos, kilograms * TIME_A_KILO),
      })
    const power = powerOf(summary)
    if (watts > LEAST_WATTS && power && watts < MOST_SHARE * power.value)
      offer('findPower', mark, MENDING, { watts })
  }
  const mend = (mark: Mark, reading: MarkReading) => {
    const helped = MEASURES_OF_CAR[mark.measure].helpedBy
    if (helped === 'strengthen') return strengthen(mark)
    if (helped) return offer(helped, mark, MENDING)
    findMore(mark, reading)
  }
  for (const mark of document.marks.filter((m) => m.stageId === stageId)) {
    const reading = readMark(car, mark)
    if (reading.verdict === 'cantTell') settle(mark, reading)
    // A plan that points the wrong way is mended before it is measured.
    if (reading.verdict === 'missed' || (reading.judgement && reading.judgement.margin < 0))
      mend(mark, reading)
  }
  return [...found.values()]
}
