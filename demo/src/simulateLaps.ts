import { blankLap, type Run } from '@bold-ballast/contract'
import { noise } from './noise'

/** What a run's laps are made from: a driver who gets in, tyres that wear, and a scatter. Times in s. */
export interface LapsData {
  /** Where the driver would end up on fresh tyres. */
  readonly base: number
  /** Laps in the day before this run. */
  readonly before: number
  readonly count: number
  /** What is still to learn at the first lap, and how many laps it takes to a third. */
  readonly learning: number
  readonly over: number
  /** s more for each lap on the tyres. */
  readonly wear: number
  readonly scatter: number
  readonly seed: number
  /** What a lap is that doesn't count, by its place. */
  readonly marks?: Readonly<Record<string, 'out' | 'in' | 'traffic' | 'error'>>
  /** Shares of the lap that the sectors take. */
  readonly sectors?: readonly number[]
}

const LOST = { out: 9, in: 12, traffic: 2.2, error: 3.4 } as const
const round = (s: number) => Math.round(s * 100) / 100

/** Laps that look driven: quicker while the driver learns, slower as the tyres go, never twice the same. */
export function simulateLaps(data: LapsData): Run['laps'] {
  const random = noise(data.seed)
  return Array.from({ length: data.count }, (_, i) => {
    const n = data.before + i + 1
    // Three of a kind added up look like a bell.
    const off = (random() + random() + random() - 1.5) * 2 * data.scatter
    const is = data.marks?.[String(i)] ?? 'counts'
    const time = round(
      data.base +
        data.learning * Math.exp(-n / data.over) +
        data.wear * n +
        off +
        (is === 'counts' ? 0 : LOST[is]),
    )
    const parts = data.sectors?.map((share) => round(time * share * (1 + 0.004 * (random() - 0.5)))) ?? []
    const last = parts.slice(0, -1).reduce((rest, s) => rest - s, time)
    return { ...blankLap(time), is, sectors: [...parts.slice(0, -1), ...(parts.length ? [round(last)] : [])] }
  })
}
