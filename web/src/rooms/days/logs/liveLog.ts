import type { LoggerMoment } from '@bold-ballast/contract'
import { logOf, type LogColumn, type RunLog } from '@bold-ballast/core'

/** What a live logger sends, as the columns of a file that it might have written. */
const COLUMNS: readonly (readonly [
  title: string,
  column: LogColumn,
  of: (m: LoggerMoment) => number | null,
])[] = [
  ['time (s)', 'time', (m) => m.at],
  ['latitude', 'latitude', (m) => m.latitude],
  ['longitude', 'longitude', (m) => m.longitude],
  ['speed (m/s)', 'speed', (m) => m.speed],
  ['engine speed (rad/s)', 'engineSpeed', (m) => m.engineSpeed],
  ['throttle (%)', 'throttle', (m) => 100 * m.throttle],
  ['brake front (Pa)', 'brakeFront', (m) => m.brakeFront],
  ['brake rear (Pa)', 'brakeRear', (m) => m.brakeRear],
  ['sideways (m/s²)', 'sideways', (m) => m.sideways],
  ['forward (m/s²)', 'forward', (m) => m.forward],
]

/** What was recorded live, as a log like any other. */
export function liveLog(name: string, moments: readonly LoggerMoment[]): RunLog {
  const columns = COLUMNS.map(([, column]) => column)
  return logOf(
    name,
    {
      titles: COLUMNS.map(([title]) => title),
      columns,
      values: COLUMNS.map(([, , of]) => Float64Array.from(moments, (m) => of(m) ?? NaN)),
      bad: 0,
      thinned: 0,
      cutOff: false,
    },
    columns,
  )
}
