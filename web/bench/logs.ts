import { coastDown, downforceFrom } from '@bold-ballast/core'
import { performance } from 'node:perf_hooks'
import { coastRows } from '../src/rooms/aero/measured/coastRows'
import { rideRows } from '../src/rooms/aero/measured/rideRows'

/** Logs of 50,000 rows read and fitted, as their workers do it. */
const ROWS = 50_000
const ROUNDS = 5
const median = (times: number[]) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)]!

function timed(says: string, run: () => void): void {
  const times: number[] = []
  for (let i = 0; i < ROUNDS + 1; i += 1) {
    const start = performance.now()
    run()
    if (i > 0) times.push(performance.now() - start)
  }
  process.stdout.write(
    `  ${says.padEnd(62)} ${`${median(times).toFixed(0)} ms`.padStart(12)}   goal 1,000 ms\n`,
  )
}

const [a, c, m, v0] = [170, 0.43, 1310, 48]
const rolling = (t: number) =>
  Math.sqrt(a / c) * Math.tan(Math.atan(v0 * Math.sqrt(c / a)) - (t * Math.sqrt(a * c)) / m)
const coast = `time (s),speed (km/h)\n${Array.from({ length: ROWS }, (_, i) => `${(i * 0.0012).toFixed(4)},${(rolling(i * 0.0012) * 3.6).toFixed(3)}`).join('\n')}`
timed('Coast-down of 50,000 rows, read and fitted', () => {
  const read = coastRows(coast)
  if ('problem' in read) throw new Error(read.problem)
  coastDown([{ direction: 'out', points: read.points }], { mass: 1260, equivalentMass: 50, airDensity: 1.2 })
})

const held = [80, 110, 140, 170, 200]
const ride = `time (s),speed (km/h),front (mm),rear (mm)\n${Array.from({ length: ROWS }, (_, i) => {
  const kmh = held[Math.floor((i / ROWS) * held.length)]!
  return `${(i / 500).toFixed(3)},${kmh},${(30 + kmh ** 2 / 1e4).toFixed(3)},${(40 + kmh ** 2 / 8e3).toFixed(3)}`
}).join('\n')}`
timed('Log of held speeds of 50,000 rows, read and fitted', () => {
  const read = rideRows(ride)
  if ('problem' in read) throw new Error(read.problem)
  downforceFrom(read.points, {
    sensor: 'damper',
    motionRatio: { front: 1, rear: 1 },
    airDensity: 1.2,
    speedFactor: 1,
    wheelRate: { front: 60_000, rear: 60_000 },
  })
})
