import type { Known } from '../evidence/known'
import { momentSpread, type MassFold } from '../mass/massFold'
import { stateOf } from '../mass/massState'

export interface PlanPoint {
  /** Metres behind the front axle line. */
  readonly x: number
  /** Metres left of the centreline. */
  readonly y: number
}

export interface MissingMass {
  /** Scales less books, kg: positive where the ledger forgot something. */
  readonly mass: Known
  readonly x: Known
  readonly y: Known
  /** The 90 % region on the plan, as points round it; empty where it has no end. */
  readonly region: readonly PlanPoint[]
  /** False where the region reaches farther than a wheelbase either way: then nothing can be said of where. */
  readonly canPlace: boolean
}

/** 90 % point of χ² with two degrees of freedom: −2·ln(0.1). */
const CHI2_90 = -2 * Math.log(0.1)
const DIRECTIONS = 48
/** A wheelbase and a track are good to a few millimetres. */
const WHEEL_PLACING = 0.003

/**
 * What the books lack, and where it sits: Δm = m₂ − m₁, x* = (m₂x₂ − m₁x₁)/Δm, the same for y.
 *
 * The region is Fieller's: a point (x, y) belongs to it while the difference of the moments about that point
 * could be chance. Unlike a spread round x* it stays right where Δm is hardly more than its own error; there
 * it has no end, and the answer is "can't place it".
 *
 * @param books what the ledger predicts
 * @param scales what was weighed, in the same condition, as contributions at the wheels
 * @param wheelbase m
 * @source statics; Fieller, Some Problems in Interval Estimation, J. R. Stat. Soc. B 16 (1954) 175
 * @example locateMissing(books860at1150, scales872front5150, 2.4).x.value // 2.167
 */
export function locateMissing(books: MassFold, scales: MassFold, wheelbase: number): MissingMass {
  const [b, s] = [stateOf(books), stateOf(scales)]
  const difference = s.mass.value - b.mass.value
  const mass: Known = {
    value: difference,
    sigma: Math.hypot(s.mass.sigma, b.mass.sigma),
    grade: 'measured',
  }
  const moment = (axis: 'x' | 'y') =>
    s.mass.value * s.centre[axis].value - b.mass.value * b.centre[axis].value
  const middle = { x: moment('x') / difference, y: moment('y') / difference }
  if (difference === 0 || !Number.isFinite(middle.x)) {
    const nowhere: Known = { value: 0, sigma: Infinity, grade: 'guess' }
    return { mass, x: nowhere, y: nowhere, region: [], canPlace: false }
  }
  const [ofBooks, ofScales] = [momentSpread(books), momentSpread(scales)]
  const spread = (at: PlanPoint) => {
    const [one, two] = [ofBooks(at), ofScales(at)]
    return { xx: one.xx + two.xx, yy: one.yy + two.yy, xy: one.xy + two.xy }
  }
  const here = spread(middle)
  const coordinate = (value: number, variance: number): Known => ({
    value,
    sigma: Math.sqrt(variance) / Math.abs(difference),
    grade: 'measured',
  })
  const farthest = 2 * wheelbase
  /** How improbable a point is: χ² of the moments about it. */
  const improbable = (at: PlanPoint): number => {
    const { xx, yy, xy } = spread(at)
    const [dx, dy] = [(middle.x - at.x) * difference, (middle.y - at.y) * difference]
    return (yy * dx ** 2 - 2 * xy * dx * dy + xx * dy ** 2) / (xx * yy - xy ** 2)
  }
  const region: PlanPoint[] = []
  for (let i = 0; i < DIRECTIONS; i += 1) {
    const turn = (2 * Math.PI * i) / DIRECTIONS
    const along = (r: number) => ({ x: middle.x + r * Math.cos(turn), y: middle.y + r * Math.sin(turn) })
    if (improbable(along(farthest)) < CHI2_90) {
      region.length = 0
      break
    }
    let [inside, outside] = [0, farthest]
    for (let step = 0; step < 24; step += 1) {
      const r = (inside + outside) / 2
      if (improbable(along(r)) < CHI2_90) inside = r
      else outside = r
    }
    region.push(along(inside))
  }
  const xs = region.map((p) => p.x)
  return {
    mass,
    x: coordinate(middle.x, here.xx),
    y: coordinate(middle.y, here.yy),
    region,
    canPlace: region.length > 0 && Math.max(...xs) - Math.min(...xs) < 2 * wheelbase,
  }
}

/**
 * Wheel readings as contributions at the wheels, so that scales and books speak the same language.
 *
 * @param readings each wheel's load with its uncertainty, kg, and where it stands
 */
export const atWheels = (readings: readonly { readonly mass: Known; readonly at: PlanPoint }[]) =>
  readings.map(({ mass, at }) => ({
    mass,
    sign: 1 as const,
    position: { ...at, z: 0 },
    placing: WHEEL_PLACING,
  }))
