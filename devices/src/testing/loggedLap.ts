import {
  lapCourseOf,
  lapTime,
  lineFromSections,
  LogText,
  logOf,
  type AxleCar,
  type LapLine,
  type RunLog,
} from '@bold-ballast/core'
import { carC } from '@bold-ballast/core/carC'
import { simulatedLog, type LoggerData } from '../simulatedLogger'

const tyre = { grip: 1.3, load: 3000, sensitivity: 0.1 }
export const car: AxleCar = { ...carC, tyre: { front: tyre, rear: tyre } }
const sections = [
  { length: 420, radius: null },
  { length: Math.PI * 55, radius: -55 },
  { length: 420, radius: null },
  { length: Math.PI * 55, radius: -55 },
]
export const { points, length } = lineFromSections(sections, { closed: true })
export const lap = lapTime(car, lapCourseOf({ kind: 'sections', sections }, [], true))
export const origin = { latitude: 0.02, longitude: -0.03 }
export const line: LapLine = { points, length, closed: true, sectors: [400, 800] }

/** What a simulated logger writes of laps on that course. */
export const logged = (paces: readonly number[], more: Partial<LoggerData> = {}) =>
  simulatedLog(lap, points, length, { rate: 10, wanders: 0, seed: 3, paces, origin, ...more })

/** A logger's file as a log. */
export function logFrom(csv: string, name = 'run'): RunLog {
  const reader = new LogText()
  reader.push(csv)
  const table = reader.end()
  return logOf(name, table, table.columns)
}
