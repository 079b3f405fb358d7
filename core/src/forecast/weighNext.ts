import { defaultSigma } from '../evidence/grade'
import { CONFIDENCE, type Target } from '../evidence/judge'
import { USUAL_GROWTH, type GrowthAllowance } from './growth'
import { drawnPart, isOpen, type ForecastPart } from './forecastMass'
import { skewedTable, TABLE_SIZE } from './skewedTable'
import { normalShare } from '../numeric/normal'

export interface WeighCandidate {
  readonly id: string
  /** How far the finished mass moves between this line's lower and upper tenth, kg either side of expected. */
  readonly low: number
  readonly high: number
  /** Share, 0 to 1, of everything still open in the finished mass that this line holds. */
  readonly share: number
  /** What the finished mass would be known to, kg, with this line and all above it weighed. */
  readonly sigmaAfter: number
}
export interface WeighNext {
  /** The lines worth weighing, most telling first. */
  readonly lines: readonly WeighCandidate[]
  /** Standard uncertainty of the finished mass now, kg. */
  readonly sigmaNow: number
  /** How many from the top are likely to settle the mark; `null` when all of them would not. */
  readonly settles: number | null
  /** Probability, 0 to 1, that weighing those gives a verdict. */
  readonly chance: number
}

/** Likely enough to send somebody to the scale for it. */
const LIKELY = 0.8

/**
 * Which lines to weigh next: those whose weighing narrows the finished mass most, and how many of them settle
 * the mark.
 *
 * Weighing a line replaces its spread by the scale's. The verdict can be given when the mark lies 1.645
 * standard uncertainties off; what the weighing will show isn't known, so the mean is taken to move by what
 * the weighing removes, and the chance of a verdict comes from that.
 *
 * @param parts everything in the forecast
 * @param expected the forecast's mean and spread of the finished mass, kg
 * @param target the mark on mass, or `null` for none
 * @source value of information, Howard, Information Value Theory, IEEE Trans. SSC-2 (1966) 22; the rule is the product's own
 * @example weighNext(parts, { mean: 861, sigma: 4.2 }, { comparator: 'atMost', value: 855, tolerance: 0 }).settles // 1
 */
export function weighNext(
  parts: readonly ForecastPart[],
  expected: { readonly mean: number; readonly sigma: number },
  target: Target | null,
  growth: GrowthAllowance = USUAL_GROWTH,
): WeighNext {
  const tables = new Map<number, Float64Array>()
  const tableOf = (relative: number) => {
    const made = tables.get(relative) ?? skewedTable(relative)
    tables.set(relative, made)
    return made
  }
  const open = parts
    .filter((part) => isOpen(part) && part.sign !== 0)
    .map((part) => {
      const { step, relative } = drawnPart(part, growth, 0)
      const weighed = defaultSigma(step, 'measured')
      const spread = (step * relative) ** 2
      return { id: part.id, step, relative, spread, gain: Math.max(0, spread - weighed ** 2) }
    })
    .sort((a, b) => b.gain - a.gain || (a.id < b.id ? -1 : 1))
  const all = open.reduce((sum, line) => sum + line.spread, 0)
  let variance = expected.sigma ** 2
  const lines = open.map(({ id, step, relative, spread, gain }): WeighCandidate => {
    variance = Math.max(0, variance - gain)
    const table = tableOf(relative)
    const ends = [0.1, 0.9].map((p) => step * (table[Math.floor(p * TABLE_SIZE)]! - 1))
    return {
      id,
      low: Math.min(...ends),
      high: Math.max(...ends),
      share: all > 0 ? spread / all : 0,
      sigmaAfter: Math.sqrt(variance),
    }
  })
  let settles: number | null = null
  let chance = 0
  if (target) {
    for (const [i, line] of [{ sigmaAfter: expected.sigma }, ...lines].entries()) {
      chance = chanceOfVerdict(expected, line.sigmaAfter, target)
      if (chance < LIKELY) continue
      settles = i
      break
    }
  }
  return { lines, sigmaNow: expected.sigma, settles, chance }
}

/** Probability that a verdict can be given once the spread is `after`. */
function chanceOfVerdict(
  { mean, sigma }: { readonly mean: number; readonly sigma: number },
  after: number,
  target: Target,
): number {
  const moves = Math.sqrt(Math.max(0, sigma ** 2 - after ** 2))
  const guard = CONFIDENCE * after
  /** Probability that the mean ends up below a limit. */
  const below = (limit: number) =>
    moves === 0 ? (mean <= limit ? 1 : 0) : normalShare((limit - mean) / moves)
  const { comparator, value, tolerance } = target
  const edge = comparator === 'atMost' ? value + tolerance : value - tolerance
  if (comparator !== 'within') return below(edge - guard) + (1 - below(edge + guard))
  const inside = Math.max(0, below(value + tolerance - guard) - below(value - tolerance + guard))
  return inside + below(value - tolerance - guard) + (1 - below(value + tolerance + guard))
}
