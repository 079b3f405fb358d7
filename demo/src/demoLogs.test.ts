import type { BuildDocument } from '@bold-ballast/contract'
import { axleCarOf, channelOf, lapTime, unpackLog } from '@bold-ballast/core'
import {
  carAt,
  courseDrawn,
  dayLine,
  gripByCorner,
  lapsOnLine,
  leastSpeeds,
  lineToKeep,
  lookAtLogs,
  runsOf,
} from '@bold-ballast/model'
import { gunzipSync } from 'node:zlib'
import { describe, expect, it } from 'vitest'
import { demo } from '.'

const file = demo.builds().find((b) => b.build.name === 'Nightjar')!
const nightjar = file as unknown as BuildDocument
const day = nightjar.outings.find((o) => o.name === 'Longmere, wing holes')!
const [first] = runsOf(nightjar, day.id)
const packed = demo.logsOf(file)
const logOf = (runId: string) => unpackLog(gunzipSync(packed.find((l) => l.runId === runId)!.bytes))
const log = logOf(first!.id)
const course = nightjar.courses.find((c) => c.id === day.courseId)!
const run = carAt(nightjar, day.stageId).geared!.run
const lengths = (found: ReturnType<typeof lapsOnLine>) => found!.laps.map((lap) => lap.to - lap.from)

describe('the line of a day', () => {
  it('is the course’s where that lies on the earth, and else the first lap of a log, as long', () => {
    const own = dayLine(null, [log])
    if (typeof own === 'string') throw new Error(own)
    expect(own).toMatchObject({ isCourse: false, isPlaced: true })
    expect(own.lap.closed).toBe(true)
    expect(own.lap.length / courseDrawn(course).length).toBeCloseTo(1, 2)
    // A fence post is a lap less: what comes before its start and after its end is none.
    const driven = lengths(lapsOnLine(log, own))
    const typed = first!.laps.map((lap) => lap.time!)
    expect(driven.length).toBeGreaterThanOrEqual(typed.length - 1)
  })
  it('begins where somebody puts its start, with laps as long, and is a course when it is kept', () => {
    const sums = [0, 700, 2100].map((at) => {
      const line = dayLine(null, [log], at)
      if (typeof line === 'string') throw new Error(line)
      const driven = lengths(lapsOnLine(log, line)).slice(1, 6)
      const kept = lineToKeep(line)
      const drawn = courseDrawn({
        ...course,
        sections: [],
        line: kept,
        sectors: [],
        corners: [],
        stretches: [],
      })
      expect(drawn.length / line.lap.length).toBeCloseTo(1, 2)
      return driven.reduce((a, b) => a + b, 0) / driven.length
    })
    for (const mean of sums) expect(Math.abs(mean - sums[0]!)).toBeLessThan(1.5)
  })
  it('without places is what the logger counts, on a course of any kind, or says that there is none', () => {
    const bare = { ...log, channels: log.channels.filter((c) => c.role !== 'x' && c.role !== 'y') }
    expect(dayLine(null, [bare])).toContain('none of the logs has places')
    const counted = {
      ...bare,
      channels: [
        ...bare.channels,
        { name: 'lap', role: 'lap' as const, values: bare.time.map((t) => Math.floor(t / 120)) },
      ],
    }
    const line = dayLine(course, [counted])
    if (typeof line === 'string') throw new Error(line)
    expect(line).toMatchObject({ isCourse: true, isPlaced: false })
    expect(lapsOnLine(counted, line)!.laps.length).toBeGreaterThan(4)
  })
})

describe('what a demo log gives', () => {
  it('has least speeds near those of the worked-out lap, and asks for a grip near the typed one', () => {
    const line = dayLine(course, [log])
    if (typeof line === 'string') throw new Error(line)
    const found = lapsOnLine(log, line)!
    const least = leastSpeeds(line, { log, found })
    expect(least).toHaveLength(line.corners.length)
    const lap = lapTime(axleCarOf(run), courseDrawn(course).lap)
    for (const speed of least) {
      expect(speed).toBeGreaterThan(0.9 * lap.slowest)
      expect(speed).toBeLessThanOrEqual(lap.fastest)
    }
    const { factor, corners } = gripByCorner(run, course, line, { log, found })!
    expect(corners.length).toBeGreaterThan(4)
    const pace = Math.min(...first!.laps.map((l) => l.time!)) / lap.time
    expect(factor.value).toBeCloseTo(1 / pace ** 2, 1)
  })
  it('is all found in one look: laps, faults, brakes, and how alike the driver’s laps are', () => {
    const look = lookAtLogs(course, [log], 1, { limits: [], startAt: 0, drivers: ['Bea'] })
    expect(look.each[0]).toMatchObject({ faults: [], beyond: [], rides: null })
    expect(look.each[0]!.found!.laps).toHaveLength(first!.laps.length)
    expect(look.each[0]!.brakes!.front / look.each[0]!.brakes!.rear).toBeCloseTo(4.6 / 2.9, 1)
    // The out-lap and the in-lap are slower by more than 7 %, and left out.
    expect(look.alike).toMatchObject([{ driver: 'Bea', laps: 6 }])
    expect(look.alike[0]!.corners).toHaveLength(courseDrawn(course).corners.length)
    expect(lookAtLogs(course, [log], 0, { limits: [], startAt: 0, drivers: [] })).toMatchObject({
      line: null,
      alike: [],
    })
  })
  it('says nothing where the logger recorded nothing', () => {
    const empty = nightjar.outings.find((o) => o.name === 'Saltmarsh Loop, round 1')!
    const flat = logOf(runsOf(nightjar, empty.id)[0]!.id)
    expect([...channelOf(flat, 'speed')!].every(Number.isNaN)).toBe(true)
    expect(typeof dayLine(null, [flat])).toBe('string')
  })
})
