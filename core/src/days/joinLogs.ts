import { channelOf, type LogRole, type RunLog, type RunLogChannel } from './RunLog'

/** How two loggers of one run lie beside each other. */
export interface LogJoin {
  /** Both as one, by the first one's clock. */
  readonly log: RunLog
  /** What is added to the second clock so that it is the first one's, s. */
  readonly shift: number
  /** By which channel that was found, and how alike the two were then, −1 to 1. */
  readonly by: LogRole
  readonly alike: number
  /** What both have and don't agree in: the second over the first, in the middle of all moments. */
  readonly apart: readonly { readonly role: LogRole; readonly times: number }[]
}

/** By what two clocks are laid beside each other, the surest first. */
const MATCHED: readonly LogRole[] = ['speed', 'engineSpeed', 'sideways', 'forward']
/** Channels whose figures are compared. */
const COMPARED: readonly LogRole[] = ['speed', 'engineSpeed']
/** s; and how far the two clocks may lie apart beyond the length of either. */
const STEP = 0.1
/** So much of the shorter log has to lie within the longer one. */
const LEAST_SHARED = 0.5
/** Two logs of one run are as alike as that, at least. */
const LEAST_ALIKE = 0.8
/** Figures that lie farther apart are no longer scatter. */
const APART = 0.01
/** Over a hole that is longer nothing is said, s. */
const HOLE = 0.5

/**
 * Two loggers of one run as one log. Each has a clock of its own: they are laid beside each other where their speeds, or
 * another channel that both have, are most alike.
 *
 * What both have is kept once, as the first has it; where the two disagree, that is said, not averaged.
 *
 * @throws {RangeError} where they share no channel to lay them by, or aren't alike anywhere: they are of different runs
 * @source cross-correlation of evenly spaced samples, its top by a parabola through three points (common practice)
 * @example joinLogs(log, log).shift // 0
 */
export function joinLogs(first: RunLog, second: RunLog): LogJoin {
  const by = MATCHED.find((role) => moves(channelOf(first, role)) && moves(channelOf(second, role)))
  if (!by)
    throw new RangeError(
      'both loggers need a speed, an engine speed or an acceleration: by nothing else can their clocks be laid together',
    )
  const { shift, alike } = bestShift(
    even(first.time, channelOf(first, by)!),
    even(second.time, channelOf(second, by)!),
  )
  if (alike < LEAST_ALIKE)
    throw new RangeError(
      `the two are alike nowhere (${alike.toFixed(2)} at best): it looks as if they were of different runs`,
    )
  const onto = (values: Float32Array) => at(first.time, second.time, values, shift)
  const apart = COMPARED.flatMap((role) => {
    const [a, b] = [channelOf(first, role), channelOf(second, role)]
    if (!a || !b) return []
    const times = middleRatio(a, onto(b))
    return times !== null && Math.abs(times - 1) > APART ? [{ role, times }] : []
  })
  const names = new Set(first.channels.map((c) => c.name))
  const added = second.channels
    .filter((c) => c.role === null || !channelOf(first, c.role))
    .map((c): RunLogChannel => ({
      name: names.has(c.name) ? `${c.name} 2` : c.name,
      role: c.role,
      values: onto(c.values),
    }))
  // Places are metres about the origin of their own log: without one the first takes the second's.
  const isPlacedAnew = added.some((c) => c.role === 'x')
  return {
    log: {
      name: `${first.name} + ${second.name}`,
      time: first.time,
      channels: [...first.channels, ...added],
      origin: isPlacedAnew ? second.origin : first.origin,
    },
    shift,
    by,
    alike,
    apart,
  }
}

function moves(values: Float32Array | undefined): boolean {
  if (!values) return false
  let [least, most] = [Infinity, -Infinity]
  for (const value of values) {
    if (value < least) least = value
    if (value > most) most = value
  }
  return most > least
}

/** A channel at even steps of its own clock, as far from its mean as it is; nothing where it has nothing. */
function even(
  time: Float32Array,
  values: Float32Array,
): { readonly start: number; readonly values: Float64Array } {
  const start = time[0] ?? 0
  const count = Math.floor(((time[time.length - 1] ?? start) - start) / STEP) + 1
  const found = new Float64Array(count)
  let i = 0
  for (let k = 0; k < count; k += 1) {
    const moment = start + k * STEP
    while (i + 1 < time.length && time[i + 1]! < moment) i += 1
    const [a, b] = [values[i]!, values[Math.min(i + 1, values.length - 1)]!]
    const span = (time[i + 1] ?? moment) - time[i]!
    found[k] = span > 0 && span < HOLE ? a + ((b - a) * (moment - time[i]!)) / span : a
  }
  return { start, values: found }
}

type Even = ReturnType<typeof even>

/** The shift of the second clock at which both are most alike: rough steps first, then each around the best. */
function bestShift(first: Even, second: Even): { readonly shift: number; readonly alike: number } {
  const least = LEAST_SHARED * Math.min(first.values.length, second.values.length)
  const from = Math.ceil(least - second.values.length)
  const to = Math.floor(first.values.length - least)
  // One lap is like the next: of two places that are nearly as alike, the one where they share more is right.
  const shorter = Math.min(first.values.length, second.values.length)
  const shared = (by: number) =>
    (Math.min(first.values.length, second.values.length + by) - Math.max(0, by)) / shorter
  const ask = (by: number, every: number) => ({
    by,
    score: likeness(first.values, second.values, by, every) * Math.sqrt(shared(by)),
  })
  const best = (all: readonly { readonly by: number; readonly score: number }[]) =>
    all.reduce((a, b) => (b.score > a.score ? b : a))
  const rough = range(from, to, COARSE).map((by) => ask(by, COARSE))
  const near = best(rough).score - NEARLY
  // Half a second beside the top a likeness has fallen: every rough top that comes near the best is looked at.
  const tops = rough.filter(
    ({ score }, i) =>
      score >= near && score >= (rough[i - 1]?.score ?? -1) && score >= (rough[i + 1]?.score ?? -1),
  )
  const { by: top } = best(
    tops.flatMap(({ by }) =>
      range(Math.max(from, by - COARSE), Math.min(to, by + COARSE), 1).map((one) => ask(one, 1)),
    ),
  )
  const [before = 0, alike = 0, after = 0] = [-1, 0, 1].map((by) =>
    likeness(first.values, second.values, top + by, 1),
  )
  const bend = before - 2 * alike + after
  const aside = bend < 0 ? (before - after) / (2 * bend) : 0
  return { shift: first.start - second.start + (top + Math.max(-0.5, Math.min(0.5, aside))) * STEP, alike }
}
/** Steps that are looked at first, and how far below the best a rough top may lie that is looked at closely. */
const COARSE = 5
const NEARLY = 0.15
const range = (from: number, to: number, step: number) =>
  Array.from({ length: Math.max(1, Math.floor((to - from) / step) + 1) }, (_, i) => from + i * step)

/** Correlation of what both have at the same moment; −1 where that is too little. */
function likeness(a: Float64Array, b: Float64Array, by: number, every: number): number {
  let [n, sumA, sumB, squareA, squareB, both] = [0, 0, 0, 0, 0, 0]
  for (let i = Math.max(0, -by); i < b.length && i + by < a.length; i += every) {
    const [x, y] = [a[i + by]!, b[i]!]
    if (Number.isNaN(x) || Number.isNaN(y)) continue
    n += 1
    sumA += x
    sumB += y
    squareA += x * x
    squareB += y * y
    both += x * y
  }
  const spread = (squareA - (sumA * sumA) / n) * (squareB - (sumB * sumB) / n)
  return n > 2 && spread > 0 ? (both - (sumA * sumB) / n) / Math.sqrt(spread) : -1
}

/** What the second logger had at the first one's moments; NaN outside of it and over a hole. */
function at(moments: Float32Array, time: Float32Array, values: Float32Array, shift: number): Float32Array {
  let i = 0
  return moments.map((moment) => {
    const own = moment - shift
    while (i + 1 < time.length && time[i + 1]! < own) i += 1
    const span = (time[i + 1] ?? NaN) - time[i]!
    if (!(own >= time[i]!) || !(span > 0) || span > HOLE) return NaN
    return values[i]! + ((values[i + 1]! - values[i]!) * (own - time[i]!)) / span
  })
}

function middleRatio(a: Float32Array, b: Float32Array): number | null {
  const most = a.reduce((m, v) => (v > m ? v : m), 0)
  const ratios: number[] = []
  // Near standing still a ratio says nothing.
  a.forEach((value, i) => {
    const ratio = b[i]! / value
    if (value > most / 4 && Number.isFinite(ratio)) ratios.push(ratio)
  })
  ratios.sort((p, q) => p - q)
  return ratios[Math.floor(ratios.length / 2)] ?? null
}
