import type { RideRow } from '../aero/steadyStretches'
import { channelOf, type RunLog } from './RunLog'

/** What a channel of ride heights or damper travel is called, and whose it is not. */
const RIDES = /ride|damper|travel|suspension|shock/i
const NO_RIDES = /brake|speed|temp|press|force/i
const ENDS = { front: /front|\bf[lr]?\b/i, rear: /rear|back|\br[lr]?\b/i } as const

/** By what a title's figures are metres; mm where it says nothing. */
const metresIn = (title: string): number =>
  /\(in\)|inch/i.test(title) ? 0.0254 : /\(m\)/.test(title) ? 1 : /\(cm\)/i.test(title) ? 0.01 : 0.001

/**
 * Where the suspension of each axle stood over a log with ride heights or damper travel: what downforce is read from at held
 * speeds. Left and right of an axle count half each.
 *
 * @returns null for a log without speed, or without such channels of both axles
 * @source definition
 * @example rideOf(log) // null
 */
export function rideOf(log: RunLog): RideRow[] | null {
  const speed = channelOf(log, 'speed')
  const rides = log.channels.filter((c) => c.role === null && RIDES.test(c.name) && !NO_RIDES.test(c.name))
  const [front, rear] = (['front', 'rear'] as const).map((end) =>
    rides.filter((c) => ENDS[end].test(c.name)).slice(0, 2),
  )
  if (!speed || !front?.length || !rear?.length) return null
  const mean = (channels: typeof rides, i: number) =>
    channels.reduce((sum, c) => sum + c.values[i]! * metresIn(c.name), 0) / channels.length
  const rows: RideRow[] = []
  log.time.forEach((time, i) => {
    const row = { time, speed: speed[i]!, front: mean(front, i), rear: mean(rear, i) }
    const isKnown = Object.values(row).every((value) => !Number.isNaN(value))
    if (isKnown && time >= (rows[rows.length - 1]?.time ?? -Infinity)) rows.push(row)
  })
  return rows
}
