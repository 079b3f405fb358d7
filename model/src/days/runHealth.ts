import type { Limit, Run } from '@bold-ballast/contract'
import { itemAt } from '@bold-ballast/core'

/** Go on, look first, or stop. */
export type Health = 'go' | 'look' | 'stop'

export interface HeldTo {
  readonly name: string
  readonly value: number
  /** SI, and whether it is not to be gone below or above; null for a reading that no limit is known of. */
  readonly limit: {
    readonly value: number
    readonly side: 'low' | 'high'
    readonly quantity: Limit['quantity']
  } | null
  readonly quantity: Limit['quantity']
  readonly health: Health
}

export interface RunHealth {
  readonly health: Health
  readonly held: readonly HeldTo[]
  /** Limits of which nobody read anything after this run. */
  readonly unread: readonly string[]
}

const WORST: readonly Health[] = ['go', 'look', 'stop']
const worse = (a: Health, b: Health): Health => (WORST.indexOf(a) >= WORST.indexOf(b) ? a : b)

/**
 * A limit at the engine speed or temperature of a reading: between two points straight, beyond them as the nearest.
 *
 * @example limitAt([{ at: 0, value: 1 }, { at: 10, value: 3 }], 5) // 2
 */
export function limitAt(points: Limit['low'], at: number | null): number | null {
  if (points.length === 0) return null
  const sorted = [...points].sort((a, b) => a.at - b.at)
  if (at === null) return itemAt(sorted, 0).value
  const after = sorted.findIndex((p) => p.at >= at)
  if (after === -1) return itemAt(sorted, -1).value
  if (after === 0) return itemAt(sorted, 0).value
  const [a, b] = [itemAt(sorted, after - 1), itemAt(sorted, after)]
  return a.value + ((b.value - a.value) * (at - a.at)) / (b.at - a.at)
}

/** How far in from a limit counts: of temperatures from where they freeze, so that 5 % of 120 °C are 6 K. */
const ICE = 273.15
const reach = (limit: number, quantity: Limit['quantity']) =>
  Math.abs(quantity === 'temperature' ? limit - ICE : limit)

/**
 * The health of a car after a run: each reading held to the limit of its name, and what gave trouble.
 *
 * @example runHealth(document.runs[0], document.limits).health // 'go'
 */
export function runHealth(run: Pick<Run, 'readings' | 'fault'>, limits: readonly Limit[]): RunHealth {
  const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase()
  const held = run.readings.map(({ name, value, at, quantity }): HeldTo => {
    const limit = limits.find((l) => same(l.name, name) && l.quantity === quantity)
    const by = limit?.by === 'nothing' ? null : at
    const sides = limit
      ? (['low', 'high'] as const).flatMap((side) => {
          const bound = limitAt(limit[side], by)
          return bound === null ? [] : [{ side, bound }]
        })
      : []
    if (!limit || sides.length === 0) return { name, value, quantity, limit: null, health: 'go' }
    const judged = sides.map(({ side, bound }) => {
      const room = side === 'low' ? value - bound : bound - value
      const health: Health = room < 0 ? 'stop' : room < limit.look * reach(bound, quantity) ? 'look' : 'go'
      return { side, bound, room, health }
    })
    const nearest = judged.reduce((a, b) => (b.room < a.room ? b : a))
    return {
      name,
      value,
      quantity,
      limit: { value: nearest.bound, side: nearest.side, quantity },
      health: nearest.health,
    }
  })
  const worst = held.reduce<Health>((w, h) => worse(w, h.health), run.fault ? 'look' : 'go')
  return {
    health: worst,
    held,
    unread: limits.filter((l) => !run.readings.some((r) => same(r.name, l.name))).map((l) => l.name),
  }
}
