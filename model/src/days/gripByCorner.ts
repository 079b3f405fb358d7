import type { Course } from '@bold-ballast/contract'
import { lapParts, type LapCar, type LogLaps, type RunLog } from '@bold-ballast/core'
import { lapOf } from '../course/lapOf'
import type { Fitted } from '../course/fitLap'
import type { DayLine } from './dayLine'
import { leastSpeeds } from './leastSpeeds'

/** A corner of a logged lap beside the worked-out one: least speeds, m/s. */
export interface CornerGrip {
  readonly name: string
  readonly logged: number
  readonly workedOut: number
}

/** Corners in which a car is that fast are no corners to it: m/s off its top speed, as a share. */
const FLAT = 0.95

/**
 * Least speeds of the quickest lap of a log, corner by corner, beside those of the worked-out lap; and what the grip has to
 * be multiplied by to make them alike. Sideways acceleration goes with v², so the factor of a corner is that of its speeds,
 * squared; the middle one is taken, so that one corner with an error in it counts for little.
 *
 * @returns null for a log without a whole lap or speeds, or a course without corners
 * @throws {RangeError} as `lapOf`
 * @source v² = μ·g·r (common practice for fitting grip to a log)
 * @example gripByCorner(car.geared.run, course, line, logged) // null
 */
export function gripByCorner(
  run: LapCar,
  course: Omit<Course, 'version'>,
  line: DayLine,
  logged: { readonly log: RunLog; readonly found: LogLaps },
): { readonly corners: readonly CornerGrip[]; readonly factor: Fitted } | null {
  const least = leastSpeeds(line, logged)
  const lap = lapOf(run, course)
  const parts = lapParts(
    lap,
    line.corners.map((c) => [c.from, c.to] as const),
  )
  const corners = line.corners.flatMap(({ name }, i): CornerGrip[] => {
    const [own, workedOut] = [least[i] ?? null, parts[i]?.slowest]
    return own === null || workedOut === undefined || workedOut > FLAT * lap.fastest
      ? []
      : [{ name, logged: own, workedOut }]
  })
  if (corners.length === 0) return null
  const factors = corners.map((c) => (c.logged / c.workedOut) ** 2).sort((a, b) => a - b)
  const middle = factors[Math.floor(factors.length / 2)] ?? 1
  const off = factors.map((f) => Math.abs(f - middle)).sort((a, b) => a - b)
  // 1.4826 times the middle deviation is the standard deviation of a normal error; of the middle itself, √(π/2n) of that.
  const deviation = 1.4826 * (off[Math.floor(off.length / 2)] ?? 0)
  return {
    corners,
    factor: {
      value: Math.min(1.5, Math.max(0.5, middle)),
      doubt: Math.min(0.5, Math.max(LEAST_DOUBT, deviation * Math.sqrt(Math.PI / (2 * factors.length)))),
    },
  }
}
/** A receiver's speed and the line that was driven are known no better. */
const LEAST_DOUBT = 0.01
