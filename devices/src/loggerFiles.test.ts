import {
  channelOf,
  gpxLog,
  isGpx,
  joinLogs,
  lapsByCounter,
  logCsv,
  logLaps,
  logOf,
  metresFrom,
  type RunLog,
} from '@bold-ballast/core'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { length, line, logFrom, logged, origin } from './testing/loggedLap'

const PACES = [1.04, 1.02]
const whole = logFrom(logged(PACES).csv)
const laid = (log: RunLog) => logLaps(log, line, metresFrom([log.origin!], origin)[0])!
const only = (log: RunLog, roles: readonly string[]): RunLog => ({
  ...log,
  channels: log.channels.filter((c) => c.role !== null && roles.includes(c.role)),
})

/** A track as a receiver writes it. */
function gpxOf(log: RunLog, more = ''): string {
  const table = logCsv(log).trim().split('\n').slice(1)
  const points = table.map((row) => {
    const [time, latitude, longitude] = row.split(',').map(Number)
    const clock = new Date(Date.UTC(2026, 4, 2, 9) + time! * 1000).toISOString()
    return `<trkpt lat="${latitude}" lon="${longitude}"><ele>112.5</ele><time>${clock}</time></trkpt>`
  })
  return `<?xml version="1.0" encoding="UTF-8"?>\n<gpx version="1.1" creator="test"><wpt lat="1" lon="1"/><trk><trkseg>${points.join('\n')}${more}</trkseg></trk></gpx>\n`
}

describe('GPX', () => {
  it('is split into the same laps as the logger’s own file', () => {
    const text = gpxOf(whole)
    expect(isGpx(text)).toBe(true)
    const table = gpxLog(text)
    expect(table.titles).toEqual(['time (s)', 'latitude', 'longitude', 'height (m)'])
    expect(table).toMatchObject({ bad: 0, cutOff: false })
    const { laps } = laid(logOf('walk.gpx', table, table.columns))
    const own = laid(whole).laps
    expect(laps).toHaveLength(own.length)
    laps.forEach((one, i) => expect(one.to - one.from).toBeCloseTo(own[i]!.to - own[i]!.from, 2))
  })
  it('says what is wrong with it: no track, no time, a point that can’t be read, half a file', () => {
    expect(isGpx('time,speed\n0,1\n')).toBe(false)
    expect(() => gpxLog('<gpx><wpt lat="1" lon="2"/></gpx>')).toThrow('no track')
    expect(() => gpxLog('<gpx><trk><trkseg><trkpt lat="1" lon="2"/></trkseg></trk></gpx>')).toThrow('no time')
    const table = gpxLog(
      gpxOf(whole, '<trkpt lat="" lon="3"><time>2026-05-02T09:00:00Z</time></trkpt>').slice(0, -10),
    )
    expect(table).toMatchObject({ bad: 1, cutOff: true })
  })
})

describe('a log as CSV', () => {
  it('comes back as it went: places, roles, and what has only a name', () => {
    const log: RunLog = {
      ...whole,
      channels: [
        ...whole.channels,
        {
          name: 'oil, hot "side" (°C)',
          role: null,
          values: whole.time.map((t) => (t > 3 ? 90 + t / 10 : NaN)),
        },
        { name: 'BPF', role: 'brakeFront', values: whole.time.map(() => 2.5e6) },
      ],
    }
    const back = logFrom(logCsv(log))
    expect(new Set(back.channels.map((c) => c.role))).toEqual(new Set(log.channels.map((c) => c.role)))
    for (const { role, values } of log.channels) {
      // A car that is an idea of a power has no engine speed to log.
      if (!role || role === 'engineSpeed') continue
      const again = channelOf(back, role)!
      values.forEach((value, i) =>
        expect(Math.abs(again[i]! - value)).toBeLessThan(Math.max(0.02, 1e-4 * Math.abs(value))),
      )
    }
    const oil = back.channels.find((c) => c.name === 'oil hot side (°C)')!
    expect(oil.values[0]).toBeNaN()
    expect(oil.values.at(-1)).toBeCloseTo(90 + log.time.at(-1)! / 10, 3)
  })
})

describe('two loggers of one run', () => {
  const second = logFrom(logged(PACES, { rate: 20, seed: 9 }).csv, 'second')
  const later = (log: RunLog, by: number): RunLog => {
    const from = log.time.findIndex((t) => t >= by)
    return {
      ...log,
      time: log.time.slice(from).map((t) => t - by),
      channels: log.channels.map((c) => ({ ...c, values: c.values.slice(from) })),
    }
  }
  it('are laid together wherever the second one’s clock begins', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 250 }), (tenths) => {
        const by = tenths / 10
        const found = joinLogs(whole, only(later(second, by), ['speed', 'sideways']))
        expect(Math.abs(found.shift - by)).toBeLessThan(0.06)
        expect(found.alike).toBeGreaterThan(0.99)
        expect(found.apart).toEqual([])
      }),
      { numRuns: 25 },
    )
  })
  it('give the first what it has not, by its clock', () => {
    const bare = only(whole, ['speed'])
    const found = joinLogs(bare, later(second, 4))
    expect(channelOf(found.log, 'speed')).toBe(channelOf(bare, 'speed'))
    const turning = channelOf(whole, 'gear')!
    const joined = channelOf(found.log, 'gear')!
    expect(joined[5]).toBeNaN()
    const same = joined.filter((gear, i) => i > 60 && Math.abs(gear - turning[i]!) < 0.5)
    expect(same.length).toBeGreaterThan(
      0.95 * joined.filter((gear, i) => i > 60 && !Number.isNaN(gear)).length,
    )
    // Places came with the second one: they are about its own origin.
    expect(found.log.origin).toEqual(later(second, 4).origin)
  })
  it('that don’t agree are called so, by how much', () => {
    const quick: RunLog = {
      ...second,
      channels: second.channels.map((c) =>
        c.role === 'speed' ? { ...c, values: c.values.map((v) => 1.04 * v) } : c,
      ),
    }
    const [apart] = joinLogs(whole, quick).apart
    expect(apart!.role).toBe('speed')
    expect(apart!.times).toBeCloseTo(1.04, 2)
  })
  it('of different runs are refused, and so are two that share nothing', () => {
    const other: RunLog = {
      ...second,
      channels: [
        { name: 'speed', role: 'speed', values: second.time.map((t) => 20 + 8 * Math.sin(t * 3.1)) },
      ],
    }
    expect(() => joinLogs(whole, other)).toThrow('different runs')
    expect(() => joinLogs(whole, only(second, ['x', 'y']))).toThrow('clocks')
  })
})

describe('a log without places', () => {
  const { laps: driven, csv } = logged([1.04, 1.02, 1.05])
  const log = logFrom(csv)
  const counted: RunLog = {
    ...only(log, ['speed', 'gear']),
    channels: [
      ...only(log, ['speed', 'gear']).channels,
      {
        name: 'lap',
        role: 'lap',
        values: log.time.map((t) => {
          const ends = driven.map((_, i) => 1.5 + driven.slice(0, i + 1).reduce((a, b) => a + b, 0))
          return ends.filter((end) => t >= end).length + (t >= 1.5 ? 1 : 0)
        }),
      },
    ],
  }
  it('has its laps from the counter, to half a step at either end, each as long as the line', () => {
    const found = lapsByCounter(counted, length)!
    expect(found.laps).toHaveLength(3)
    found.laps.forEach((one, i) => expect(Math.abs(one.to - one.from - driven[i]!)).toBeLessThan(0.101))
    const at = (moment: number) => found.distance[counted.time.findIndex((t) => t >= moment)]!
    found.laps.forEach((one, i) => expect(at(one.from) - i * length).toBeCloseTo(0, 6))
  })
  it('finds how long a lap is by its speed, where nobody says', () => {
    expect(lapsByCounter(counted, null)!.length / length).toBeCloseTo(1, 2)
  })
  it('has none where nobody counted, or nothing is whole', () => {
    expect(lapsByCounter(log, length)).toBeNull()
    const still = {
      ...counted,
      channels: counted.channels.map((c) => (c.role === 'lap' ? { ...c, values: c.values.map(() => 1) } : c)),
    }
    expect(lapsByCounter(still, length)).toBeNull()
  })
})
