import { NO_DOUBTS, sumDoubts, timesDoubts, type Doubts } from './doubts'

/** What figures off an instrument are off by, as shares of them. */
export interface InstrumentDoubt {
  /** Standard deviation anew at each reading. */
  readonly scatter: number
  /** Name of that, where other figures hold this very reading. */
  readonly name?: string
  /** Name of what all readings of its day share, among `shared`; left out for all on one day. */
  readonly day?: string
  /** What it shares with other readings, by name. */
  readonly shared?: Doubts
}

/** A reading, and what it is off by in its own unit. */
export interface Reading extends InstrumentDoubt {
  readonly value: number
}

/**
 * A figure with what its instrument is off by.
 *
 * @example readingOf(200, { scatter: 0.015 }).scatter // 3
 */
export const readingOf = (value: number, { scatter, shared, ...names }: InstrumentDoubt): Reading => ({
  ...names,
  value,
  scatter: scatter * Math.abs(value),
  ...(shared && { shared: timesDoubts(shared, value) }),
})

/** Figures of one day off an instrument that repeats to so much, as a share. */
export const plainReadings = (values: readonly number[], repeatability: number): Reading[] =>
  values.map((value) => readingOf(value, { scatter: repeatability }))

export interface ReadingDifference {
  /** Mean after less mean before. */
  readonly difference: number
  /** By what each reading's own scatter is multiplied in the difference, in order. */
  readonly before: readonly number[]
  readonly after: readonly number[]
  /** What else the difference is off by. */
  readonly shared: Doubts
}

/**
 * The difference of two means of readings, with what each is off by in it. What both sides share cancels as far as they
 * do; a reading that also made the bridge that its side crossed counts once.
 *
 * @param before one or more
 * @param after one or more
 * @source JCGM 100:2008, 5.2.2
 * @example differenceOf(plainReadings([10, 12], 0.1), plainReadings([15], 0.1)).difference // 4
 */
export function differenceOf(before: readonly Reading[], after: readonly Reading[]): ReadingDifference {
  const weighed = (readings: readonly Reading[], sign: 1 | -1) =>
    readings.map((reading) => ({ reading, weight: sign / readings.length }))
  const all = [...weighed(before, -1), ...weighed(after, 1)]
  const held = sumDoubts(
    all.map(({ reading, weight }) => ({ doubts: reading.shared ?? NO_DOUBTS, slope: weight })),
  )
  const own = new Set(all.flatMap(({ reading }) => reading.name ?? []))
  const weights = all.map(({ reading: { name, scatter }, weight }) =>
    name !== undefined && scatter > 0 ? weight + (held[name] ?? 0) / scatter : weight,
  )
  return {
    difference: all.reduce((sum, { reading, weight }) => sum + weight * reading.value, 0),
    before: weights.slice(0, before.length),
    after: weights.slice(before.length),
    shared: Object.fromEntries(Object.entries(held).filter(([name]) => !own.has(name))),
  }
}
