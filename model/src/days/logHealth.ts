import type { Limit } from '@bold-ballast/contract'
import { channelOf, toSi, unitNamed, type RunLog } from '@bold-ballast/core'
import { limitAt } from './runHealth'

/** A limit that a log passed, at its worst. SI; moments in s of the log's clock. */
export interface LogBeyond {
  readonly limit: Limit
  readonly channel: string
  readonly value: number
  readonly bound: number
  readonly side: 'low' | 'high'
  readonly at: number
  /** s beyond it, added up. */
  readonly lasted: number
}

const bare = (title: string) =>
  title
    .replace(/[([].*$/, '')
    .trim()
    .toLowerCase()
const unitIn = (title: string) => /[([]([^)\]]+)[)\]]\s*$/.exec(title)?.[1] ?? ''

/**
 * Limits that a log passed, sample by sample: channels and limits go together by their names, and a channel's unit is what
 * its title says in brackets.
 *
 * @returns the longest first; limits without a channel of their name are passed over
 * @example logHealth(log, document.limits).length // 0
 */
export function logHealth(log: RunLog, limits: readonly Limit[]): LogBeyond[] {
  const speed = channelOf(log, 'engineSpeed')
  return limits
    .flatMap((limit): LogBeyond[] => {
      const channel = log.channels.find((c) => bare(c.name) === bare(limit.name))
      const unit = channel && unitNamed(limit.quantity, unitIn(channel.name))
      if (!channel || !unit || limit.by === 'temperature') return []
      return (['high', 'low'] as const).flatMap((side) => {
        let worst: LogBeyond | null = null
        let lasted = 0
        channel.values.forEach((raw, i) => {
          const turning = speed?.[i] ?? null
          // Oil pressure is held to nothing while the engine stands.
          if (Number.isNaN(raw) || (limit.by === 'engineSpeed' && !turning)) return
          const value = toSi(raw, unit)
          const bound = limitAt(limit[side], limit.by === 'engineSpeed' ? turning : null)
          if (bound === null) return
          const beyond = side === 'high' ? value - bound : bound - value
          if (!(beyond > 0)) return
          lasted += (log.time[i] ?? 0) - (log.time[i - 1] ?? log.time[i] ?? 0)
          const before = worst && (side === 'high' ? worst.value - worst.bound : worst.bound - worst.value)
          if (before === null || beyond > before)
            worst = { limit, channel: channel.name, value, bound, side, at: log.time[i] ?? 0, lasted: 0 }
        })
        return worst ? [{ ...(worst as LogBeyond), lasted }] : []
      })
    })
    .sort((a, b) => b.lasted - a.lasted)
}
