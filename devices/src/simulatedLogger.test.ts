import {
  channelOf,
  cornerMarks,
  cornersOf,
  gapAlong,
  lapTrace,
  LogText,
  logFaults,
  logLaps,
  logOf,
  metresFrom,
  packLog,
  unpackLog,
} from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { lap, length, line, logged, origin, points } from './testing/loggedLap'

const PACES = [1.04, 1.02, 1.05]
const three = (wanders = 0) => logged(PACES, { wanders })
function read(csv: string, pieces = 4096) {
  const reader = new LogText()
  for (let at = 0; at < csv.length; at += pieces) reader.push(csv.slice(at, at + pieces))
  const table = reader.end()
  const log = logOf('run', table, table.columns)
  const [shift] = log.origin ? metresFrom([log.origin], origin) : []
  return { log, table, found: logLaps(log, line, shift)! }
}

describe('a simulated log', () => {
  it('is split into the laps that were driven, within a hundredth of a second', () => {
    const { csv, laps } = three()
    const { found } = read(csv)
    expect(found.laps).toHaveLength(3)
    found.laps.forEach((one, i) => expect(Math.abs(one.to - one.from - laps[i]!)).toBeLessThan(0.01))
    expect(found.beside).toBeLessThan(0.2)
  })
  it('has sectors that add up to the lap, wherever its start line is put', () => {
    const { log } = read(three().csv)
    const [shift] = metresFrom([log.origin!], origin)
    const sums = [[], [200], [400, 800], [100, 500, 900]].map((sectors) => {
      const { laps } = logLaps(log, { ...line, sectors }, shift)!
      for (const one of laps) expect(one.sectors.reduce((a, b) => a + b, 0)).toBeCloseTo(one.to - one.from, 9)
      return laps.reduce((sum, one) => sum + one.to - one.from, 0)
    })
    for (const sum of sums) expect(sum).toBeCloseTo(sums[0]!, 6)
  })
  it('comes back from its bytes as it was, and is refused cut off', () => {
    const { log } = read(three(0.6).csv)
    const bytes = packLog(log)
    const back = unpackLog(bytes)
    expect(back.origin).toEqual(log.origin)
    expect([...back.time]).toEqual([...log.time])
    expect(back.channels.map((c) => [c.name, c.role])).toEqual(log.channels.map((c) => [c.name, c.role]))
    expect([...channelOf(back, 'speed')!]).toEqual([...channelOf(log, 'speed')!])
    expect(() => unpackLog(bytes.subarray(0, bytes.length - 8))).toThrow('ends in the middle')
    expect(() => unpackLog(new TextEncoder().encode('hello\nworld'))).toThrow(RangeError)
  })
  it('laid over another lap at equal distance loses what it is slower by, and shows corners', () => {
    const { log, found } = read(three(0.3).csv)
    const [a, b] = [0, 1].map((i) => lapTrace(log, found, i, length, 5))
    const gap = gapAlong(a!, b!)
    expect(gap.at(-1)!).toBeCloseTo((PACES[0]! - PACES[1]!) * lap.time, 1)
    expect(gap[0]!).toBeCloseTo(0, 2)
    const [corner] = cornersOf(points, length, true)
    const marks = cornerMarks(b!, [corner!.from, corner!.to])!
    const least = lap.points.filter((p) => p.distance >= corner!.from && p.distance <= corner!.to)
    const slowest = Math.min(...least.map((p) => p.speed)) / PACES[1]!
    expect(Math.abs(marks.least - slowest)).toBeLessThan(0.6)
    expect(marks.braking!).toBeLessThan(corner!.from)
    expect(marks.entry).toBeGreaterThan(marks.least)
  })
  it('is read in pieces of any size to the same figures', () => {
    const { csv } = three(0.5)
    const [a, b] = [read(csv, 7), read(csv, 100_000)]
    expect([...a.log.time]).toEqual([...b.log.time])
    expect(a.table.bad).toBe(0)
  })
  it('says first what recorded nothing, then a clock that jumps, holes and channels that never move', () => {
    const time = Array.from({ length: 200 }, (_, i) => i / 10 + (i > 100 ? 3 : 0) - (i > 150 ? 1 : 0))
    const faults = logFaults(time, [
      { name: 'damper', values: time.map(() => NaN) },
      { name: 'hub', values: time.map(() => 0) },
      { name: 'oil', values: time.map(() => 92) },
      { name: 'speed', values: time.map((t) => 20 + Math.sin(t)) },
      { name: 'coolant', values: time.map((t, i) => (i % 10 === 0 ? NaN : t)) },
    ])
    expect(faults.map((f) => f.kind)).toEqual([
      'recordedNothing',
      'recordedNothing',
      'backwards',
      'gap',
      'flat',
      'dropout',
    ])
    expect(faults[3]).toMatchObject({ from: 10, to: 13.1 })
  })
})

describe('LogText', () => {
  it('takes units from a line below the titles, passes over what stands above, and thins 100 a second to 25', () => {
    const reader = new LogText()
    reader.push('Session;Morning\n\ntime;speed;oil\ns;km/h;°C\n')
    for (let i = 0; i < 200; i += 1) reader.push(`${(i / 100).toFixed(2).replace('.', ',')};36,0;90\n`)
    const table = reader.end()
    expect(table.titles).toEqual(['time (s)', 'speed (km/h)', 'oil (°C)'])
    expect(table.columns).toEqual(['time', 'speed', null])
    expect(table.thinned).toBe(150)
    expect(channelOf(logOf('x', table, table.columns), 'speed')![0]).toBeCloseTo(10, 5)
  })
  it('says where half a file ends, and what is no table at all', () => {
    const reader = new LogText()
    reader.push('time,speed,oil\n0,10,90\n0.1,11,90\n0.2,1')
    const table = reader.end()
    expect(table).toMatchObject({ cutOff: true, bad: 0 })
    expect(table.values[0]).toHaveLength(2)
    const none = new LogText()
    none.push('hello\nworld\n')
    expect(() => none.end()).toThrow('no line of titles')
    const noClock = new LogText()
    noClock.push('speed,oil\n10,90\n')
    const read = noClock.end()
    expect(() => logOf('x', read, read.columns)).toThrow('which column is the clock')
  })
})
