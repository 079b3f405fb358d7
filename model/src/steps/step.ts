import type { Mark } from '@bold-ballast/contract'

/** What a step is: a measurement that settles something, work that gains something, or a link that stops what comes. */
export type StepKind =
  | 'weighCar'
  | 'weighCorners'
  | 'weighPart'
  | 'pull'
  | 'checkInstrument'
  | 'logDownforce'
  | 'sayPitch'
  | 'measureForClass'
  | 'drive'
  | 'typeIn'
  | 'finishSwap'
  | 'bringForward'
  | 'findKilos'
  | 'findPower'
  | 'strengthen'
  | 'trim'
  | 'support'
  | 'turnBar'
  | 'turnBrakeBar'
  | 'mendRules'

export interface Step {
  /** The same step has the same key, so that it is offered once and is known again when it was taken on. */
  readonly key: string
  readonly kind: StepKind
  /** Marks that it settles or moves. */
  readonly marks: readonly Mark[]
  /** The line, swap or component it is about. */
  readonly lineId: string | null
  readonly swapId: string | null
  readonly componentId: string | null
  /** What it finds out, by the name of that doubt. */
  readonly source: string | null
  /** What a measurement does for one of its marks; null for what measures nothing, or where nothing was known before. */
  readonly certainty: Certainty | null
  /** What it takes, s, guessed where nobody said; and in money, where somebody did. */
  readonly workTime: number
  readonly cost: number | null
  /** kg that it puts on the car, below zero where it takes some off; null where nobody knows. */
  readonly kilograms: number | null
  /** W at the wheels that it has to find. */
  readonly watts: number | null
  /** How much of what is open it closes, marks weighted; 1 settles one mark. */
  readonly worth: number
}

/** What a measurement leaves of a figure's ±, and how likely that settles its mark. */
export interface Certainty {
  readonly mark: Mark
  /** One standard uncertainty of the mark's figure, now and then. */
  readonly now: number
  readonly then: number
  /** 0 to 1 */
  readonly chance: number
}

export const RANKED_BY = ['hour', 'money', 'kilo'] as const
/** What is scarce: time, money, or mass that the car may still gain. */
export type RankedBy = (typeof RANKED_BY)[number]

const HOUR = 3600
/** Less than that isn't counted apart (common practice). */
const LEAST_TIME = 0.1 * HOUR
/** What an hour at the bench is worth beside money that is spent, in the build's currency (common practice). */
const HOUR_COSTS = 40
/** A kilo more is as bad as so many hours, where kilos are what is scarce (common practice). */
const KILO_TAKES = 2 * HOUR

/** What a step is worth for what is scarce; only good for comparing. */
export function scoreOf({ worth, workTime, cost, kilograms }: Step, by: RankedBy): number {
  const time = Math.max(LEAST_TIME, workTime)
  switch (by) {
    case 'hour':
      return (worth * HOUR) / time
    case 'money':
      return worth / (Math.max(0, cost ?? 0) + (time / HOUR) * HOUR_COSTS)
    case 'kilo':
      return (worth * HOUR) / (time + Math.max(0, kilograms ?? 0) * KILO_TAKES)
  }
}

/**
 * Steps by what they save on a lap for each hour that they take, the most first; those that save nothing there after
 * them, by the hour.
 *
 * @param gains s saved on a lap, by the keys of steps
 */
export function rankByLap(steps: readonly Step[], gains: ReadonlyMap<string, number>): Step[] {
  const anHour = (step: Step) =>
    (Math.max(0, gains.get(step.key) ?? 0) * HOUR) / Math.max(LEAST_TIME, step.workTime)
  return rankSteps(steps, 'hour').sort((a, b) => anHour(b) - anHour(a))
}

/** Steps by what they are worth for what is scarce, the best first. */
export const rankSteps = (steps: readonly Step[], by: RankedBy): Step[] =>
  [...steps].sort((a, b) => scoreOf(b, by) - scoreOf(a, by) || a.key.localeCompare(b.key))
