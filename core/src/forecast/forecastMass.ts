import { isMeasured } from '../evidence/grade'
import type { Target } from '../evidence/judge'
import type { Known } from '../evidence/known'
import { EMPTY_FOLD, foldMass, momentSpread, placingOf, type MassPoint } from '../mass/massFold'
import { stateOf } from '../mass/massState'
import { USUAL_GROWTH, USUAL_LEAN, type GrowthAllowance, type Lean } from './growth'
import { normalPair } from '../numeric/normalPair'
import { quantileOf } from '../numeric/quantileOf'
import { randomBits } from '../numeric/randomBits'
import { skewedTable } from './skewedTable'

/** A contribution that may still turn out otherwise, with what it is called. */
export interface ForecastPart extends MassPoint {
  readonly id: string
  /** True for what is still to come onto the car: only that grows. */
  readonly grows: boolean
}

export interface ForecastInputs {
  /** Everything, the car as bought first; whoever is aboard included. */
  readonly parts: readonly ForecastPart[]
  readonly wheelbase: number
  readonly growth?: GrowthAllowance
  /** How far guesses, and claims, lean the same way, as shares of what is open. */
  readonly lean?: Lean
  /** Planned or measured wheel power, W, for marks on power to weight. */
  readonly power?: Known | null
  readonly marks?: readonly ForecastMark[]
  readonly draws?: number
  readonly seed?: number
}
export interface ForecastMark {
  readonly id: string
  readonly measure: 'mass' | 'frontShare' | 'powerToWeight'
  readonly target: Target
}

/** Where the middle and the outer tenths of the draws lie. */
export interface Spread {
  readonly p10: number
  readonly p50: number
  readonly p90: number
  readonly mean: number
  readonly sigma: number
}

export interface MassForecast {
  readonly mass: Spread
  readonly frontShare: Spread
  /** Share of the draws in which each mark is met, by the mark's id. */
  readonly probability: Readonly<Record<string, number>>
  /** All drawn masses, sorted, kg. */
  readonly masses: Float64Array
  /** All drawn front shares, sorted. */
  readonly fronts: Float64Array
  readonly draws: number
}

const TEN_BITS = 1023

/**
 * What the finished car will weigh, and where: Monte Carlo over everything that nobody has weighed yet.
 *
 * What is measured is normal, and the sum of normals needs no drawing: its mean, its spread and how mass and
 * moment hang together come from the fold. What is guessed or claimed is drawn line by line from a skewed
 * table, and what is still to come is expected to grow by its grade's allowance. Guesses lean the same way: an error
 * common to all of a grade comes on top, which no number of lines averages out.
 *
 * @param inputs the parts; `draws` 20,000 unless stated
 * @throws {RangeError} when nothing is left of the car
 * @source Monte Carlo propagation, JCGM 101:2008, clause 7; the growth allowance as {@link USUAL_GROWTH}
 * @example forecastMass({ parts, wheelbase: 2.4 }).mass // { p10: 851, p50: 867, p90: 884, … }
 */
export function forecastMass({
  parts,
  wheelbase,
  growth = USUAL_GROWTH,
  lean = USUAL_LEAN,
  power = null,
  marks = [],
  draws = 20_000,
  seed = 1,
}: ForecastInputs): MassForecast {
  const open = parts.filter(isOpen)
  const settled = foldMass(
    EMPTY_FOLD,
    parts.filter((part) => !isOpen(part)),
  )
  const now = stateOf(foldMass(settled, open))
  if (now.impossible) throw new RangeError('more comes off than the car weighs: a line is wrong')
  const centre = now.centre.x.value
  const mass = new Float64Array(draws)
  const moment = new Float64Array(draws)
  const bits = randomBits(seed)

  // Moments are taken about the centre of now: that keeps mass and moment nearly independent, and small.
  let placing = 0
  const tables = new Map<number, Float64Array>()
  const each = open.map((part) => drawnPart(part, growth, centre))
  for (const { placingVariance } of each) placing += placingVariance
  const known = stateOf(settled)
  const { drawn, together } = splitBySkew(each, known.mass.sigma ** 2)
  for (const { step, arm, relative } of drawn) {
    let table = tables.get(relative)
    if (!table) tables.set(relative, (table = skewedTable(relative)))
    addDraws(mass, moment, table, step, arm, bits)
  }
  const leaning = leanOf(open, each, lean)
  const about = settled.moment.x - centre * settled.placed
  const { xx } = momentSpread(settled)({ x: centre, y: 0 })
  const along = massMoment(settled, centre)
  addNormal(mass, moment, {
    mass: known.mass.value + together.mass,
    moment: about + together.moment,
    massVariance: known.mass.sigma ** 2 + together.massVariance + leaning.massVariance,
    momentVariance: xx + placing + together.momentVariance + leaning.momentVariance,
    covariance: along + together.covariance + leaning.covariance,
    bits,
  })

  const front = moment.map((m, i) => 1 - (centre + m / mass[i]!) / wheelbase)
  const watts = power ? normals(draws, power, bits) : null
  const probability: Record<string, number> = {}
  for (const { id, measure, target } of marks) {
    if (measure === 'powerToWeight' && !watts) continue
    const values =
      measure === 'mass' ? mass : measure === 'frontShare' ? front : mass.map((m, i) => watts![i]! / m)
    probability[id] = values.reduce((n, v) => n + (meets(v, target) ? 1 : 0), 0) / draws
  }
  const fronts = front.slice().sort()
  const masses = mass.sort()
  return { mass: spreadOf(masses), frontShare: spreadOf(fronts), probability, masses, fronts, draws }
}

/** What nobody has weighed: only that is drawn. */
export const isOpen = (part: MassPoint): boolean => !isMeasured(part.mass.grade) && part.mass.value > 0

/** An open part as it is drawn: kilograms and kilogram-metres for each unit of its table. */
export function drawnPart(part: ForecastPart, growth: GrowthAllowance, centre: number) {
  const { mass, sign, position, movedTo } = part
  const grown = part.grows && sign === 1 ? mass.value * (1 + growth[mass.grade]) : mass.value
  const from = position ? position.x - centre : 0
  const arm = sign === 0 ? ((movedTo ?? position)?.x ?? 0) - (position?.x ?? 0) : sign * from
  return {
    step: sign * grown,
    arm: grown * arm,
    // Rounded, so that parts of one grade share a table.
    relative: Math.max(1e-4, Number((mass.sigma / mass.value).toPrecision(3))),
    placingVariance: (grown * placingOf(part, 'x')) ** 2,
  }
}

type Drawn = ReturnType<typeof drawnPart>

/**
 * What the open lines of a grade are off by together: added before it is squared. A car taken whole leans by itself.
 *
 * Optimists underrate what goes on and overrate what comes off: both leave the car heavier.
 */
function leanOf(open: readonly ForecastPart[], each: readonly Drawn[], lean: Lean) {
  const sums = { massVariance: 0, momentVariance: 0, covariance: 0 }
  for (const grade of ['guess', 'claim'] as const) {
    let [mass, moment] = [0, 0]
    open.forEach((part, i) => {
      if (part.whole || part.mass.grade !== grade) return
      const heavier = part.sign === -1 ? -lean[grade] : lean[grade]
      mass += heavier * each[i]!.step
      moment += heavier * each[i]!.arm
    })
    sums.massVariance += mass ** 2
    sums.momentVariance += moment ** 2
    sums.covariance += mass * moment
  }
  return sums
}

/** Skewness of the whole that may be neglected: it moves a tenth by less than a hundredth of the spread. */
const NEGLECTED = 0.05

/**
 * Lines whose skew matters, to be drawn one by one, and the sum of the others, which is as good as normal: many
 * small skewed lines add up to a skewness that falls with the root of their number.
 *
 * @source central limit theorem; the tenth's shift after Cornish & Fisher, Rev. Inst. Int. Stat. 5 (1938) 307,
 * (z² − 1)/6 of the skewness
 */
function splitBySkew(lines: readonly Drawn[], settledVariance: number) {
  const variance = lines.reduce((sum, l) => sum + (l.step * l.relative) ** 2, settledVariance)
  const skewOf = (l: Drawn) => Math.abs((l.step * l.relative) ** 3 * (3 * l.relative + l.relative ** 3))
  const bySkew = [...lines].sort((a, b) => skewOf(b) - skewOf(a))
  let left = NEGLECTED * variance ** 1.5
  let count = bySkew.length
  while (count > 0 && left >= skewOf(bySkew[count - 1]!)) {
    left -= skewOf(bySkew[count - 1]!)
    count -= 1
  }
  const together = { mass: 0, moment: 0, massVariance: 0, momentVariance: 0, covariance: 0 }
  for (const { step, arm, relative } of bySkew.slice(count)) {
    together.mass += step
    together.moment += arm
    together.massVariance += (step * relative) ** 2
    together.momentVariance += (arm * relative) ** 2
    together.covariance += step * arm * relative ** 2
  }
  return { drawn: bySkew.slice(0, count), together }
}

function addDraws(
  mass: Float64Array,
  moment: Float64Array,
  table: Float64Array,
  step: number,
  arm: number,
  bits: () => number,
): void {
  const whole = mass.length - (mass.length % 3)
  let i = 0
  // Three draws from each number: ten bits each.
  for (; i < whole; i += 3) {
    const r = bits()
    const first = table[r & TEN_BITS]!
    const second = table[(r >>> 10) & TEN_BITS]!
    const third = table[(r >>> 20) & TEN_BITS]!
    mass[i]! += step * first
    mass[i + 1]! += step * second
    mass[i + 2]! += step * third
    moment[i]! += arm * first
    moment[i + 1]! += arm * second
    moment[i + 2]! += arm * third
  }
  for (; i < mass.length; i += 1) {
    const value = table[bits() & TEN_BITS]!
    mass[i]! += step * value
    moment[i]! += arm * value
  }
}

/** Covariance of a fold's mass with its moment about a point. */
function massMoment(fold: ReturnType<typeof foldMass>, at: number): number {
  const { weight, weightAt } = fold.axes.x
  const sum = (sums: typeof weight) => Object.values(sums).reduce((a, b) => a + b, 0)
  const shared = Object.values(fold.shared).reduce((s, e) => s + e.mass * (e.x - at * e.mass), 0)
  return sum(weightAt) - at * sum(weight) + shared
}

function addNormal(
  mass: Float64Array,
  moment: Float64Array,
  of: {
    mass: number
    moment: number
    massVariance: number
    momentVariance: number
    covariance: number
    bits: () => number
  },
): void {
  const sigma = Math.sqrt(of.massVariance)
  const slope = of.massVariance > 0 ? of.covariance / of.massVariance : 0
  const rest = Math.sqrt(Math.max(0, of.momentVariance - slope * of.covariance))
  for (let i = 0; i < mass.length; i += 1) {
    const [one, two] = normalPair(of.bits)
    mass[i]! += of.mass + sigma * one
    moment[i]! += of.moment + slope * sigma * one + rest * two
  }
}

function normals(draws: number, known: Known, bits: () => number): Float64Array {
  const values = new Float64Array(draws)
  for (let i = 0; i < draws; i += 1) values[i] = known.value + known.sigma * normalPair(bits)[0]
  return values
}

const meets = (value: number, { comparator, value: wanted, tolerance }: Target): boolean =>
  comparator === 'atMost'
    ? value <= wanted + tolerance
    : comparator === 'atLeast'
      ? value >= wanted - tolerance
      : Math.abs(value - wanted) <= tolerance

function spreadOf(sorted: Float64Array): Spread {
  const mean = sorted.reduce((a, b) => a + b, 0) / sorted.length
  return {
    p10: quantileOf(sorted, 0.1),
    p50: quantileOf(sorted, 0.5),
    p90: quantileOf(sorted, 0.9),
    mean,
    sigma: Math.sqrt(sorted.reduce((sum, v) => sum + (v - mean) ** 2, 0) / sorted.length),
  }
}
