import { EARTH } from '../course/metresFrom'
import { STANDARD_GRAVITY } from '../units/constants'
import { channelOf, type LogRole, type RunLog } from './RunLog'

/** Title, by what SI is divided, and decimals of each role. */
const WRITTEN: Readonly<Record<LogRole, readonly [title: string, by: number, decimals: number]>> = {
  x: ['east (m)', 1, 3],
  y: ['north (m)', 1, 3],
  speed: ['speed (km/h)', 1 / 3.6, 3],
  engineSpeed: ['engine speed (rpm)', Math.PI / 30, 1],
  throttle: ['throttle (%)', 0.01, 2],
  brakeFront: ['brake front (bar)', 1e5, 3],
  brakeRear: ['brake rear (bar)', 1e5, 3],
  gear: ['gear', 1, 0],
  sideways: ['sideways (g)', STANDARD_GRAVITY, 4],
  forward: ['forward (g)', STANDARD_GRAVITY, 4],
  lap: ['lap', 1, 0],
}
const DEGREE = (EARTH * Math.PI) / 180

/**
 * A log as a table that any program reads and that comes back as it went: places as latitude and longitude where it knows
 * them, what has a role in one unit each, all else as its logger wrote it.
 *
 * @source definition (docs/logs.md)
 * @example logCsv({ name: 'run', time: [0], channels: [], origin: null }) // 'time (s)\n0.000\n'
 */
export function logCsv(log: RunLog): string {
  const { time, channels, origin } = log
  const columns: { readonly title: string; readonly at: (i: number) => number; readonly decimals: number }[] =
    [{ title: 'time (s)', at: (i) => time[i]!, decimals: 3 }]
  const [x, y] = [channelOf(log, 'x'), channelOf(log, 'y')]
  const isPlaced = origin !== null && x !== undefined && y !== undefined
  if (isPlaced) {
    const east = DEGREE * Math.cos((origin.latitude * Math.PI) / 180)
    columns.push(
      { title: 'latitude', at: (i) => origin.latitude + y[i]! / DEGREE, decimals: 8 },
      { title: 'longitude', at: (i) => origin.longitude + x[i]! / east, decimals: 8 },
    )
  }
  for (const { name, role, values } of channels) {
    if (isPlaced && (role === 'x' || role === 'y')) continue
    const [title, by, decimals] = role ? WRITTEN[role] : [plain(name), 1, 6]
    columns.push({ title, at: (i) => values[i]! / by, decimals })
  }
  const lines = [columns.map((c) => c.title).join(',')]
  for (let i = 0; i < time.length; i += 1)
    lines.push(columns.map(({ at, decimals }) => said(at(i), decimals)).join(','))
  return `${lines.join('\n')}\n`
}

const said = (value: number, decimals: number) => (Number.isNaN(value) ? '' : value.toFixed(decimals))
/** A title is one cell, whatever its logger called it. */
const plain = (name: string) => name.replace(/[,;"\s]+/g, ' ').trim()
