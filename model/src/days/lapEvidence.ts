/** What laps that count show, s. */
export interface LapEvidence {
  readonly count: number
  readonly best: number
  /** How many of them came within half a per cent of the best. */
  readonly reached: number
  /** Of the three best; null for fewer. */
  readonly bestThree: number | null
  readonly median: number
  /** Standard deviation about their mean; null for one lap. */
  readonly scatter: number | null
  /** The best of each sector added up: no lap that anybody drove. Null where not every lap has its sectors. */
  readonly bestSectors: number | null
}

const NEAR = 0.005

/**
 * What some laps show together: one best lap may be luck, three are a pace.
 *
 * @returns null for none
 * @example lapEvidence([{ time: 61, sectors: [] }, { time: 60, sectors: [] }])?.best // 60
 */
export function lapEvidence(
  laps: readonly { readonly time: number; readonly sectors: readonly number[] }[],
): LapEvidence | null {
  const times = laps.map((l) => l.time).sort((a, b) => a - b)
  const [best] = times
  if (best === undefined) return null
  const mean = times.reduce((a, b) => a + b, 0) / times.length
  const middle = times.length / 2
  const count = laps[0]?.sectors.length ?? 0
  const hasSectors = count > 0 && laps.every((l) => l.sectors.length === count)
  return {
    count: times.length,
    best,
    reached: times.filter((t) => t <= best * (1 + NEAR)).length,
    bestThree: times.length < 3 ? null : times.slice(0, 3).reduce((a, b) => a + b, 0) / 3,
    median: ((times[Math.floor(middle)] ?? best) + (times[Math.ceil(middle) - 1] ?? best)) / 2,
    scatter:
      times.length < 2
        ? null
        : Math.sqrt(times.reduce((sum, t) => sum + (t - mean) ** 2, 0) / (times.length - 1)),
    bestSectors: hasSectors
      ? Array.from({ length: count }, (_, i) =>
          laps.reduce((least, l) => Math.min(least, l.sectors[i] ?? Infinity), Infinity),
        ).reduce((a, b) => a + b, 0)
      : null,
  }
}
