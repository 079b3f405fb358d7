import { CONFIDENCE } from '../evidence/judge'
import { valueOnLine } from '../numeric/valueOnLine'
import { heatOfStop, type StoppedCar } from './discHeat'

/** A stop of a lap. SI. */
export interface LapStop {
  /** m/s */
  readonly from: number
  readonly to: number
  /** Since the stop before, s. */
  readonly after: number
}

export interface StopHeat {
  /** Of the discs over the air, K, as it begins and as it ends. */
  readonly before: number
  readonly after: number
}

/** Laps after which discs are as hot as they get, within a thousandth. */
const MOST_LAPS = 200

/**
 * How hot discs get over the stops of a lap, the first time round and once every lap is like the one before.
 *
 * @param discs what of the car they stop, and what they are made of
 * @param cooling time in which what is left falls to a third and a bit (1/e), s
 * @returns each stop of the first lap, and of the settled one; K over the air
 * @throws {RangeError} as {@link heatOfStop} does; for a cooling of nothing
 * @source energy of each stop, and Newton's law of cooling between them
 * @example lapHeat(discs, [{ from: 50, to: 0, after: 60 }], 120).settled[0].after // 298.8
 */
export function lapHeat(
  discs: StoppedCar,
  stops: readonly LapStop[],
  cooling: number,
): { readonly first: readonly StopHeat[]; readonly settled: readonly StopHeat[] } {
  if (!(cooling > 0)) throw new RangeError('cooling takes time')
  const rises = stops.map(({ from, to }) => heatOfStop(discs, from, to))
  const lap = (begins: number): StopHeat[] => {
    let at = begins
    return stops.map(({ after }, i) => {
      const before = at * Math.exp(-after / cooling)
      at = before + rises[i]!
      return { before, after: at }
    })
  }
  const first = lap(0)
  let settled = first
  for (let i = 0; i < MOST_LAPS; i += 1) {
    const last = settled.at(-1)?.after ?? 0
    const next = lap(last)
    const isSettled = Math.abs((next.at(-1)?.after ?? 0) - last) <= 1e-3 * last
    settled = next
    if (isSettled) break
  }
  return { first, settled }
}

/** A pad's friction at a temperature; any unit that both share. */
export interface PadPoint {
  readonly temperature: number
  readonly friction: number
}

/**
 * A pad's friction between the points of its sheet; beyond them as at the last.
 *
 * @throws {RangeError} for a pad without a point
 * @example padFriction([{ temperature: 373, friction: 0.38 }, { temperature: 573, friction: 0.46 }], 473) // 0.42
 */
export const padFriction = (points: readonly PadPoint[], temperature: number): number =>
  valueOnLine(
    points.map((p) => p.temperature),
    points.map((p) => p.friction),
    temperature,
  )

export type PadWindow = 'below' | 'within' | 'above' | 'both'

/**
 * Whether discs stay where a pad works: too cold is a fault, too.
 *
 * @param temperatures as stops begin, and as they end, in one unit
 * @returns `off`: how far the worst of them lies outside, K; 0 within
 * @example padWindow({ from: 423, to: 873 }, [390], [700]).window // 'below'
 */
export function padWindow(
  pad: { readonly from: number; readonly to: number },
  begins: readonly number[],
  ends: readonly number[],
): { readonly window: PadWindow; readonly off: number } {
  // A pad that works by the end of a stop has still begun it cold.
  const cold = Math.max(0, pad.from - Math.min(...begins))
  const hot = Math.max(0, Math.max(...ends) - pad.to)
  const window = cold > 0 && hot > 0 ? 'both' : cold > 0 ? 'below' : hot > 0 ? 'above' : 'within'
  return { window, off: Math.max(cold, hot) }
}

/** How thick a lining was after so many laps. */
export interface LiningReading {
  readonly laps: number
  /** m */
  readonly thickness: number
}

export interface LiningWear {
  /** m a lap, and one standard uncertainty of it. */
  readonly perLap: number
  readonly sigma: number
  /** Left until it has to go, and the range of 90 %. */
  readonly lapsLeft: number
  readonly range: readonly [number, number]
}

/** What a caliper gauge reads a lining to, m (common practice). */
const GAUGE = 0.0002

/**
 * How fast a lining wears, and how many laps are left, from its thickness new and as measured since.
 *
 * @param fresh thickness at no laps, m
 * @param least at which it has to go, m
 * @returns `null` while nothing has been measured after a lap, or nothing has worn
 * @source least squares through the new thickness; JCGM 100:2008 (GUM), 5.1.2 for its doubt
 * @example liningWear(0.017, 0.004, [{ laps: 40, thickness: 0.0145 }]).lapsLeft // 168
 */
export function liningWear(
  fresh: number,
  least: number,
  readings: readonly LiningReading[],
): LiningWear | null {
  const after = readings.filter(({ laps }) => laps > 0)
  const squares = after.reduce((sum, { laps }) => sum + laps ** 2, 0)
  if (squares === 0) return null
  const perLap = after.reduce((sum, { laps, thickness }) => sum + laps * (fresh - thickness), 0) / squares
  if (!(perLap > 0)) return null
  const left = after.reduce((sum, { laps, thickness }) => sum + (fresh - perLap * laps - thickness) ** 2, 0)
  const scatter = after.length > 1 ? Math.sqrt(left / (after.length - 1)) : 0
  const sigma = Math.max(GAUGE * Math.SQRT2, scatter) / Math.sqrt(squares)
  const now = after.reduce((a, b) => (b.laps > a.laps ? b : a))
  const toGo = Math.max(0, fresh - perLap * now.laps - least)
  const at = (rate: number) => (rate > 0 ? toGo / rate : Infinity)
  return {
    perLap,
    sigma,
    lapsLeft: at(perLap),
    range: [at(perLap + CONFIDENCE * sigma), at(perLap - CONFIDENCE * sigma)],
  }
}
