import { STANDARD_GRAVITY } from '../units/constants'
import { channelOf, type RunLog } from './RunLog'

/** What holds a car back and has to be sped up. SI. */
export interface RoadCar {
  readonly mass: number
  readonly dragArea: number
  readonly rollingResistance: number
  readonly airDensity: number
}

/**
 * Work at the wheels over a stretch of a log, J: what its speeds took against mass, air and tyres wherever the car was
 * driven. Slopes are left out: a lap comes back to its height.
 *
 * @param from and to: moments of its clock, s
 * @returns null for a log without speed
 * @source work and energy (definition)
 * @example workLogged(log, axleCar, [0, 10]) // null
 */
export function workLogged(log: RunLog, car: RoadCar, [from, to]: readonly [number, number]): number | null {
  const speed = channelOf(log, 'speed')
  if (!speed) return null
  let work = 0
  let last = -1
  log.time.forEach((t, i) => {
    if (!(t >= from && t <= to) || Number.isNaN(speed[i]!)) return
    const before = last
    last = i
    const step = before < 0 ? 0 : t - log.time[before]!
    if (!(step > 0)) return
    const [a, b] = [speed[before]!, speed[i]!]
    const mean = (a + b) / 2
    const force =
      (car.mass * (b - a)) / step +
      0.5 * car.airDensity * car.dragArea * mean * mean +
      car.rollingResistance * car.mass * STANDARD_GRAVITY
    if (force > 0) work += force * mean * step
  })
  return work
}
