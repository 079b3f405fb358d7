import { normalPair } from '../numeric/normalPair'
import { drawRatio } from './promiseRatio'
import { quantileOfTriangle, type Triangle } from './triangle'
import type { WorkNetwork } from './WorkNetwork'

/** What is needed to draw how long everything lasts. */
export interface Durations {
  readonly records: WorkNetwork['records']
  /** Of each item its three guesses, s; 0 where it goes by a promise. */
  readonly short: Float64Array
  readonly likely: Float64Array
  readonly long: Float64Array
  /** Of each item what was promised, s, and the record that it goes by; -1 where it goes by guesses. */
  readonly promised: Float64Array
  readonly recordOf: Int32Array
  /** Of each record, as it is drawn. */
  readonly middles: Float64Array
  readonly spreads: Float64Array
}

const UNIT = 2 ** -32

/**
 * How long everything may last, made ready to be drawn again and again.
 *
 * @example durationsOf(fourJobs).short.length // 4
 */
export function durationsOf({ items, records }: WorkNetwork): Durations {
  const guessed = (of: (triangle: Triangle) => number) =>
    Float64Array.from(items, ({ lasts }) => (lasts.by === 'guesses' ? of(lasts) : 0))
  return {
    records,
    short: guessed((triangle) => triangle.short),
    likely: guessed((triangle) => triangle.likely),
    long: guessed((triangle) => triangle.long),
    promised: Float64Array.from(items, ({ lasts }) => (lasts.by === 'promise' ? lasts.promised : 0)),
    recordOf: Int32Array.from(items, ({ lasts }) => (lasts.by === 'promise' ? lasts.record : -1)),
    middles: new Float64Array(records.length),
    spreads: new Float64Array(records.length),
  }
}

/**
 * Draws how long everything lasts; every item takes as many random numbers, whatever it is, so that a change of one leaves the
 * others as they were drawn.
 *
 * @param lasting of each item, s; written over
 * @example const lasting = new Float64Array(4); drawDurations(durationsOf(fourJobs), randomBits(1), lasting); lasting[0] > 0 // true
 */
export function drawDurations(
  { records, short, likely, long, promised, recordOf, middles, spreads }: Durations,
  bits: () => number,
  lasting: Float64Array,
): void {
  for (let i = 0; i < records.length; i += 1) {
    const { mean, spread } = drawRatio(records[i]!, normalPair(bits))
    middles[i] = mean
    spreads[i] = spread
  }
  for (let at = 0; at < lasting.length; at += 1) {
    const one = ((bits() >>> 0) + 0.5) * UNIT
    const other = (bits() >>> 0) * UNIT
    const record = recordOf[at]!
    if (record < 0) lasting[at] = quantileOfTriangle(short[at]!, likely[at]!, long[at]!, one)
    else {
      const normal = Math.sqrt(-2 * Math.log(one)) * Math.cos(2 * Math.PI * other)
      lasting[at] = promised[at]! * Math.exp(middles[record]! + spreads[record]! * normal)
    }
  }
}
