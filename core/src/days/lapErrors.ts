import { backwards, cholesky, forwards, logDeterminantOf, type Triangular } from '../numeric/cholesky'
import { leastSquares, type LeastSquares } from '../numeric/leastSquares'
import { sumOfSquares } from '../numeric/sampleVariance'

/** Which run a lap belongs to, and where it stands in it: laps that don't count are counted. */
export interface LapPlace {
  readonly run: string
  readonly number: number
}

/** How far runs differ for no reason: one standard deviation in s, and how many runs' worth of evidence that rests on. */
export interface RunOffset {
  readonly seconds: number
  readonly weight: number
}

/** A linear model of laps that hang together within a run, and of runs that differ for no reason. */
export interface LapFit {
  /** Coefficients; errors and covariance are for laps that scatter by one. */
  readonly fit: LeastSquares
  /** From one lap to the next, s. */
  readonly scatter: number
  /** How much of a lap's error the next one has, 0 to 1. */
  readonly correlation: number
  readonly offset: RunOffset
  readonly freedom: number
}

/** Laps of a run are never taken to hang together less than that: what few laps show is too little (simulated). */
export const LEAST_CORRELATION = 0.3
/** Runs differ by that share of a lap for no reason, where the workshop's own repeats don't say (common practice). */
export const USUAL_OFFSET = 0.0025
/** As many runs' evidence as that is what is usual worth (common practice). */
export const USUAL_WEIGHT = 10
const CORRELATIONS = [LEAST_CORRELATION, 0.45, 0.6, 0.75, 0.9]
/** Offsets that are tried, as many times what was expected. */
const TIMES = [0.35, 0.5, 0.71, 1, 1.41, 2, 2.83, 4]
/** Repeats that runs need beyond what trend takes until they say anything of offsets. */
const TAKEN_BY_TREND = 2
/** Of times that are read to a hundredth, s: laps are never more alike. */
const READ_TO = 0.01 / Math.sqrt(12)

/** One run's laps, and the triangle that makes their errors independent and of one. */
interface Block {
  readonly at: readonly number[]
  readonly triangle: Triangular
}

/**
 * The triangles L of each run's covariance L·Lᵀ = R + ratio: laps `n` apart share correlationⁿ of their error, and all of
 * a run share its offset.
 *
 * @param ratio variance of runs' offsets over that of laps
 */
function blocksOf(places: readonly LapPlace[], correlation: number, ratio: number): Block[] {
  const runs = new Map<string, number[]>()
  places.forEach(({ run }, i) => {
    const at = runs.get(run)
    if (at) at.push(i)
    else runs.set(run, [i])
  })
  // Runs whose laps are numbered alike have one triangle.
  const triangles = new Map<string, Triangular>()
  return [...runs.values()].map((at) => {
    const first = places[at[0]!]!.number
    const numbers = at.map((i) => places[i]!.number - first)
    const key = numbers.join()
    const triangle = triangles.get(key) ?? triangleOf(numbers, correlation, ratio)
    triangles.set(key, triangle)
    return { at, triangle }
  })
}

function triangleOf(numbers: readonly number[], correlation: number, ratio: number): Triangular {
  const triangle = cholesky(
    numbers.map((one) => numbers.map((other) => correlation ** Math.abs(one - other) + ratio)),
  )
  if (!triangle) throw new RangeError('laps of a run have numbers of their own')
  return triangle
}

/** A column of all laps, run by run. */
function byRun(
  blocks: readonly Block[],
  column: readonly number[],
  through: (triangle: Triangular, part: readonly number[]) => readonly number[],
): number[] {
  const out = column.map(() => 0)
  for (const { at, triangle } of blocks)
    through(
      triangle,
      at.map((i) => column[i]!),
    ).forEach((x, row) => (out[at[row]!] = x))
  return out
}
const whitened = (blocks: readonly Block[], column: readonly number[]) => byRun(blocks, column, forwards)
/** What each lap weighs in a sum of whitened ones. */
const weightsOf = (blocks: readonly Block[], column: readonly number[]) => byRun(blocks, column, backwards)

interface Tried {
  readonly fit: LeastSquares
  readonly blocks: readonly Block[]
  readonly scatter: number
  readonly correlation: number
  /** s */
  readonly offset: number
  /** −2 ln of the restricted likelihood, with what was expected of the offset. */
  readonly cost: number
}

/**
 * A linear model of lap times whose errors aren't independent: laps of one run hang together (a driver in form, tyres, a
 * wind), and runs differ for no reason that anybody wrote down. Taken for independent, three runs of six laps call a
 * change real that is worth nothing in one of five cases.
 *
 * How much laps hang together is found by restricted likelihood and never taken for less than 0.3; how far runs differ is
 * what was expected, put right by runs on the same thing where there are enough of them.
 *
 * @param columns of the model, each as long as the laps
 * @param times s
 * @param expected of runs' offsets
 * @throws {RangeError} for columns of another length
 * @source restricted maximum likelihood (Patterson and Thompson, Biometrika 58 (1971) 545); floor and usual offset: common
 *   practice
 * @example lapErrors(columns, times, places, { seconds: 0.2, weight: 10 }).correlation // 0.3
 */
export function lapErrors(
  columns: readonly (readonly number[])[],
  times: readonly number[],
  places: readonly LapPlace[],
  expected: RunOffset,
): LapFit & { readonly doubtOf: (weights: readonly number[]) => LapDoubt } {
  const repeats = repeatsIn(columns, places)
  const isTold = repeats > TAKEN_BY_TREND
  const plain = leastSquares(columns, times)
  const tries = CORRELATIONS.flatMap((correlation) =>
    (isTold ? TIMES : [1]).map((larger) =>
      tryErrors(columns, times, places, {
        correlation,
        offset: larger * expected.seconds,
        start: plain.scatter,
        expected,
      }),
    ),
  )
  const best = tries.reduce((a, b) => (b.cost < a.cost ? b : a))
  const offset = {
    seconds: best.offset,
    weight: expected.weight + (isTold ? repeats - TAKEN_BY_TREND : 0),
  }
  return {
    fit: best.fit,
    scatter: best.scatter,
    correlation: best.correlation,
    offset,
    freedom: best.fit.freedom,
    doubtOf: (weights) => doubtAlong(columns, best, offset, weights),
  }
}

/** Runs less what tells them apart already: how many are repeats of another. */
function repeatsIn(columns: readonly (readonly number[])[], places: readonly LapPlace[]): number {
  const runs = new Map<string, string>()
  places.forEach(({ run }, i) => {
    if (!runs.has(run))
      runs.set(
        run,
        columns
          .filter(isSwitch)
          .map((column) => column[i]!)
          .join(),
      )
  })
  return runs.size - new Set(runs.values()).size
}
const isSwitch = (column: readonly number[]) => column.every((x) => x === 0 || x === 1)

function tryErrors(
  columns: readonly (readonly number[])[],
  times: readonly number[],
  places: readonly LapPlace[],
  tried: {
    readonly correlation: number
    readonly offset: number
    /** s, from lap to lap: where to begin. */
    readonly start: number
    readonly expected: RunOffset
  },
): Tried {
  const { correlation, offset, expected } = tried
  let scatter = Math.max(tried.start, READ_TO)
  let blocks: Block[] = []
  let fit: LeastSquares | null = null
  // The ratio of both scatters goes in, and one of them comes out: settled in a few rounds.
  for (let round = 0; round < 4; round += 1) {
    blocks = blocksOf(places, correlation, (offset / scatter) ** 2)
    const own = blocks
    fit = leastSquares(
      columns.map((column) => whitened(own, column)),
      whitened(own, times),
    )
    const next = Math.max(fit.scatter, READ_TO)
    const isSettled = Math.abs(next - scatter) < 0.02 * scatter
    scatter = next
    if (isSettled) break
  }
  const found = fit!
  const determinant = blocks.reduce((sum, { triangle }) => sum + logDeterminantOf(triangle), 0)
  const squares = sumOfSquares(found.residuals)
  const likelihood =
    2 * found.freedom * Math.log(scatter) + squares / scatter ** 2 + determinant + found.logDeterminant
  const prior = expected.weight * (2 * Math.log(offset / expected.seconds) + (expected.seconds / offset) ** 2)
  return { fit: found, blocks, scatter, correlation, offset, cost: likelihood + prior }
}

/**
 * The same of laps that are still to be driven: what a sum of coefficients would be known to.
 *
 * @param columns of the model, each as long as the laps
 * @param weights of the coefficients in the sum
 * @returns an infinite error for what those laps couldn't tell
 * @example plannedDoubt(columns, places, { scatter: 0.3, correlation: 0.3, offset }, [0, 1]).error
 */
export function plannedDoubt(
  columns: readonly (readonly number[])[],
  places: readonly LapPlace[],
  { scatter, correlation, offset }: Pick<LapFit, 'scatter' | 'correlation' | 'offset'>,
  weights: readonly number[],
): LapDoubt {
  const blocks = blocksOf(places, correlation, (offset.seconds / scatter) ** 2)
  const fit = leastSquares(
    columns.map((column) => whitened(blocks, column)),
    places.map(() => 0),
  )
  const isTold = weights.every((weight, i) => weight === 0 || !fit.dependent.includes(i))
  return isTold && fit.freedom > 0
    ? doubtAlong(columns, { fit, blocks, scatter }, offset, weights)
    : { error: Infinity, freedom: 0 }
}

/** The standard error of a sum of coefficients, s, and how many degrees of freedom it is known with. */
export interface LapDoubt {
  readonly error: number
  readonly freedom: number
}

/**
 * A sum of coefficients is a weighted sum of laps: what of its error comes from laps, which these show, and what from
 * runs, which is mostly expected, each with its own freedom (Satterthwaite).
 */
function doubtAlong(
  columns: readonly (readonly number[])[],
  { fit, blocks, scatter }: Pick<Tried, 'fit' | 'blocks' | 'scatter'>,
  offset: RunOffset,
  weights: readonly number[],
): LapDoubt {
  const along = fit.covariance.map((row) => row.reduce((sum, x, i) => sum + x * (weights[i] ?? 0), 0))
  const sum = fit.residuals.map(() => 0)
  columns.forEach((column, c) => {
    if (along[c] === 0) return
    whitened(blocks, column).forEach((x, i) => (sum[i]! += x * along[c]!))
  })
  const all = scatter ** 2 * sum.reduce((s, x) => s + x * x, 0)
  const lap = weightsOf(blocks, sum)
  const ofRuns = Math.min(
    all,
    offset.seconds ** 2 * blocks.reduce((s, { at }) => s + at.reduce((own, i) => own + lap[i]!, 0) ** 2, 0),
  )
  const ofLaps = all - ofRuns
  return {
    error: Math.sqrt(all),
    freedom:
      all > 0
        ? all ** 2 / (ofLaps ** 2 / Math.max(fit.freedom, 1) + ofRuns ** 2 / offset.weight)
        : fit.freedom,
  }
}
