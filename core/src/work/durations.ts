import { logTail } from '../numeric/normal'
import { normalPair } from '../numeric/normalPair'
import { randomBits } from '../numeric/randomBits'
import { begunSpread, leftOf, logTimeOf, narrowed } from './lastsOf'
import { drawRatio } from './promiseRatio'
import type { Triangle } from './triangle'
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
  /** Of each item what has gone of it, s. */
  readonly gone: Float64Array
  /** Of each guessed item the logarithm of its middle, and its log-deviation; 0 where it goes by a promise. */
  readonly middleOf: Float64Array
  readonly spreadOf: Float64Array
  /** Whether an item takes hands: what is forgotten is work. */
  readonly isWork: Uint8Array
  readonly slip: number
  readonly forgotten: number
  /** Of each record, as it is drawn. */
  readonly middles: Float64Array
  readonly spreads: Float64Array
  /** What all has in common, where something is begun: as likely as it leaves open what is open. */
  readonly common: Commons | null
}

/** Draws of what all items have in common, with the chance of each up to and with it. */
interface Commons {
  readonly slips: Float64Array
  /** Of each draw the middles of all records one behind the other, and their spreads. */
  readonly middles: Float64Array
  readonly spreads: Float64Array
  readonly upTo: Float64Array
}

const UNIT = 2 ** -32
/** Draws of what is common that are weighed against each other. */
const WEIGHED = 4096
const WEIGHED_SEED = 1959
/** Log-deviation of what is forgotten (common practice). */
const FORGOTTEN_SPREAD = 0.5

/**
 * How long everything may last, made ready to be drawn again and again.
 *
 * @source that nothing which is open is done yet is evidence of what all has in common: draws are weighed by its chance
 *   (Gelman et al., Bayesian Data Analysis, 3rd edition, 10.4, sampling importance resampling)
 * @example durationsOf(fourJobs).short.length // 4
 */
export function durationsOf({ items, records, slip = 0, done = [], forgotten = 0 }: WorkNetwork): Durations {
  const guessed = (of: (triangle: Triangle) => number) =>
    Float64Array.from(items, ({ lasts }) => (lasts.by === 'guesses' ? of(lasts) : 0))
  const times = items.map(({ lasts }) =>
    lasts.by === 'guesses' && lasts.long > 0 ? logTimeOf(lasts, records) : { middle: 0, spread: 0 },
  )
  const own = {
    records,
    short: guessed((triangle) => triangle.short),
    likely: guessed((triangle) => triangle.likely),
    long: guessed((triangle) => triangle.long),
    promised: Float64Array.from(items, ({ lasts }) => (lasts.by === 'promise' ? lasts.promised : 0)),
    recordOf: Int32Array.from(items, ({ lasts }) => (lasts.by === 'promise' ? lasts.record : -1)),
    gone: Float64Array.from(items, ({ lasts }) => Math.max(0, lasts.gone ?? 0)),
    middleOf: Float64Array.from(times, (time) => time.middle),
    spreadOf: Float64Array.from(times, (time) => time.spread),
    isWork: Uint8Array.from(items, ({ hands }) => (hands > 0 ? 1 : 0)),
    slip,
    forgotten,
    middles: new Float64Array(records.length),
    spreads: new Float64Array(records.length),
    common: null,
  }
  // What is certain tells nothing of the rest.
  const told = done.filter(({ took }) => took > 0)
  const isTold = own.gone.some((gone) => gone > 0) || (slip > 0 && told.length > 0)
  return isTold ? { ...own, common: commonsOf(own, told) } : own
}

/** What of an item's spread is its own, and what it has in common with all that is open. */
const commonShare = (slip: number, spread: number): number => Math.min(slip, spread)
const ownShare = (slip: number, spread: number): number =>
  Math.sqrt(spread ** 2 - commonShare(slip, spread) ** 2)

function commonsOf(durations: Durations, done: NonNullable<WorkNetwork['done']>): Commons {
  const { records, gone, recordOf, promised, middleOf, spreadOf, slip } = durations
  const count = records.length
  const slips = new Float64Array(WEIGHED)
  const middles = new Float64Array(WEIGHED * count)
  const spreads = new Float64Array(WEIGHED * count)
  const logs = new Float64Array(WEIGHED)
  const begun = Array.from(gone.keys()).filter((at) => gone[at]! > 0)
  // A record has what was done in it already: beside it, that tells of nothing but how all slips.
  const known = done.map(({ lasts, took }) => {
    const { middle, spread } = logTimeOf(lasts, records)
    return {
      off: Math.log(took) - middle,
      shared: commonShare(slip, spread),
      own: begunSpread(ownShare(slip, begunSpread(spread))),
    }
  })
  const bits = randomBits(WEIGHED_SEED)
  for (let draw = 0; draw < WEIGHED; draw += 1) {
    slips[draw] = normalPair(bits)[0]
    for (let i = 0; i < count; i += 1) {
      const { mean, spread } = drawRatio(records[i]!, normalPair(bits))
      middles[draw * count + i] = mean
      spreads[draw * count + i] = spread
    }
    for (const at of begun) {
      const record = recordOf[at]!
      const middle = record < 0 ? middleOf[at]! : Math.log(promised[at]!) + middles[draw * count + record]!
      const spread = begunSpread(record < 0 ? spreadOf[at]! : spreads[draw * count + record]!)
      const slipped = middle + commonShare(slip, spread) * slips[draw]!
      logs[draw]! += logTail((Math.log(gone[at]!) - slipped) / begunSpread(ownShare(slip, spread)))
    }
    for (const { off, shared, own } of known) logs[draw]! -= ((off - shared * slips[draw]!) / own) ** 2 / 2
  }
  const most = logs.reduce((a, b) => Math.max(a, b), -Infinity)
  const upTo = new Float64Array(WEIGHED)
  let sum = 0
  for (let draw = 0; draw < WEIGHED; draw += 1) upTo[draw] = sum += Math.exp(logs[draw]! - most)
  for (let draw = 0; draw < WEIGHED; draw += 1) upTo[draw]! /= sum
  return { slips, middles, spreads, upTo }
}

/** Which draw of what is common a random number stands for. */
function placeIn(upTo: Float64Array, share: number): number {
  let [low, high] = [0, upTo.length - 1]
  while (low < high) {
    const middle = (low + high) >> 1
    if (upTo[middle]! < share) low = middle + 1
    else high = middle
  }
  return low
}

/**
 * Draws how long everything lasts; every item takes as many random numbers, whatever it is, so that a change of one leaves the
 * others as they were drawn.
 *
 * @param lasting of each item, from now on, s; written over
 * @example const lasting = new Float64Array(4); drawDurations(durationsOf(fourJobs), randomBits(1), lasting); lasting[0] > 0 // true
 */
export function drawDurations(durations: Durations, bits: () => number, lasting: Float64Array): void {
  const { short, likely, long, promised, recordOf, gone, middleOf, spreadOf, isWork } = durations
  const { middles, spreads, slip } = durations
  const slipped = drawCommon(durations, bits)
  const more = 1 + forgottenShare(durations, bits)
  for (let at = 0; at < lasting.length; at += 1) {
    const one = ((bits() >>> 0) + 0.5) * UNIT
    const other = (bits() >>> 0) * UNIT
    const record = recordOf[at]!
    const longer = isWork[at] === 1 ? more : 1
    if (gone[at]! > 0) {
      const middle = record < 0 ? middleOf[at]! : Math.log(promised[at]!) + middles[record]!
      const spread = begunSpread(record < 0 ? spreadOf[at]! : spreads[record]!)
      const own = begunSpread(ownShare(slip, spread))
      const far = (Math.log(gone[at]!) - middle - commonShare(slip, spread) * slipped) / own
      lasting[at] = longer * leftOf(gone[at]!, far, own, one)
    } else if (record < 0) {
      const spread = spreadOf[at]!
      const narrow = slip > 0 && spread > 0 ? ownShare(slip, spread) / spread : 1
      const time = narrowed(short[at]!, likely[at]!, long[at]!, one, narrow)
      lasting[at] = longer * time * Math.exp(commonShare(slip, spread) * slipped)
    } else {
      const normal = Math.sqrt(-2 * Math.log(one)) * Math.cos(2 * Math.PI * other)
      const spread = spreads[record]!
      const log = middles[record]! + commonShare(slip, spread) * slipped + ownShare(slip, spread) * normal
      lasting[at] = longer * promised[at]! * Math.exp(log)
    }
  }
}

/** What all items have in common this time: records are written over, and how far all slips is given back. */
function drawCommon({ records, middles, spreads, common, slip }: Durations, bits: () => number): number {
  const count = records.length
  if (common) {
    const draw = placeIn(common.upTo, ((bits() >>> 0) + 0.5) * UNIT)
    for (let i = 0; i < count; i += 1) {
      middles[i] = common.middles[draw * count + i]!
      spreads[i] = common.spreads[draw * count + i]!
    }
    return common.slips[draw]!
  }
  for (let i = 0; i < count; i += 1) {
    const { mean, spread } = drawRatio(records[i]!, normalPair(bits))
    middles[i] = mean
    spreads[i] = spread
  }
  return slip > 0 ? normalPair(bits)[0] : 0
}

/** Hours that nobody has listed, as a share of those that are. */
function forgottenShare({ forgotten }: Durations, bits: () => number): number {
  if (forgotten <= 0) return 0
  return forgotten * Math.exp(FORGOTTEN_SPREAD * normalPair(bits)[0])
}
