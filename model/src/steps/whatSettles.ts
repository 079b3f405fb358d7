import type { Mark } from '@bold-ballast/contract'
import {
  chanceSettled,
  defaultSigma,
  doubtName,
  doubtSource,
  NO_DOUBTS,
  ratioKnown,
  USUAL_OWN_ERROR,
  whyThis,
  type Doubts,
  type DoubtSource,
  type Known,
} from '@bold-ballast/core'
import type { Car } from '../car/Car'
import type { StepKind } from './step'

/** What a measurement does for a mark. */
export interface Settling {
  readonly kind: StepKind
  /** The line that it weighs. */
  readonly lineId: string | null
  /** What it finds out, by its name. */
  readonly source: string | null
  /** One standard uncertainty of the mark's figure, now and once it is measured. */
  readonly now: number
  readonly then: number
  /** How likely it settles the mark, 0 to 1. */
  readonly chance: number
}

/** Less of a figure's variance than that is not worth a measurement of its own. */
const LEAST_SHARE = 0.05
/** So many parts are named. */
const MOST_PARTS = 3
/** A reading of a whole car on pads, as a share, beside what they are off by themselves (common practice). */
const PADS = 0.0005
/** What a scale is off by itself once it was held against known masses, and a dyno once it was against another. */
const CHECKED: Readonly<Record<'scale' | 'dyno', number>> = { scale: 0.0003, dyno: 0.01 }
/** Three more pulls beside those that there are, and one more weighing, on the same day. */
const REPEATED = Math.SQRT1_2

/**
 * A mark's figure with each source of its doubt by name. What hangs on the mass knows every line; others know what they
 * were worked out with.
 */
export function namedFigure(car: Car, { measure }: Pick<Mark, 'measure'>, value: Known): Known {
  const moment = car.summary.openLinesSoFar > 0 ? 'finished' : 'standing'
  const mass = car.massByName[moment]
  // A mark in another condition moves by what is aboard in it, and is as well known.
  if (measure === 'mass') return { ...value, doubts: mass.doubts ?? NO_DOUBTS }
  const { power } = car.summary[moment]
  if (measure === 'powerToWeight' && power && mass.value > 0)
    return { ...value, doubts: ratioKnown(power, mass).doubts ?? NO_DOUBTS }
  return value
}

/**
 * Measurements that tell most about a mark, off what its figure is in doubt by: what each leaves of its ±, and how likely
 * that settles the mark. A figure that its instrument's own error hides is settled by no repeat.
 *
 * @param value the mark's figure as it is known now
 * @returns in no order; empty where nothing of the doubt has a name that a measurement settles
 * @source {@link whyThis}, {@link chanceSettled}; what is left by a measurement is common practice
 * @example whatSettles(car, mark, known(1200, 'measured', 0)).length // 0
 */
export function whatSettles(car: Car, mark: Mark, value: Known): Settling[] {
  const figure = namedFigure(car, mark, value)
  const { sigma, doubts = NO_DOUBTS } = figure
  if (!(sigma > 0)) return []
  const settling = (
    kind: StepKind,
    then: number,
    about: Partial<Pick<Settling, 'lineId' | 'source'>> = {},
  ): Settling => ({
    kind,
    lineId: null,
    source: null,
    ...about,
    now: sigma,
    then,
    chance: chanceSettled(value, then, mark),
  })
  const left = (gone: number) => Math.sqrt(Math.max(0, sigma ** 2 - gone))
  const why = whyThis(figure).filter(({ share }) => share >= LEAST_SHARE)
  const found: Settling[] = []
  for (const { name, effect } of why) {
    if (name === null) continue
    const source = doubtSource(name)
    const variance = effect ** 2
    if (source.of === 'line') {
      const then = byWeighing(car, source.id, effect, doubts)
      if (then !== null && found.filter((f) => f.kind === 'weighPart').length < MOST_PARTS)
        found.push(settling('weighPart', left(then), { lineId: source.id }))
    }
    if (source.of === 'weighing')
      found.push(settling('weighCar', left(variance * (1 - REPEATED ** 2)), { source: name }))
    if (source.of === 'dyno' || (source.of === 'shared' && source.with.startsWith('scale '))) {
      const is = source.of === 'dyno' ? 'dyno' : 'scale'
      const checked = Math.min(1, (CHECKED[is] * Math.abs(value.value)) / Math.abs(effect))
      found.push(settling('checkInstrument', left(variance * (1 - checked ** 2)), { source: name }))
    }
  }
  const pulls = sumOfSquares(doubts, (name) => doubtSource(name).of === 'pull')
  if (pulls >= LEAST_SHARE * sigma ** 2) found.push(settling('pull', left(pulls * (1 - REPEATED ** 2))))
  const whole = weighedWhole(car, mark, value, doubts)
  if (whole !== null && whole < sigma && !found.some((f) => f.kind === 'weighCar'))
    found.push(settling('weighCar', whole))
  return found.filter(({ now, then }) => now ** 2 - then ** 2 >= LEAST_SHARE * now ** 2)
}

const sumOfSquares = (doubts: Doubts, of: (name: string) => boolean): number =>
  Object.entries(doubts).reduce((sum, [name, effect]) => (of(name) ? sum + effect ** 2 : sum), 0)

/** How much of the variance goes where a line that is guessed or claimed is weighed; null where it was weighed. */
function byWeighing(car: Car, lineId: string, effect: number, doubts: Doubts): number | null {
  const line = car.swaps.flatMap((s) => s.counted).find((l) => l.id === lineId)
  if (!line || (line.grade !== 'guess' && line.grade !== 'claim')) return null
  const stated = line.sigma ?? defaultSigma(line.mass, line.grade)
  const weighed = effect ** 2 * (1 - Math.min(1, defaultSigma(line.mass, 'measured') / stated) ** 2)
  if (!line.sharing) return weighed
  // A part that was weighed leans no more with the others.
  const lean = doubts[doubtName.shared(line.sharing.with)] ?? 0
  const own = (effect / stated) * line.sharing.relative * line.mass
  return weighed + lean ** 2 - (lean - own) ** 2
}

/**
 * What is left where the whole car is weighed as it stands: what its scales are off by, and what isn't its mass. Null for a
 * figure that doesn't hang on the mass, or whose mass the scales have said.
 */
function weighedWhole({ summary }: Car, { measure }: Mark, value: Known, doubts: Doubts): number | null {
  if ((measure !== 'mass' && measure !== 'powerToWeight') || summary.onScales) return null
  const mass = summary.standing.mass.value
  if (mass <= 0) return null
  const stays = sumOfSquares(doubts, (name) => !OF_MASS.has(doubtSource(name).of))
  const slope = measure === 'mass' ? 1 : value.value / mass
  return Math.hypot(Math.sqrt(stays), slope * mass * Math.hypot(PADS, USUAL_OWN_ERROR.pads))
}

const OF_MASS: ReadonlySet<DoubtSource['of']> = new Set(['line', 'shared', 'bought', 'aboard', 'weighing'])
