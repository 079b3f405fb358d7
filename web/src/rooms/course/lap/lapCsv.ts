import type { Lap, LapPoint } from '@bold-ballast/core'
import { csvOf } from '@bold-ballast/words'

const LAP_HEAD = [
  'distance (m)',
  'time (s)',
  'speed (m/s)',
  'forward (m/s2)',
  'sideways (m/s2)',
  'gear',
  'engine (rad/s)',
  'limit',
]
const lapRow = (p: LapPoint) => [
  Number(p.distance.toFixed(2)),
  Number(p.time.toFixed(3)),
  Number(p.speed.toFixed(3)),
  Number(p.forward.toFixed(3)),
  Number(p.sideways.toFixed(3)),
  p.engineSpeed === null ? null : p.gear + 1,
  p.engineSpeed === null ? null : Number(p.engineSpeed.toFixed(1)),
  p.limit,
]

/** A lap point by point, in SI. */
export const lapCsv = (lap: Lap): string => csvOf(LAP_HEAD, lap.points.map(lapRow))
