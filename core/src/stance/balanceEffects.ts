import { normalPair } from '../numeric/normalPair'
import { randomBits } from '../numeric/randomBits'
import { quantileOf } from '../numeric/quantileOf'
import { STANDARD_GRAVITY } from '../units/constants'
import { rollBalance, rollInto, type RollAxle, type RollCar } from './rollBalance'

/** One standard uncertainty of each figure of an axle, in its own unit. */
export type RollAxleSigma = Omit<RollAxle, 'unsprungHeight'>
/** The same of a car; its wheelbase is known. */
export interface RollCarSigma {
  readonly mass: number
  readonly centre: { readonly x: number; readonly z: number }
  readonly front: RollAxleSigma
  readonly rear: RollAxleSigma
}

/** What might be changed on a car: another figure of an axle, or its centre of mass lower, higher or elsewhere. */
export type BalanceChange =
  | {
      readonly axle: 'front' | 'rear'
      readonly figure: 'bar' | 'wheelRate' | 'tyreRate' | 'track' | 'rollCentre'
      /** The new value itself, in its unit. */
      readonly to: number
    }
  | { readonly axle: null; readonly figure: 'height' | 'back'; readonly to: number }

export interface BalanceFigures {
  /** Front share of the transfer, 0 to 1. */
  readonly share: number
  /** Roll, rad for each m/s². */
  readonly roll: number
  /** Sideways acceleration at which the first inside wheel lifts, m/s². */
  readonly liftsAt: number
}
export interface BalanceEffect {
  /** With the change, and what it adds to the figures without. */
  readonly after: BalanceFigures
  readonly adds: BalanceFigures
  /** One standard uncertainty of what it adds. */
  readonly doubt: BalanceFigures
}
export interface BalanceEffects {
  readonly now: BalanceFigures
  readonly doubt: BalanceFigures
  /** 5 % to 95 % of the draws of the front share. */
  readonly share90: readonly [number, number]
  /** One for each change, in their order. */
  readonly effects: readonly (BalanceEffect | null)[]
}

/** A car with one thing changed; what else there is stays. */
export function changedCar(car: RollCar, change: BalanceChange): RollCar {
  if (change.axle === null) {
    const key = change.figure === 'height' ? 'z' : 'x'
    return { ...car, centre: { ...car.centre, [key]: change.to } }
  }
  return { ...car, [change.axle]: { ...car[change.axle], [change.figure]: change.to } }
}

/** Share, roll and where the first inside wheel lifts, written into three numbers; false for a car that can't stand. */
function figuresInto(car: RollCar, each: Float64Array, out: Float64Array): boolean {
  if (!rollInto(car, each)) return false
  const [, , angle = 0, front = 0, rear = 0] = each
  const frontMass = 1 - car.centre.x / car.wheelbase
  const half = (car.mass * STANDARD_GRAVITY) / 2
  out[0] = front / (front + rear)
  out[1] = angle
  out[2] = Math.min((half * frontMass) / front, (half * (1 - frontMass)) / rear)
  return true
}
const figuresIf = (car: RollCar): BalanceFigures | null => {
  const out = new Float64Array(3)
  return figuresInto(car, new Float64Array(5), out) ? asFigures(out) : null
}
const asFigures = ([share = 0, roll = 0, liftsAt = 0]: ArrayLike<number> &
  Iterable<number>): BalanceFigures => ({
  share,
  roll,
  liftsAt,
})
const minus = (a: BalanceFigures, b: BalanceFigures): BalanceFigures => ({
  share: a.share - b.share,
  roll: a.roll - b.roll,
  liftsAt: a.liftsAt - b.liftsAt,
})

const AXLE = ['track', 'wheelRate', 'tyreRate', 'bar', 'rollCentre', 'unsprung'] as const

type Mutable<T> = { -readonly [K in keyof T]: T[K] extends number ? T[K] : Mutable<T[K]> }

/** Draws every figure of a car anew, each off by as much as it may be, each by itself. */
function draw(into: Mutable<RollCar>, car: RollCar, sigma: RollCarSigma, next: () => number): void {
  const axle = (drawn: Mutable<RollAxle>, of: RollAxle, by: RollAxleSigma) => {
    for (const key of AXLE) {
      const value = of[key] + by[key] * next()
      // A rate or a mass keeps its sign, however doubtful.
      drawn[key] = key === 'rollCentre' ? value : Math.max(of[key] * 0.05, value)
    }
  }
  into.mass = car.mass + sigma.mass * next()
  into.centre.x = car.centre.x + sigma.centre.x * next()
  into.centre.z = car.centre.z + sigma.centre.z * next()
  axle(into.front, car.front, sigma.front)
  axle(into.rear, car.rear, sigma.rear)
}

/** Where a change stands in a car: whose figure it is, and which. */
const placeOf = (car: Mutable<RollCar>, change: BalanceChange) =>
  change.axle === null
    ? { of: car.centre as Record<string, number>, key: change.figure === 'height' ? 'z' : 'x' }
    : { of: car[change.axle] as Record<string, number>, key: change.figure }

/** How a change on the typed car stands on a drawn one: a bar that comes off is off, a stiffer one stiffer in proportion. */
const isAdded = ({ axle, figure }: BalanceChange) =>
  axle === null || figure === 'rollCentre' || figure === 'track'

/** A car of its own, that can be written into. */
const copyOf = (car: RollCar): Mutable<RollCar> => ({
  ...car,
  centre: { ...car.centre },
  front: { ...car.front },
  rear: { ...car.rear },
})

/** Sums of three figures and their squares, about a value near them, so that nothing cancels. */
class Spread {
  private count = 0
  private readonly sums = new Float64Array(3)
  private readonly squares = new Float64Array(3)
  constructor(private readonly about: Float64Array) {}
  add(values: Float64Array, less: Float64Array | null): void {
    this.count += 1
    for (let i = 0; i < 3; i += 1) {
      const off = values[i]! - (less ? less[i]! : 0) - this.about[i]!
      this.sums[i] = this.sums[i]! + off
      this.squares[i] = this.squares[i]! + off * off
    }
  }
  get sigma(): BalanceFigures {
    const n = this.count
    return asFigures(
      this.sums.map((sum, i) =>
        n > 1 ? Math.sqrt(Math.max(0, this.squares[i]! - (sum * sum) / n) / (n - 1)) : 0,
      ),
    )
  }
}

/**
 * What each of several changes does to the balance of a car in roll, with its doubt: all figures drawn within theirs, the
 * same draw with and without the change, so that what both have in common cancels.
 *
 * @param sigma one standard uncertainty of each figure
 * @param changes each by itself; what no car can have, such as a body that no spring holds, comes back as `null`
 * @throws {RangeError} as {@link rollBalance} does, for the car itself; for fewer than ten draws
 * @source Monte Carlo propagation, JCGM 101:2008, clause 7
 * @example balanceEffects(carS, sigmaS, [{ axle: 'rear', figure: 'bar', to: 0 }]).effects[0].adds.share // 0.0189
 */
export function balanceEffects(
  car: RollCar,
  sigma: RollCarSigma,
  changes: readonly BalanceChange[],
  { draws = 2000, seed = 1 }: { readonly draws?: number; readonly seed?: number } = {},
): BalanceEffects {
  if (!(draws >= 10)) throw new RangeError('ten draws are the least')
  // Throws where the car itself can't stand.
  rollBalance(car, 1)
  const each = new Float64Array(5)
  const nowIs = new Float64Array(3)
  figuresInto(car, each, nowIs)
  const now = asFigures(nowIs)
  const after = changes.map((change) => figuresIf(changedCar(car, change)))
  const bits = randomBits(seed)
  let spare: number | null = null
  const next = () => {
    if (spare !== null) {
      const value = spare
      spare = null
      return value
    }
    const [first, second] = normalPair(bits)
    spare = second
    return first
  }
  const own = new Spread(nowIs)
  const added = after.map(
    (figures) =>
      new Spread(
        figures
          ? Float64Array.of(figures.share - now.share, figures.roll - now.roll, figures.liftsAt - now.liftsAt)
          : new Float64Array(3),
      ),
  )
  const [without, changed] = [new Float64Array(3), new Float64Array(3)]
  const shares: number[] = []
  const drawn = copyOf(car)
  const typed = copyOf(car)
  const places = changes.map((change) => {
    const { of, key } = placeOf(drawn, change)
    return { of, key, to: change.to, from: placeOf(typed, change).of[key]!, adds: isAdded(change) }
  })
  for (let d = 0; d < draws; d += 1) {
    draw(drawn, car, sigma, next)
    if (!figuresInto(drawn, each, without)) continue
    shares.push(without[0]!)
    own.add(without, null)
    for (let i = 0; i < places.length; i += 1) {
      const { of, key, to, from, adds } = places[i]!
      const was = of[key]!
      of[key] = adds ? was + (to - from) : from > 0 ? (to / from) * was : to
      const stands = figuresInto(drawn, each, changed)
      of[key] = was
      if (stands) added[i]!.add(changed, without)
    }
  }
  const sorted = Float64Array.from(shares).sort()
  return {
    now,
    doubt: own.sigma,
    share90: [quantileOf(sorted, 0.05), quantileOf(sorted, 0.95)],
    effects: after.map((figures, i) =>
      figures ? { after: figures, adds: minus(figures, now), doubt: added[i]!.sigma } : null,
    ),
  }
}
