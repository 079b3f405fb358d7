import {
  defaultSigma,
  totalsOfStage,
  type MarkFigures,
  type MarkReading,
  type Measure,
  type StageSummary,
} from '@bold-ballast/core'
import type { BuildDocument, Line, Mark, Stage } from '../records/kinds'
import { readMark, type Asked } from './stageFigures'
import type { LedgerIndex, SwapWithLines } from './stageInputs'

/** What a step is: a measurement that settles something, work that gains something, or a link that stops what comes. */
export type StepKind =
  | 'weighCar'
  | 'weighCorners'
  | 'weighPart'
  | 'pull'
  | 'logDownforce'
  | 'sayPitch'
  | 'measureForClass'
  | 'drive'
  | 'typeIn'
  | 'finishSwap'
  | 'strengthen'
  | 'trim'
  | 'support'
  | 'mendRules'

export interface Step {
  /** The same step has the same key, so that it is offered once and is known again when it was taken on. */
  readonly key: string
  readonly kind: StepKind
  /** Marks that it settles or moves. */
  readonly marks: readonly Mark[]
  /** The line or swap it is about. */
  readonly lineId: string | null
  readonly swapId: string | null
  /** What it takes, s, guessed where nobody said; and in money, where somebody did. */
  readonly workTime: number
  readonly cost: number | null
  /** kg that it takes off the car, for work in the ledger. */
  readonly kilograms: number | null
  /** For an hour: what it is worth; only good for comparing. */
  readonly score: number
}

const HOUR = 3600
/** How long a step usually takes, s (common practice). */
const TAKES: Record<StepKind, number> = {
  ...{ weighCar: HOUR, weighCorners: 1.5 * HOUR, weighPart: 0.1 * HOUR, pull: 4 * HOUR },
  ...{ logDownforce: 2 * HOUR, sayPitch: 0.2 * HOUR, measureForClass: 0.4 * HOUR, drive: 8 * HOUR },
  ...{ typeIn: 0.3 * HOUR, finishSwap: 3 * HOUR, strengthen: 6 * HOUR, trim: 0.3 * HOUR },
  ...{ support: HOUR, mendRules: 2 * HOUR },
}
/** What settles a figure that rests on nothing but a plan, or on nothing at all. */
const SETTLED_BY: Record<Measure, StepKind> = {
  ...{ mass: 'weighCar', frontShare: 'weighCar', crossShare: 'weighCorners', wheelPower: 'pull' },
  ...{ meanPower: 'pull', powerToWeight: 'pull', quarterMile: 'pull', topSpeed: 'pull' },
  ...{ driftWindow: 'pull', weakestLink: 'typeIn', downforce: 'logDownforce', aeroBalance: 'logDownforce' },
  ...{ groundGap: 'sayPitch', classFails: 'measureForClass', price: 'typeIn', hours: 'typeIn' },
  ...{ noise: 'measureForClass', lapTime: 'drive' },
}
/** What helps a figure that is off. */
const HELPED_BY: Partial<Record<Measure, StepKind>> = {
  ...{ weakestLink: 'strengthen', aeroBalance: 'trim', groundGap: 'support', classFails: 'mendRules' },
}
/** An unsettled verdict is worth so much, a missed one more. */
const SETTLING = 1
const MENDING = 1.5

/** What a swap still takes off or puts on. */
const netOf = ({ counted }: SwapWithLines): number => totalsOfStage([counted]).pending.value
const doubtOf = (l: Pick<Line, 'sigma' | 'mass' | 'grade' | 'quantity'>) =>
  (l.sigma ?? defaultSigma(l.mass, l.grade)) * l.quantity

/**
 * What to do next at a stage, the best first: what settles a verdict most cheaply, what gains most for an hour, and
 * which link stops what is planned.
 *
 * @param figures of the stage
 * @example nextSteps(document, ledger, stage, summary, figures)[0].kind // 'weighCar'
 */
export function nextSteps(
  document: Pick<BuildDocument, 'marks'>,
  ledger: LedgerIndex,
  stage: Stage,
  summary: StageSummary,
  figures: (asked: Asked) => MarkFigures,
): Step[] {
  const found = new Map<string, Step>()
  const offer = (
    kind: StepKind,
    mark: Mark,
    worth: number,
    about: Partial<Pick<Step, 'lineId' | 'swapId' | 'workTime' | 'cost' | 'kilograms'>> = {},
  ) => {
    const subject = about.lineId ?? about.swapId ?? ''
    // What is to be typed in belongs to its own mark.
    const key = [kind, subject, kind === 'typeIn' ? mark.measure : ''].join(' ').trim()
    const workTime = about.workTime ?? TAKES[kind]
    const before = found.get(key)
    found.set(key, {
      ...{ key, kind, lineId: null, swapId: null, cost: null, kilograms: null, ...about, workTime },
      marks: [...(before?.marks ?? []), mark],
      score: (before?.score ?? 0) + (worth * mark.weight * HOUR) / Math.max(0.1 * HOUR, workTime),
    })
  }
  const at = ledger.stages.findIndex((s) => s.id === stage.id)
  const swaps = ledger.stages.slice(0, at + 1).flatMap((s) => ledger.swapsOf(s.id))
  const open = swaps.filter((s) => s.lines.some((l) => !l.fitted))
  const vaguest = swaps
    .flatMap((s) => s.counted)
    .filter((l) => l.grade === 'guess' || l.grade === 'claim')
    .sort((a, b) => doubtOf(b) - doubtOf(a))[0]
  const total = swaps.flatMap((s) => s.counted).reduce((sum, l) => sum + doubtOf(l) ** 2, 0)

  const settle = (mark: Mark, { because }: MarkReading) => {
    const { measure } = mark
    const isMass = measure === 'mass' || measure === 'frontShare'
    const hangsOnMass = isMass || measure === 'powerToWeight'
    if (because === 'stillPlanned' && hangsOnMass && open.length > 0) {
      for (const entry of open) {
        const workTime = entry.swap.workTime ?? TAKES.finishSwap
        offer('finishSwap', mark, SETTLING / open.length, {
          ...{ swapId: entry.swap.id, workTime, cost: entry.swap.cost, kilograms: netOf(entry) },
        })
      }
      if (measure === 'powerToWeight' && !summary.measuredPower) offer('pull', mark, SETTLING)
      return
    }
    if (because === 'tooClose' && hangsOnMass && vaguest && summary.massFrom !== 'scales')
      offer('weighPart', mark, (SETTLING * doubtOf(vaguest) ** 2) / Math.max(1e-9, total), {
        lineId: vaguest.id,
      })
    // What was said of pitch and roll isn't said better by saying it again.
    if (measure === 'groundGap' && because === 'tooClose') return
    offer(SETTLED_BY[measure], mark, SETTLING)
  }
  const mend = (mark: Mark) => {
    const helped = HELPED_BY[mark.measure]
    if (helped) return offer(helped, mark, MENDING)
    if (mark.measure !== 'mass' && mark.measure !== 'powerToWeight') return
    for (const entry of open) {
      const kilograms = netOf(entry)
      if (kilograms >= 0) continue
      const workTime = entry.swap.workTime ?? TAKES.finishSwap
      offer('finishSwap', mark, MENDING * Math.min(1, -kilograms / 10), {
        ...{ swapId: entry.swap.id, workTime, cost: entry.swap.cost, kilograms },
      })
    }
  }
  for (const mark of document.marks.filter((m) => m.stageId === stage.id)) {
    const reading = readMark(figures, mark)
    if (reading.verdict === 'cantTell') settle(mark, reading)
    if (reading.verdict === 'missed') mend(mark)
    // A plan that points the wrong way is mended before it is measured.
    else if (reading.judgement && reading.judgement.margin < 0 && HELPED_BY[mark.measure]) mend(mark)
  }
  return [...found.values()].sort((a, b) => b.score - a.score)
}
