import { lapsByCounter, logLaps, lineFromPoints, logOf, type LogColumn } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { LiveLogger, LOOP, type LoggerSample } from './liveLogger'

const COLUMNS: readonly LogColumn[] = ['time', 'latitude', 'longitude', 'speed']

/** What it shows over some minutes, ten times a second, by a clock of its own. */
function recorded(
  seconds: number,
  change?: (logger: LiveLogger, at: number) => void,
): (LoggerSample | null)[] {
  let now = 0
  const logger = new LiveLogger(() => now, 7)
  logger.order({ running: true })
  return Array.from({ length: seconds * 10 }, (_, i) => {
    change?.(logger, i / 10)
    now = (i + 1) * 100
    return logger.read() ?? [null]
  }).flat()
}
const logFrom = (samples: readonly LoggerSample[]) =>
  logOf(
    'live',
    {
      titles: ['time (s)', 'latitude', 'longitude', 'speed (m/s)'],
      columns: COLUMNS,
      values: [
        Float64Array.from(samples, (s) => s.at),
        Float64Array.from(samples, (s) => s.latitude ?? NaN),
        Float64Array.from(samples, (s) => s.longitude ?? NaN),
        Float64Array.from(samples, (s) => s.speed),
      ],
      bad: 0,
      thinned: 0,
      cutOff: false,
    },
    COLUMNS,
  )

describe('a live logger', () => {
  it('goes round a loop, and its laps are as long as speed over time says', () => {
    const samples = recorded(150).filter((s) => s !== null)
    const log = logFrom(samples)
    const [x, y] = ['x', 'y'].map((role) => log.channels.find((c) => c.role === role)!.values)
    // One lap of it is the line.
    let way = 0
    const lap = samples.findIndex((s, i) => i > 0 && (way += s.speed * 0.1) >= LOOP)
    const spots = Array.from({ length: lap }, (_, i) => ({ x: x![i]!, y: y![i]!, z: null })).filter(
      (_, i) => i % 2 === 0,
    )
    const { points, length } = lineFromPoints(spots, { round: 'logged', step: 2 })
    expect(length / LOOP).toBeCloseTo(1, 1)
    const { laps } = logLaps(log, { points, length, closed: true, sectors: [] })!
    expect(laps.length).toBeGreaterThan(3)
    const times = laps.map((one) => one.to - one.from)
    for (const time of times) expect(Math.abs(time / times[0]! - 1)).toBeLessThan(0.05)
    expect(lapsByCounter(log, length)).toBeNull()
  })
  it('brakes before bends and never faster than they allow, and stands while nobody drives', () => {
    const samples = recorded(60).filter((s) => s !== null)
    for (const s of samples.slice(20)) expect(Math.abs(s.sideways)).toBeLessThan(12)
    expect(Math.max(...samples.map((s) => s.brakeFront))).toBeGreaterThan(2e6)
    const still = recorded(3, (logger) => logger.order({ running: false }))
    expect(still.every((s) => s?.speed === 0)).toBe(true)
  })
  it('loses its fix and its line when it is told to, and goes on with its clock', () => {
    const samples = recorded(9, (logger, at) => logger.order({ connected: at < 3 || at >= 6, fix: at < 7 }))
    expect(samples.filter((s) => s === null)).toHaveLength(30)
    expect(samples.at(-1)).toMatchObject({ latitude: null, longitude: null })
    expect(samples.at(-1)!.at).toBeCloseTo(9, 5)
  })
  it('has all samples of its own clock and the same laps for who asks late and never evenly', () => {
    const asked = (waits: readonly number[]) => {
      let now = 0
      const logger = new LiveLogger(() => now, 3)
      logger.order({ running: true, times: 20 })
      return waits.flatMap((wait) => {
        now += wait
        return logger.read() ?? []
      })
    }
    const even = asked(Array.from({ length: 80 }, () => 100))
    expect(asked([1700, 300, 2900, 100, 2000, 40, 960])).toEqual(even)
    expect(even).toHaveLength(1600)
    for (const [i, { at }] of even.entries()) expect(at).toBeCloseTo((i + 1) / 10, 6)
    // A day later it hasn't driven a day.
    expect(asked([86_400_000]).length).toBeLessThan(2500)
  })
  it('goes as many times as quick as it is told to', () => {
    const [slow, quick] = [1, 10].map((times) => recorded(5, (logger) => logger.order({ times })).at(-1)!.at)
    expect(quick! / slow!).toBeCloseTo(10, 1)
  })
})
