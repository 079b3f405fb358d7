import type { PlanPoint } from './locateMissing'

/** A place where ballast may be bolted. */
export interface BallastSpot {
  readonly id: string
  readonly at: PlanPoint
  /** What may hang there at most, kg. */
  readonly limit: number
  /** Share of a mass put here that the front-right and rear-left tyres carry; needed for a cross target. */
  readonly crossShare?: number
}
/** A plate that there is, and how many of it. */
export interface BallastPlate {
  readonly mass: number
  readonly count: number
}
/** A share to reach, and how far off still counts. */
export interface ShareTarget {
  readonly value: number
  readonly tolerance: number
}
export interface BallastInputs {
  /** The car without this ballast: kg, and its centre on the plan. */
  readonly mass: number
  readonly centre: PlanPoint
  /** Cross share without this ballast; needed for a cross target. */
  readonly cross?: number
  readonly wheelbase: number
  /** Mean of the two tracks, m. */
  readonly track: number
  readonly spots: readonly BallastSpot[]
  readonly plates: readonly BallastPlate[]
  /** kg; 0 for none. */
  readonly minimumMass: number
  readonly front?: ShareTarget | null
  readonly left?: ShareTarget | null
  readonly crossTarget?: ShareTarget | null
}
export interface BallastPlan {
  /** Plates at each spot, by the spot's id: how many of each plate, in the order given. */
  readonly plates: Readonly<Record<string, readonly number[]>>
  readonly added: number
  readonly mass: number
  readonly front: number
  readonly left: number
  readonly cross: number | null
}
export type BallastAnswer =
  | { readonly feasible: true; readonly plan: BallastPlan }
  | {
      readonly feasible: false
      /** The plan that comes nearest. */
      readonly nearest: BallastPlan
      /** The limits that it breaks, and what they would have to be. */
      readonly relax: readonly { readonly limit: BallastLimit; readonly to: number }[]
    }
export type BallastLimit = 'minimumMass' | 'front' | 'left' | 'cross'

/**
 * Solves a mixed-integer programme in CPLEX LP text; columns by name, `null` when it can't be met.
 *
 * @param gap how far from the best a plan may stay, in the programme's own measure: nothing better lies between
 */
export type SolveProgramme = (text: string, gap: number) => Readonly<Record<string, number>> | null

interface Row {
  readonly limit: BallastLimit
  /** Coefficient of a kilogram at each spot. */
  readonly each: readonly number[]
  readonly sense: '>=' | '<='
  readonly right: number
}

/** Shares count a hundred times a kilogram when nothing fits and the nearest is wanted. */
const SHARE_WEIGHT = 100

/**
 * Ballast: plates at allowed spots that reach a minimum mass and the wanted shares with the least added mass.
 *
 * Every share is a ratio, but "the front share is at most s" is linear in the plates once both sides are
 * multiplied by the total: Σ m·(x_limit − x) has a sign. So it is a small mixed-integer programme. Where it
 * can't be met, the same with slack tells which limits stand in the way, and how far they would have to move.
 *
 * @param solve hands the programme to a solver; handed in, because nothing here loads one
 * @throws {RangeError} for no spots, no plates, or a cross target without what it needs
 * @source statics; the elastic programme is common practice in linear programming
 * @example planBallast({ ...car, minimumMass: 780, front: { value: 0.51, tolerance: 0.002 } }, solve)
 */
export function planBallast(inputs: BallastInputs, solve: SolveProgramme): BallastAnswer {
  const { spots, plates } = inputs
  if (spots.length === 0) throw new RangeError('there is no spot to put ballast: add one')
  if (plates.length === 0 || plates.every((p) => p.count <= 0))
    throw new RangeError('there are no plates: say which sizes there are')
  const rows = rowsOf(inputs)
  const found = solve(programme(inputs, rows, false), 0.9 * grain(plates))
  if (found) return { feasible: true, plan: planFrom(inputs, found) }
  const nearest = solve(programme(inputs, rows, true), 1e-3)
  if (!nearest) throw new RangeError('no plan was found even with all limits loosened')
  const plan = planFrom(inputs, nearest)
  const reached: Record<BallastLimit, number | null> = {
    minimumMass: plan.mass,
    front: plan.front,
    left: plan.left,
    cross: plan.cross,
  }
  const broken = [...new Set(rows.filter((_, i) => (nearest[`slack${i}`] ?? 0) > 1e-6).map((r) => r.limit))]
  return { feasible: false, nearest: plan, relax: broken.map((limit) => ({ limit, to: reached[limit]! })) }
}

function rowsOf(inputs: BallastInputs): Row[] {
  const { mass, centre, wheelbase, track, spots, minimumMass, front, left, crossTarget } = inputs
  const rows: Row[] = []
  if (minimumMass > 0)
    rows.push({ limit: 'minimumMass', each: spots.map(() => 1), sense: '>=', right: minimumMass - mass })
  /** A share that a kilogram at a spot has of its own, and the car has without ballast. */
  const bound = (limit: BallastLimit, target: ShareTarget, own: number, each: readonly number[]) => {
    const { value, tolerance } = target
    for (const [edge, sense] of [
      [value - tolerance, '>='],
      [value + tolerance, '<='],
    ] as const) {
      rows.push({ limit, each: each.map((share) => share - edge), sense, right: mass * (edge - own) })
    }
  }
  const frontOf = (at: PlanPoint) => 1 - at.x / wheelbase
  const leftOf = (at: PlanPoint) => 0.5 + at.y / track
  if (front)
    bound(
      'front',
      front,
      frontOf(centre),
      spots.map((s) => frontOf(s.at)),
    )
  if (left)
    bound(
      'left',
      left,
      leftOf(centre),
      spots.map((s) => leftOf(s.at)),
    )
  if (crossTarget) {
    if (inputs.cross === undefined || spots.some((s) => s.crossShare === undefined))
      throw new RangeError('a cross target needs the car’s cross weight and its wheel rates')
    bound(
      'cross',
      crossTarget,
      inputs.cross,
      spots.map((s) => s.crossShare!),
    )
  }
  return rows
}

/** The smallest step that sums of the plates can differ by, kg, to the gram: plans of one mass are alike. */
function grain(plates: readonly BallastPlate[]): number {
  const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b))
  return plates.reduce((g, plate) => gcd(g, Math.round(plate.mass * 1000)), 0) / 1000
}

const name = (spot: number, plate: number) => `n${spot}_${plate}`

/** Signed terms of a row: `+ 2 a - 3 b`. */
const terms = (parts: readonly (readonly [number, string])[]) =>
  parts.map(([by, of]) => `${by < 0 ? '-' : '+'} ${Math.abs(by)} ${of}`).join(' ')

function programme(inputs: BallastInputs, rows: readonly Row[], elastic: boolean): string {
  const { spots, plates, mass } = inputs
  const every = spots.flatMap((_, i) => plates.map((plate, p) => ({ i, p, plate, name: name(i, p) })))
  // Of two plans of one mass the one with fewer plates.
  const cost = every.map(({ plate, name }) => [(elastic ? 1e-3 : 1) * plate.mass + 1e-4, name] as const)
  const slack = rows.map(
    (row, i) => [row.limit === 'minimumMass' ? 1 : SHARE_WEIGHT / mass, `slack${i}`] as const,
  )
  const lines = rows.map((row, i) => {
    const own = every.map(({ i: spot, plate, name }) => [row.each[spot]! * plate.mass, name] as const)
    const help = elastic ? [[row.sense === '>=' ? 1 : -1, `slack${i}`] as const] : []
    return ` r${i}: ${terms([...own, ...help])} ${row.sense} ${row.right}`
  })
  const hold = spots.map((spot, i) => {
    const here = every.filter((e) => e.i === i).map(({ plate, name }) => [plate.mass, name] as const)
    return ` spot${i}: ${terms(here)} <= ${spot.limit}`
  })
  const stock = plates.map((plate, p) => {
    const these = every.filter((e) => e.p === p).map(({ name }) => [1, name] as const)
    return ` stock${p}: ${terms(these)} <= ${plate.count}`
  })
  return [
    'Minimize',
    ` obj: ${terms([...cost, ...(elastic ? slack : [])])}`,
    'Subject To',
    ...lines,
    ...hold,
    ...stock,
    'General',
    ` ${every.map((e) => e.name).join(' ')}`,
    'End',
  ].join('\n')
}

function planFrom(inputs: BallastInputs, columns: Readonly<Record<string, number>>): BallastPlan {
  const { spots, plates, mass, centre, wheelbase, track, cross } = inputs
  const counts = spots.map((_, i) => plates.map((_, p) => Math.round(columns[name(i, p)] ?? 0)))
  const at = counts.map((row) => row.reduce((sum, n, p) => sum + n * plates[p]!.mass, 0))
  const added = at.reduce((a, b) => a + b, 0)
  const total = mass + added
  const mean = (own: number, each: (spot: BallastSpot) => number) =>
    (mass * own + spots.reduce((sum, spot, i) => sum + at[i]! * each(spot), 0)) / total
  const knowsCross = cross !== undefined && spots.every((s) => s.crossShare !== undefined)
  return {
    plates: Object.fromEntries(spots.map((spot, i) => [spot.id, counts[i]!])),
    added,
    mass: total,
    front: 1 - mean(centre.x, (s) => s.at.x) / wheelbase,
    left: 0.5 + mean(centre.y, (s) => s.at.y) / track,
    cross: knowsCross ? mean(cross, (s) => s.crossShare!) : null,
  }
}
