import type { Ambient } from './humidAir'

/** The air as somebody read it, at a time of the day as `14:30`, or at no stated time. */
export interface AirReading extends Ambient {
  readonly time: string | null
}

const minutes = (time: string) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3, 5))

/**
 * The air at a time of a dyno day: between two readings it changes evenly, before the first and after the
 * last it is that reading's. Where a pull or every reading has no time, the readings are averaged.
 *
 * @param readings of the day, in any order
 * @param time of the pull, such as `14:30`, or `null`
 * @returns `null` when nobody read the air
 * @example airAt([{ time: '10:00', temperature: 290, pressure: 1e5, humidity: 0.5 },
 *   { time: '12:00', temperature: 300, pressure: 1e5, humidity: 0.3 }], '11:00')!.temperature // 295
 */
export function airAt(readings: readonly AirReading[], time: string | null): Ambient | null {
  if (readings.length === 0) return null
  const timed = readings
    .flatMap((r) => (r.time === null ? [] : [{ at: minutes(r.time), air: r }]))
    .sort((a, b) => a.at - b.at)
  if (time === null || timed.length === 0) return blend(readings.map((air) => ({ air, weight: 1 })))
  const at = minutes(time)
  const after = timed.find((r) => r.at >= at)
  const before = timed.findLast((r) => r.at <= at)
  if (!after || !before || after.at === before.at) {
    const { temperature, pressure, humidity } = (before ?? after)!.air
    return { temperature, pressure, humidity }
  }
  const share = (at - before.at) / (after.at - before.at)
  return blend([
    { air: before.air, weight: 1 - share },
    { air: after.air, weight: share },
  ])
}

function blend(parts: readonly { air: Ambient; weight: number }[]): Ambient {
  const whole = parts.reduce((sum, p) => sum + p.weight, 0)
  const of = (field: keyof Ambient) => parts.reduce((sum, p) => sum + p.weight * p.air[field], 0) / whole
  return { temperature: of('temperature'), pressure: of('pressure'), humidity: of('humidity') }
}
